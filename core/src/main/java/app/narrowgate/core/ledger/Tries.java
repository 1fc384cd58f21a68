package app.narrowgate.core.ledger;

import app.narrowgate.core.check.RefusedException;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * How often something was tried, and how often it went well.
 *
 * @param of at least 0
 * @param well from 0 to {@code of}
 */
public record Tries(int of, int well) {

    /** Nobody counted. */
    public static final Tries NONE = new Tries(0, 0);

    public Tries {
        if (well < 0 || well > of) {
            throw new RefusedException("%d of %d went well: there cannot be more of them than there were.".formatted(well, of));
        }
    }

    public Tries and(Tries other) {
        return new Tries(of + other.of, well + other.well);
    }

    /** How often it really goes well, before which every share was as likely as every other. */
    BetaDistribution posterior() {
        return BetaDistribution.of(1.0 + well, 1.0 + of - well);
    }

    /** Chance that it really goes well more often than {@code share}, in [0,1], of the time. */
    public double isBetterThan(double share) {
        return posterior().survivalProbability(share);
    }
}
