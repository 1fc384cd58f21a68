package app.narrowgate.core.record;

import app.narrowgate.core.check.RefusedException;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * Between what a share lies that was seen so often.
 *
 * @param low in [0,1]
 * @param high in [low,1]
 */
public record Interval(double low, double high) {

    /**
     * The exact one (Clopper and Pearson 1934, as in Brown, Cai and DasGupta 2001): it holds the true share at least as often as
     * {@code level}, whatever that share is.
     *
     * @param seen how often, from 0 to {@code of}
     * @param of how many times in all, at least 1
     * @param level in (0,1)
     * @throws RefusedException where it was seen more often than there were
     */
    public static Interval exact(int seen, int of, double level) {
        if (of < 1 || seen < 0 || seen > of) {
            throw new RefusedException("%d of %d is no share.".formatted(seen, of));
        }
        double outside = (1 - level) / 2;
        double low = seen == 0 ? 0 : BetaDistribution.of(seen, of - seen + 1.0).inverseCumulativeProbability(outside);
        double high = seen == of ? 1 : BetaDistribution.of(seen + 1.0, of - seen).inverseCumulativeProbability(1 - outside);
        return new Interval(low, high);
    }

    /** True for a share that lies within. */
    public boolean holds(double share) {
        return low <= share && share <= high;
    }
}
