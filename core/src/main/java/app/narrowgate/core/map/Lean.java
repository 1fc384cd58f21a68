package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;

/** What a technique leans on, so that a matchup can say whether it still does. */
public enum Lean implements Coded {
    /** Moving their weight. */
    STRENGTH,
    /** Being first. */
    SPEED,
    /** Room between the two. */
    SPACE,
    /** Folding or turning upside down. */
    FLEXIBILITY,
    /** Long arms or legs. */
    LENGTH,
    /** A grip on the jacket. */
    JACKET
}
