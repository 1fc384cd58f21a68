package app.narrowgate.core.check;

/**
 * One thing wrong with an input.
 *
 * @param place where it stands, as a JSON pointer (RFC 6901) into the input, for example {@code /reactions/3/seconds}
 * @param message what is wrong (with its value), the rule, and where it helps the likely remedy
 */
public record Problem(String place, String message) {

    public Problem {
        place = Text.shown(place);
        message = Text.shown(message);
    }
}
