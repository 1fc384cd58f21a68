package app.narrowgate.core.odds;

/** Under this setting the odds cannot be told to within a millionth, so nothing may be concluded from them. */
public final class NotConvergedException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    /** With a sentence that says what to do. */
    public NotConvergedException() {
        super("The map goes round so slowly under this setting that its odds cannot be told to within one in a million. "
                + "Move the partner's read a little, or shorten the loop.");
    }
}
