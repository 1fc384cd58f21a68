package app.narrowgate.core.drill;

import app.narrowgate.core.map.Coded;

/** The side on which the top player lies. The map is written once; practice is counted per side. */
public enum Side implements Coded {
    LEFT, RIGHT;

    /** The other one. */
    public Side other() {
        return this == LEFT ? RIGHT : LEFT;
    }
}
