package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;

/** The kind of an outcome or of a resting place; an aim gives each its worth. */
public enum PlaceKind implements Coded {
    REVERSAL, COUNTER, STANDING, GUARD, HALF, NEUTRAL, TURTLE, TAP
}
