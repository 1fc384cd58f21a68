package app.narrowgate.core.check;

import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * Plain text of limited length. Refused: nothing that can be seen where words are required, control characters, halves of
 * characters, marks that turn the direction of what follows, and markup, which has no place in a sentence about grappling
 * and every place in an attack.
 *
 * <p>Compiled for browsers too, so without regular expressions and streams, which would be a third of what they fetch.
 *
 * @param least fewest characters after trimming
 * @param most most characters
 */
public record Text(int least, int most) {

    /** A name that must stand in one line. */
    public static final Text TITLE = new Text(1, 90);
    /** A sentence; may be absent. */
    public static final Text SENTENCE = new Text(0, 400);
    /** A sentence that must say something. */
    public static final Text WORDS = new Text(1, 400);

    /** Letters by their category that show nothing: fillers of Hangul, and the blank of Braille. */
    private static final Set<Integer> BLANK = Set.of(0x115F, 0x1160, 0x2800, 0x3164, 0xFFA0);

    /**
     * The text as it is kept: characters composed (Unicode Normalization Form C), so that what looks the same is the same,
     * and without marks that turn the direction of writing, so that nothing reads otherwise than it stands.
     */
    public static String tidy(String value) {
        return Composed.of(withoutTurns(value));
    }

    private static String withoutTurns(String value) {
        if (!holdsTurn(value)) {
            return value;
        }
        StringBuilder kept = new StringBuilder();
        for (int i = 0; i < value.length(); i++) {
            if (!isTurn(value.charAt(i))) {
                kept.append(value.charAt(i));
            }
        }
        return kept.toString();
    }

    private static boolean holdsTurn(String value) {
        for (int i = 0; i < value.length(); i++) {
            if (isTurn(value.charAt(i))) {
                return true;
            }
        }
        return false;
    }

    /** Embeddings, overrides and isolates of Unicode Standard Annex 9: what follows them reads otherwise than it stands. */
    private static boolean isTurn(char c) {
        return c >= 0x202A && c <= 0x202E || c >= 0x2066 && c <= 0x2069;
    }

    private static boolean holdsMarkup(String value) {
        for (int i = value.indexOf('<'); i >= 0; i = value.indexOf('<', i + 1)) {
            char next = i + 1 < value.length() ? value.charAt(i + 1) : ' ';
            if (next >= 'a' && next <= 'z' || next >= 'A' && next <= 'Z' || next == '/' || next == '!' || next == '?') {
                return true;
            }
        }
        return false;
    }

    private static boolean anyOf(String value, IntPredicate wanted) {
        for (int i = 0; i < value.length(); i += Character.charCount(value.codePointAt(i))) {
            if (wanted.test(value.codePointAt(i))) {
                return true;
            }
        }
        return false;
    }

    private static boolean holdsSeen(String value, int least) {
        int seen = 0;
        for (int i = 0; i < value.length() && seen < least; i += Character.charCount(value.codePointAt(i))) {
            seen += isSeen(value.codePointAt(i)) ? 1 : 0;
        }
        return seen >= least;
    }

    /** True for a text that is none: with half a character in it, or one that no text may hold. */
    public static boolean isBroken(String value) {
        return anyOf(value, Text::isBroken);
    }

    private static boolean isBroken(int c) {
        return c == 0 || Character.getType(c) == Character.SURROGATE || (c & 0xFFFE) == 0xFFFE || c >= 0xFDD0 && c <= 0xFDEF;
    }

    /**
     * Anything as it can be shown in a sentence: what no text may hold is shown as the sign for a lost character, and
     * nothing turns the sentence round.
     */
    public static String shown(String value) {
        return withoutTurns(value).codePoints()
                .map(c -> c != '\n' && (isControl(c) || isBroken(c)) ? 0xFFFD : c)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    }

    /** What is wrong with {@code value}; empty when nothing is. */
    public Optional<String> problem(String name, String value) {
        if (least > 0 && !holdsSeen(value, least)) {
            return Optional.of(name + " is empty; write a few words.");
        }
        if (value.length() > most) {
            return Optional.of("%s has %d characters; at most %d fit.".formatted(name, value.length(), most));
        }
        if (isBroken(value)) {
            return Optional.of(name + " holds half a character or one that no text may hold; write it again.");
        }
        if (anyOf(value, Text::isControl)) {
            return Optional.of(name + " holds a control character or line break; write it in one plain line.");
        }
        if (holdsTurn(value)) {
            return Optional.of(name + " holds a mark that turns the direction of writing; write it without.");
        }
        if (holdsMarkup(value)) {
            return Optional.of(name + " holds markup (“<…”); write plain words.");
        }
        return Optional.empty();
    }

    private static boolean isControl(int c) {
        int type = Character.getType(c);
        return Character.isISOControl(c) || type == Character.LINE_SEPARATOR || type == Character.PARAGRAPH_SEPARATOR;
    }

    private static boolean isSeen(int c) {
        return switch (Character.getType(c)) {
            case Character.CONTROL, Character.FORMAT, Character.SURROGATE, Character.UNASSIGNED, Character.SPACE_SEPARATOR,
                    Character.LINE_SEPARATOR, Character.PARAGRAPH_SEPARATOR, Character.NON_SPACING_MARK,
                    Character.ENCLOSING_MARK -> false;
            default -> !BLANK.contains(c);
        };
    }

    /**
     * Returns {@code value} unchanged when it is fit.
     *
     * @throws RefusedException naming what is wrong otherwise
     */
    public String require(String name, String value) {
        problem(name, value).ifPresent(sentence -> {
            throw new RefusedException(sentence);
        });
        return value;
    }
}
