package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;

/** How late a situation is, in order. */
public enum Stage implements Coded {
    /** Contact, nothing connected yet. */
    EARLY,
    /** The grip or hold has connected, structure intact. */
    JOINED,
    /** Pin consolidated or posture broken. */
    SETTLED,
    /** A submission is closing. */
    LAST_CHANCE
}
