package app.narrowgate.core.odds;

import app.narrowgate.core.check.Coded;

/**
 * Why a reaction is closed.
 *
 * @param kind what closes it
 * @param what the id or code of the fact, stance, injury, rule or aim; of what is wrong the reaction's own id
 */
public record Closing(Kind kind, String what) {

    /** What can close a reaction. */
    public enum Kind implements Coded {
        /** The situation or the matchup knows a needed fact to be otherwise. */
        FACT,
        /** The house has taken the other stance. */
        STANCE,
        /** An injury forbids it. */
        INJURY,
        /** It is not for children. */
        CHILDREN,
        /** A rule of the matchup closes it. */
        RULE,
        /** Under this aim the round ends with coming here. */
        AIM,
        /** It is told as what not to do. */
        DO_NOT
    }
}
