package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import java.util.List;

/**
 * Where the worth of a reaction comes from and where it is lost. Over all parts the shares sum to 1, {@code gained}
 * to the worth and {@code lost} to what is missing to 1.
 *
 * @param worth of choosing the reaction, in [0,1]
 */
public record WorthBreakdown(Id situation, Id reaction, double worth, List<Part> parts) {

    public WorthBreakdown {
        parts = List.copyOf(parts);
    }

    /**
     * One way it can go.
     *
     * @param worth of the place where it then is
     */
    public record Part(Branch branch, double worth) {

        /** Worth that comes through this part. */
        public double gained() {
            return branch.share() * worth;
        }

        /** Worth that is lost in this part. */
        public double lost() {
            return branch.share() * (1 - worth);
        }
    }
}
