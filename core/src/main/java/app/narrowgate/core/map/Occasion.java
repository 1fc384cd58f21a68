package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;

/** What the round is for. */
public enum Occasion implements Coded {
    SPORT, SELF_PROTECTION
}
