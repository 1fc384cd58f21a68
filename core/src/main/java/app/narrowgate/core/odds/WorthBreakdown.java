package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import java.util.List;
import java.util.Optional;

/**
 * Where the worth of a reaction comes from and where it is lost. Over all parts {@code chance} sums to 1, {@code gained}
 * to the worth and {@code lost} to what is missing to 1.
 *
 * @param worth of choosing the reaction, in [0,1]
 */
public record WorthBreakdown(Id situation, Id reaction, double worth, List<Part> parts) {

    public WorthBreakdown {
        parts = List.copyOf(parts);
    }

    /** What a part is about. */
    public enum Cause implements app.narrowgate.core.map.Coded {
        /** The clock moved on before it was under way. */
        TOO_SLOW,
        /** It was tried in time and did not get going. */
        STUFFED,
        /** It got going and they answered. */
        RESPONSE
    }

    /**
     * One way it can go.
     *
     * @param response which answer, for {@link Cause#RESPONSE}
     * @param chance that it goes this way, a reading partner's choice included
     * @param lands where it then is
     * @param worth of that place
     */
    public record Part(Cause cause, Optional<Id> response, double chance, Id lands, double worth) {

        /** Worth that comes through this part. */
        public double gained() {
            return chance * worth;
        }

        /** Worth that is lost in this part. */
        public double lost() {
            return chance * (1 - worth);
        }
    }
}
