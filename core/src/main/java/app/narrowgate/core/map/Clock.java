package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;

/**
 * What happens in a situation if the bottom player does nothing.
 *
 * @param seconds mean time until the top player advances
 * @param becomes the situation or outcome it then is
 */
public record Clock(double seconds, Id becomes) {

    /** Mean seconds a clock may have. */
    public static final Range SECONDS = new Range(0.1, 600, "seconds");

    public Clock {
        SECONDS.require("The clock", seconds);
    }
}
