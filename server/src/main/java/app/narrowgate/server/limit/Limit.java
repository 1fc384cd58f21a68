package app.narrowgate.server.limit;

import java.util.Locale;

/** The limits that somebody may come to; docs/running.md says how wide each is, and why. */
public enum Limit {
    /** Wrong passwords of a name, a device or an address. */
    SIGN_IN_TRIES,
    /** Passwords being hashed at once. */
    HASHING,
    /** The length of a body. */
    BODY_LENGTH,
    /** How long a body may be on its way. */
    BODY_DEADLINE,
    /** Bodies on their way at once, of an address, or files in all. */
    BODIES_AT_ONCE,
    /** A name that this server does not go by, or a page of another origin. */
    HOST,
    /** Answers waiting to be computed at once. */
    ANSWERS_AT_ONCE,
    /** How long an answer may be computed. */
    ANSWER_TIME,
    /** Runs of one person at once. */
    RUNS_OF_A_PERSON,
    /** Runs of everybody at once. */
    RUNS_AT_ONCE,
    /** Screens that follow classes at once. */
    SCREENS_AT_ONCE,
    /** Archives of whole gyms being written at once. */
    ARCHIVES_AT_ONCE;

    /** Its name in the metrics. */
    String tag() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
