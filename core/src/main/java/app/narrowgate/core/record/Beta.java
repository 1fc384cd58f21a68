package app.narrowgate.core.record;

import app.narrowgate.core.check.Range;
import java.util.SplittableRandom;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.ContinuousDistribution;

/**
 * What is believed of a chance: a beta distribution. One that is sure has a side that is 0.
 *
 * @param yes as if it had happened so often, at least 0
 * @param no as if it had not happened so often, at least 0; not both are 0
 */
public record Beta(double yes, double no) {

    /** Strengths of a belief, in trials. */
    public static final Range STRENGTH = new Range(0.01, 1e9, "trials");

    public Beta {
        STRENGTH.require("The strength of what is believed", yes + no);
        if (yes < 0 || no < 0) {
            throw new IllegalArgumentException("Fewer than no trials: %s, %s".formatted(yes, no));
        }
    }

    /** As sure of {@code mean}, in [0,1], as after so many trials. */
    public static Beta of(double mean, double strength) {
        Range.CHANCE.require("A chance", mean);
        return new Beta(mean * strength, (1 - mean) * strength);
    }

    /** After so many more trials. */
    public Beta after(double moreYes, double moreNo) {
        return new Beta(yes + moreYes, no + moreNo);
    }

    /** The mean, in [0,1]. */
    public double mean() {
        return yes / (yes + no);
    }

    /** The variance. */
    public double variance() {
        double all = yes + no;
        return yes * no / (all * all * (all + 1));
    }

    /** The mean, and between what the chance lies nine times in ten. */
    public Doubt doubt() {
        if (isSure()) {
            return new Doubt(mean(), mean(), mean());
        }
        BetaDistribution distribution = BetaDistribution.of(yes, no);
        return new Doubt(mean(), distribution.inverseCumulativeProbability(Doubt.OUTSIDE), distribution.inverseCumulativeProbability(1 - Doubt.OUTSIDE));
    }

    private boolean isSure() {
        return yes == 0 || no == 0;
    }

    /** A chance as it may be, drawn. */
    public double drawn(SplittableRandom random) {
        return sampler(random::nextLong).next();
    }

    /** Draws chances as they may be. */
    Together.Sampler sampler(UniformRandomProvider random) {
        if (isSure()) {
            return this::mean;
        }
        ContinuousDistribution.Sampler sampler = BetaDistribution.of(yes, no).createSampler(random);
        return sampler::sample;
    }
}
