package app.narrowgate.core.map;

/** Who is on the mat. */
public enum AgeGroup implements Coded {
    ADULTS, CHILDREN
}
