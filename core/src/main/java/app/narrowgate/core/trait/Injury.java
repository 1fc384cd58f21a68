package app.narrowgate.core.trait;

import app.narrowgate.core.check.Coded;

/** A body part whose injury can forbid a technique. */
public enum Injury implements Coded {
    KNEE, NECK, SHOULDER, RIB, ELBOW, WRIST, ANKLE, LOWER_BACK
}
