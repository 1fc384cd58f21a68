package app.narrowgate.core.check;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A closed interval of finite numbers with a unit, used to refuse what lies outside.
 *
 * @param low smallest value allowed
 * @param high largest value allowed
 * @param unit the unit as a reader would write it, or an empty text for a pure number
 */
public record Range(double low, double high, String unit) {

    /** A chance. */
    public static final Range CHANCE = new Range(0, 1, "");

    public Range {
        if (!(low <= high) || Double.isInfinite(low) || Double.isInfinite(high)) {
            throw new IllegalArgumentException("Impossible state: range from " + low + " to " + high);
        }
    }

    /** True for a value inside; false for NaN and both infinities. */
    public boolean holds(double value) {
        return value >= low && value <= high;
    }

    /** The value inside that lies nearest; not for NaN. */
    public double nearest(double value) {
        return Math.max(low, Math.min(high, value));
    }

    /** What is wrong with {@code value}, in a sentence that names it and the rule; empty when nothing is. */
    public Optional<String> problem(String name, double value) {
        if (holds(value)) {
            return Optional.empty();
        }
        return Optional.of("%s is %s; it must lie between %s and %s%s.".formatted(
                name, shown(value), shown(low), shown(high), unit.isEmpty() ? "" : " " + unit));
    }

    /**
     * Returns {@code value} when it lies inside.
     *
     * @throws RefusedException naming the value and the rule otherwise
     */
    public double require(String name, double value) {
        problem(name, value).ifPresent(sentence -> {
            throw new RefusedException(sentence);
        });
        return value;
    }

    private static String shown(double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e15) {
            return Long.toString((long) value);
        }
        // Without an exponent, as people write it.
        return Double.isFinite(value) ? new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString() : Double.toString(value);
    }
}
