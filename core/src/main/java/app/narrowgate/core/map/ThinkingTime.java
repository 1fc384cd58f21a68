package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;

/**
 * How long a student needs to choose among several answers: {@code base + perBit · log2(n + 1)} seconds for {@code n}
 * answers.
 *
 * <p>Source: Hick, "On the rate of gain of information" (1952); Hyman (1953). The coefficients are the project's own
 * defaults and can be changed by the instructor.
 *
 * @param base seconds to react at all
 * @param perBit seconds for each doubling of {@code n + 1}
 */
public record ThinkingTime(double base, double perBit) {

    /** Seconds either coefficient may have. */
    public static final Range COEFFICIENT = new Range(0, 10, "seconds");

    /** 0.2 s and 0.15 s. */
    public static final ThinkingTime USUAL = new ThinkingTime(0.2, 0.15);

    /** No time at all. */
    public static final ThinkingTime NONE = new ThinkingTime(0, 0);

    public ThinkingTime {
        COEFFICIENT.require("The base of the thinking time", base);
        COEFFICIENT.require("The thinking time per doubling", perBit);
    }

    /** Seconds to choose among {@code answers} ≥ 0 answers. */
    public double seconds(int answers) {
        if (answers < 0) {
            throw new IllegalStateException("Impossible state: " + answers + " answers");
        }
        return base + perBit * (Math.log(answers + 1.0) / Math.log(2));
    }
}
