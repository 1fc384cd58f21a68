package app.narrowgate.core.solve;

import app.narrowgate.core.check.RefusedException;

/**
 * The equations of a map's loops cannot be solved here: so many situations lead to one another, each to many, that they outgrow time
 * and memory, or a loop is left more seldom than a number can say.
 */
public final class TangledException extends RefusedException {

    private static final long serialVersionUID = 1;

    private TangledException(String message) {
        super(message);
    }

    static TangledException large() {
        return new TangledException("So many of this map's situations lead back to one another that its odds cannot be computed here. "
                + "Split it into several maps.");
    }

    static TangledException slow() {
        return new TangledException("Some situations of this map lead back to one another so surely that nobody gets out of them in any time, and their "
                + "odds cannot be computed here. Give one of them an answer that leads out more often.");
    }
}
