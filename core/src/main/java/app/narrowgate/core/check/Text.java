package app.narrowgate.core.check;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Plain text of limited length. Refused: nothing but white space where words are required, control characters, and
 * markup, which has no place in a sentence about grappling and every place in an attack.
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

    /** What is wrong with {@code value}; empty when nothing is. */
    public Optional<String> problem(String name, String value) {
        if (value.strip().length() < least) {
            return Optional.of(name + " is empty; write a few words.");
        }
        if (value.length() > most) {
            return Optional.of("%s has %d characters; at most %d fit.".formatted(name, value.length(), most));
        }
        if (value.chars().anyMatch(c -> Character.isISOControl(c) || c == '\uFFFE' || c == '\uFFFF')) {
            return Optional.of(name + " holds a control character or line break; write it in one plain line.");
        }
        if (MARKUP.matcher(value).find()) {
            return Optional.of(name + " holds markup (“<…”); write plain words.");
        }
        return Optional.empty();
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
