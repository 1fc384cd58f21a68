package app.narrowgate.core.solve;

import app.narrowgate.core.check.RefusedException;

/** So many situations lead to one another, each to many, that their equations outgrow time and memory. */
public final class TangledException extends RefusedException {

    private static final long serialVersionUID = 1;

    /** With a sentence that says what to do. */
    public TangledException() {
        super("So many of this map's situations lead back to one another that its odds cannot be computed here. "
                + "Split it into several maps.");
    }
}
