package app.narrowgate.core.odds;

import app.narrowgate.core.check.RefusedException;

/** Under this setting the odds cannot be told to within a millionth, so nothing may be concluded from them. */
public final class NotConvergedException extends RefusedException {

    private static final long serialVersionUID = 1;

    /** With a sentence that says what to do. */
    public NotConvergedException() {
        super("The map goes round so slowly under this setting that its odds cannot be told to within one in a million. "
                + "Move the partner's read a little, or shorten the loop.");
    }
}
