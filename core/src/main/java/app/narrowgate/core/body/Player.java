package app.narrowgate.core.body;

import app.narrowgate.core.check.Coded;

/** Who a joint belongs to: the bottom player, "you", or the top player, "they". */
public enum Player implements Coded {
    YOU, THEY;

    /** The other one. */
    public Player other() {
        return this == YOU ? THEY : YOU;
    }
}
