package app.narrowgate.core.map;

import app.narrowgate.core.check.RefusedException;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The stable name of one part of a map: lower-case letters, digits and hyphens, 1 to 64 characters, starting with a
 * letter or digit.
 *
 * @param value the name
 */
public record Id(String value) implements Comparable<Id> {

    private static final Pattern FORM = Pattern.compile("[a-z0-9][a-z0-9-]{0,63}");

    public Id {
        problem(value).ifPresent(sentence -> {
            throw new RefusedException(sentence);
        });
    }

    /** The id written as {@code value}. */
    public static Id of(String value) {
        return new Id(value);
    }

    /** What is wrong with {@code value} as an id; empty when nothing is. */
    public static Optional<String> problem(String value) {
        return FORM.matcher(value).matches()
                ? Optional.empty()
                : Optional.of(("“%s” is not an id; use 1 to 64 lower-case letters, digits and hyphens, "
                        + "starting with a letter or digit.").formatted(shortened(value)));
    }

    @Override
    public int compareTo(Id other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }

    private static String shortened(String value) {
        return value.length() <= 40 ? value : value.substring(0, 40) + "…";
    }
}
