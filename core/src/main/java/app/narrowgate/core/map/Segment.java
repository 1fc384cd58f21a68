package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;

/** A body segment of the bottom player that can be held or free. "Near" is the side on which the top player lies. */
public enum Segment implements Coded {
    HEAD, NEAR_ARM, FAR_ARM, TRUNK, HIPS, NEAR_LEG, FAR_LEG
}
