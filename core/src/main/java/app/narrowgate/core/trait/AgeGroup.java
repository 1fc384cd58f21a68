package app.narrowgate.core.trait;

import app.narrowgate.core.check.Coded;

/** Who is on the mat. */
public enum AgeGroup implements Coded {
    ADULTS, CHILDREN
}
