package app.narrowgate.core.check;

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
            throw new IllegalArgumentException("Impossible state: range from %s to %s".formatted(low, high));
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
        return Double.isFinite(value) ? withoutExponent(Double.toString(value)) : Double.toString(value);
    }

    /**
     * A number as people write it: what {@link Double#toString} writes as {@code 1.25E-4} is {@code 0.000125}. By hand, as
     * this is compiled for browsers too and numbers of any length would be a large part of what they fetch.
     */
    private static String withoutExponent(String written) {
        int exponentAt = written.indexOf('E');
        if (exponentAt < 0) {
            return written.endsWith(".0") ? written.substring(0, written.length() - 2) : written;
        }
        int exponent = Integer.parseInt(written.substring(exponentAt + 1));
        boolean isNegative = written.charAt(0) == '-';
        String mantissa = written.substring(isNegative ? 1 : 0, exponentAt);
        int point = mantissa.indexOf('.');
        String digits = mantissa.substring(0, point) + (mantissa.endsWith(".0") ? "" : mantissa.substring(point + 1));
        int whole = point + exponent;
        String plain;
        if (whole <= 0) {
            plain = "0." + "0".repeat(-whole) + digits;
        } else if (whole >= digits.length()) {
            plain = digits + "0".repeat(whole - digits.length());
        } else {
            plain = digits.substring(0, whole) + "." + digits.substring(whole);
        }
        return isNegative ? "-" + plain : plain;
    }
}
