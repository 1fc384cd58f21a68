package app.narrowgate.core.lever;

import app.narrowgate.core.check.Range;

/** Lengths of limbs and ranges that the levers share. */
final class Measures {

    /** Standard gravity: newtons that one kilogram weighs. */
    static final double GRAVITY = 9.80665;
    /**
     * Lengths as shares of stature: Drillis and Contini (1966) as D. A. Winter gives them in "Biomechanics and motor control
     * of human movement"; written down from memory.
     */
    static final double UPPER_ARM = .186;
    static final double FOREARM = .146;
    static final double SHANK = .246;

    static final Range STATURE = new Range(1.15, 2.2, "m");
    static final Range FORCE = new Range(1, 200, "kg");
    static final Range ALONG = new Range(.1, 1, "");

    private Measures() {
    }
}
