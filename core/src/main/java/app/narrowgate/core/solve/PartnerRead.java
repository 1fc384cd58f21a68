package app.narrowgate.core.solve;

import app.narrowgate.core.check.Range;

/**
 * How well the partner reads you: of so many answers he gives the one that is worst for you, and the others by habit.
 *
 * @param share λ in [0,1]: 0 answers by habit only, 1 always finds the worst answer
 */
public record PartnerRead(double share) {

    /** Answers by habit only. */
    public static final PartnerRead NONE = new PartnerRead(0);

    public PartnerRead {
        Range.CHANCE.require("The partner's read", share);
    }

    /** The share of the answers that is given by habit. */
    public double habit() {
        return 1 - share;
    }

    /** True where every answer is given by habit. */
    public boolean isNone() {
        return share <= 0;
    }

    /** True where every answer is the worst one. */
    public boolean isWhole() {
        return share >= 1;
    }

    /**
     * What a reaction is worth once it gets going: {@code mean} over the answers by habit, {@code least} at the worst.
     */
    public double blend(double mean, double least) {
        return (1 - share) * mean + share * least;
    }
}
