package app.narrowgate.core.memory;

import app.narrowgate.core.check.Coded;

/** How something went when it was practised again; the order is that of the parameters. */
public enum Grade implements Coded {
    /** It was gone. */
    AGAIN,
    /** It came, with trouble. */
    HARD,
    /** It came. */
    GOOD,
    /** It came at once. */
    EASY
}
