package app.narrowgate.core.weight;

import app.narrowgate.core.check.Range;

/**
 * How heavy and how tall the two are.
 *
 * @param yourWeight kilograms, within {@link #WEIGHT}
 * @param yourStature metres, within {@link #STATURE}
 * @param theirWeight kilograms
 * @param theirStature metres
 */
public record Sizes(double yourWeight, double yourStature, double theirWeight, double theirStature) {

    /** How heavy somebody is. */
    public static final Range WEIGHT = new Range(20, 220, "kg");
    /** How tall somebody is. */
    public static final Range STATURE = new Range(1.15, 2.2, "m");
    /** Two of average build, as whom the postures were solved. */
    public static final Sizes AVERAGE = new Sizes(80, 1.78, 80, 1.78);

    /** @throws RefusedException when a number lies outside */
    public Sizes {
        WEIGHT.require("Your weight", yourWeight);
        STATURE.require("Your stature", yourStature);
        WEIGHT.require("Their weight", theirWeight);
        STATURE.require("Their stature", theirStature);
    }

    /** Their stature in yours. */
    public double ratio() {
        return theirStature / yourStature;
    }
}
