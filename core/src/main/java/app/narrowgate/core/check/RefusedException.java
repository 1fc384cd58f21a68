package app.narrowgate.core.check;

/**
 * What somebody asked for cannot be had, or what they gave cannot be taken; the message is a sentence for them that
 * names the value and the rule. Any other {@link IllegalArgumentException} is a mistake of the program.
 */
public class RefusedException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    /** With a sentence for the person. */
    public RefusedException(String message) {
        super(Text.shown(message));
    }
}
