package app.narrowgate.core.check;

import java.text.Normalizer;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Plain text of limited length. Refused: nothing that can be seen where words are required, control characters, halves of
 * characters, marks that turn the direction of what follows, and markup, which has no place in a sentence about grappling
 * and every place in an attack.
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

    private static final Pattern MARKUP = Pattern.compile("<[a-zA-Z/!?]");
    /** Embeddings, overrides and isolates of Unicode Standard Annex 9: what follows them reads otherwise than it stands. */
    private static final Pattern DIRECTION = Pattern.compile("[\\u202A-\\u202E\\u2066-\\u2069]");
    /** Letters by their category that show nothing: fillers of Hangul, and the blank of Braille. */
    private static final Set<Integer> BLANK = Set.of(0x115F, 0x1160, 0x2800, 0x3164, 0xFFA0);

    /**
     * The text as it is kept: characters composed (Unicode Normalization Form C), so that what looks the same is the same,
     * and without marks that turn the direction of writing, so that nothing reads otherwise than it stands.
     */
    public static String tidy(String value) {
        String turned = DIRECTION.matcher(value).replaceAll("");
        return Normalizer.isNormalized(turned, Normalizer.Form.NFC) ? turned
                : Normalizer.normalize(turned, Normalizer.Form.NFC);
    }

    /** True for a text that is none: with half a character in it, or one that no text may hold. */
    public static boolean isBroken(String value) {
        return value.codePoints().anyMatch(Text::isBroken);
    }

    private static boolean isBroken(int c) {
        return c == 0 || Character.getType(c) == Character.SURROGATE || (c & 0xFFFE) == 0xFFFE || c >= 0xFDD0 && c <= 0xFDEF;
    }

    /**
     * Anything as it can be shown in a sentence: what no text may hold is shown as the sign for a lost character, and
     * nothing turns the sentence round.
     */
    public static String shown(String value) {
        return DIRECTION.matcher(value).replaceAll("").codePoints()
                .map(c -> c != '\n' && (isControl(c) || isBroken(c)) ? 0xFFFD : c)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    }

    /** What is wrong with {@code value}; empty when nothing is. */
    public Optional<String> problem(String name, String value) {
        if (least > 0 && value.codePoints().filter(Text::isSeen).limit(least).count() < least) {
            return Optional.of(name + " is empty; write a few words.");
        }
        if (value.length() > most) {
            return Optional.of("%s has %d characters; at most %d fit.".formatted(name, value.length(), most));
        }
        if (isBroken(value)) {
            return Optional.of(name + " holds half a character or one that no text may hold; write it again.");
        }
        if (value.codePoints().anyMatch(Text::isControl)) {
            return Optional.of(name + " holds a control character or line break; write it in one plain line.");
        }
        if (DIRECTION.matcher(value).find()) {
            return Optional.of(name + " holds a mark that turns the direction of writing; write it without.");
        }
        if (MARKUP.matcher(value).find()) {
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
