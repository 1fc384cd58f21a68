package app.narrowgate.core.trait;

import app.narrowgate.core.check.Coded;

/** The side on which the top player lies. The map is written once; practice is counted per side. */
public enum Side implements Coded {
    LEFT, RIGHT;

    /** The other one. */
    public Side other() {
        return this == LEFT ? RIGHT : LEFT;
    }
}
