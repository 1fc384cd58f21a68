package app.narrowgate.core.password;

import java.text.Normalizer;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Which passwords are accepted. Long ones of any characters (OWASP ASVS 4.0, 2.1.1 and 2.1.2: 12 at least, 128 at most, nothing
 * cut off; 2.1.9: no rule about kinds of characters), but none that is tried first by whoever guesses (2.1.7): words that many
 * choose, whatever figures they put behind and instead of letters, rows of the keyboard, the same again and again, and one's own name.
 * The list of words is short and the project's own; no list of stolen passwords ships with it.
 */
public final class PasswordRule {

    /** Fewest characters, several blanks counted as one. */
    public static final int LEAST = 12;
    /** Most characters. */
    public static final int MOST = 128;

    private static final int FEWEST_DIFFERENT = 5;
    private static final int LONGEST_UNIT = 6;
    private static final int SHORTEST_NAME = 4;
    /** What must be left of a password beside a name in it. */
    private static final int REST = 8;
    /** Share of steps to the very next letter, digit or key from which on it is a row. */
    private static final double ROW = 0.6;

    private static final List<String> ROWS = List.of("abcdefghijklmnopqrstuvwxyz", "01234567890", "qwertyuiop", "qwertzuiop", "azertyuiop",
            "asdfghjkl", "zxcvbnm", "yxcvbnm", "1q2w3e4r5t6y7u8i9o0p", "1qaz2wsx3edc4rfv5tgb6yhn7ujm", "zaq1xsw2cde3vfr4bgt5");

    /** Letters only, as they stand once figures and signs are read as the letters they stand for. */
    private static final Set<String> TRIED_FIRST = Set.of("password", "passwordpassword", "passphrase", "changeme", "changemenow", "letmein",
            "letmeinnow", "letmeinplease", "welcome", "welcomehome", "welcometothejungle", "iloveyou", "iloveyousomuch", "administrator",
            "admin", "adminadmin", "football", "baseball", "basketball", "superman", "batman", "spiderman", "princess", "sunshine", "dragon",
            "monkey", "master", "shadow", "trustnoone", "whatever", "computer", "internet", "secret", "topsecret", "mysecret", "mypassword",
            "thisismypassword", "thisisapassword", "defaultpassword", "correcthorsebatterystaple", "liverpool", "manchesterunited",
            "starwars", "pokemon", "qwerty", "qwertyuiop", "grappling", "grappler", "jiujitsu", "wrestling", "wrestler", "blackbelt",
            "tapout", "narrowgate");

    private PasswordRule() {
    }

    /**
     * What is wrong with a password; empty where it is accepted.
     *
     * @param names what belongs to the person and is known to others: what they sign in as, what they and the gym are called
     */
    public static Optional<String> problem(String password, Collection<String> names) {
        String tidy = Normalizer.normalize(password, Normalizer.Form.NFKC).replaceAll(" {2,}", " ");
        int length = tidy.codePointCount(0, tidy.length());
        if (length < LEAST) {
            return Optional.of("The password has %d characters; it needs %d. Three or four words in a row do.".formatted(length, LEAST));
        }
        if (length > MOST) {
            return Optional.of("The password has %d characters; at most %d fit.".formatted(length, MOST));
        }
        if (tidy.codePoints().anyMatch(Character::isISOControl)) {
            return Optional.of("The password holds a control character or line break; write it in one line.");
        }
        String plain = tidy.toLowerCase(Locale.ROOT);
        if (isTheSameAgain(plain) || isRow(plain) || TRIED_FIRST.contains(word(plain))) {
            return Optional.of("This password is among the first that are tried. Take three or four words that do not belong together.");
        }
        if (names.stream().anyMatch(name -> isMostly(plain, name))) {
            return Optional.of("The password is little more than a name that others know. Take three or four words that do not belong together.");
        }
        return Optional.empty();
    }

    private static boolean isTheSameAgain(String plain) {
        return plain.chars().distinct().count() < FEWEST_DIFFERENT
                || IntStream.rangeClosed(1, LONGEST_UNIT).anyMatch(unit -> IntStream.range(unit, plain.length())
                        .allMatch(i -> plain.charAt(i) == plain.charAt(i - unit)));
    }

    private static boolean isRow(String plain) {
        long steps = IntStream.range(1, plain.length())
                .filter(i -> ROWS.stream().anyMatch(row -> areNeighbours(row, plain.charAt(i - 1), plain.charAt(i)))).count();
        return steps >= ROW * (plain.length() - 1);
    }

    private static boolean areNeighbours(String row, char one, char next) {
        String pair = "" + one + next;
        return one == next || row.contains(pair) || row.contains("" + next + one);
    }

    /** The word that is left without what stands behind it, with figures read as the letters they stand for. */
    private static String word(String plain) {
        return plain.replaceAll("[^\\p{L}]+$", "").codePoints().map(PasswordRule::letter).filter(c -> c >= 'a' && c <= 'z')
                .mapToObj(Character::toString).collect(Collectors.joining());
    }

    private static int letter(int c) {
        return switch (c) {
            case '0' -> 'o';
            case '1', '!' -> 'i';
            case '3' -> 'e';
            case '4', '@' -> 'a';
            case '5', '$' -> 's';
            case '7' -> 't';
            default -> c;
        };
    }

    private static boolean isMostly(String plain, String name) {
        String known = name.toLowerCase(Locale.ROOT);
        return known.length() >= SHORTEST_NAME && plain.contains(known) && plain.length() - known.length() < REST
                || known.contains(" ") && (isMostly(plain.replace(" ", ""), known.replace(" ", "")));
    }
}
