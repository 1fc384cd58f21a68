package app.narrowgate.core.picture;

import app.narrowgate.core.check.Coded;

/** What of a body is painted as one and can be held as one. */
public enum BodyPart implements Coded {
    HEAD, TRUNK, HIPS, LEFT_ARM, RIGHT_ARM, LEFT_LEG, RIGHT_LEG
}
