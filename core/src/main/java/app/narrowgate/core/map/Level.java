package app.narrowgate.core.map;

/** For whom a technique is meant, from the first months on. */
public enum Level implements Coded {
    /** First months. */
    NOVICE,
    /** Some years. */
    INTERMEDIATE,
    /** Experienced. */
    ADVANCED
}
