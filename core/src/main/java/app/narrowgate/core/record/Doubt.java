package app.narrowgate.core.record;

/**
 * Odds, and between what they lie nine times in ten.
 *
 * @param likely in [0,1]
 * @param low not less than this, nineteen times in twenty
 * @param high not more than this, nineteen times in twenty
 */
public record Doubt(double likely, double low, double high) {

    /** Where they lie further apart there is too little to say; our estimate. */
    public static final double TOO_WIDE = 0.30;

    /** How often it is less than the low end, and how often more than the high one. */
    static final double OUTSIDE = 0.05;

    /** How far apart. */
    public double width() {
        return high - low;
    }

    /** True where there is too little to say. */
    public boolean saysTooLittle() {
        return width() > TOO_WIDE;
    }
}
