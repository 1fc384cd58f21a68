package app.narrowgate.core.trait;

import app.narrowgate.core.check.Coded;

/** For whom a technique is meant, from the first months on. */
public enum Level implements Coded {
    /** First months. */
    NOVICE,
    /** Some years. */
    INTERMEDIATE,
    /** Experienced. */
    ADVANCED
}
