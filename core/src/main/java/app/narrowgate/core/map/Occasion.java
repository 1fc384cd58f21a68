package app.narrowgate.core.map;

/** What the round is for. */
public enum Occasion implements Coded {
    SPORT, SELF_PROTECTION
}
