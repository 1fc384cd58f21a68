package app.narrowgate.core.drill;

import app.narrowgate.core.check.Coded;

/** Which of the two partners is the bottom player. */
public enum Role implements Coded {
    FIRST, SECOND;

    /** The other one. */
    public Role other() {
        return this == FIRST ? SECOND : FIRST;
    }
}
