package app.narrowgate.core.map;

import app.narrowgate.core.check.RefusedException;
import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The stable name of one part of a map: lower-case letters, digits and hyphens, 1 to 64 characters, starting with a
 * letter or digit.
 *
 * @param value the name
 */
public record Id(String value) implements Comparable<Id> {

    private static final int LONGEST_MADE = 48;
    private static final int LONGEST = 64;

    public Id {
        problem(value).ifPresent(sentence -> {
            throw new RefusedException(sentence);
        });
    }

    /** The id written as {@code value}. */
    public static Id of(String value) {
        return new Id(value);
    }

    /**
     * An id close to {@code words} that is not taken: the words in lower case with hyphens, cut to {@value
     * #LONGEST_MADE} characters, with a number behind it where needed.
     */
    public static Id free(String words, Predicate<Id> taken) {
        String plain = Normalizer.normalize(words, Normalizer.Form.NFD).toLowerCase(Locale.ROOT)
                .replaceAll("\\p{M}", "")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String stem = plain.isEmpty() ? "part"
                : plain.substring(0, Math.min(LONGEST_MADE, plain.length())).replaceAll("-+$", "");
        Id candidate = of(stem);
        for (int n = 2; taken.test(candidate); n++) {
            candidate = of(stem + "-" + n);
        }
        return candidate;
    }

    /** What is wrong with {@code value} as an id; empty when nothing is. */
    public static Optional<String> problem(String value) {
        return isOne(value)
                ? Optional.empty()
                : Optional.of(("“%s” is not an id; use 1 to 64 lower-case letters, digits and hyphens, "
                        + "starting with a letter or digit.").formatted(shortened(value)));
    }

    /** By hand: there are some thousand ids in a map, and a browser has no regular expressions of ours. */
    private static boolean isOne(String value) {
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            if (!(c >= 'a' && c <= 'z' || c >= '0' && c <= '9' || c == '-' && i > 0)) {
                return false;
            }
        }
        return !value.isEmpty() && value.length() <= LONGEST;
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
