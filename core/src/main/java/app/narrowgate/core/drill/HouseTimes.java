package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;

/**
 * What the steps of a drill cost, in seconds. The usual ones are the project's own estimates, no source; a gym may set
 * others.
 *
 * @param feed the top player begins something from a place of rest
 * @param swap the other one is on the bottom now and the chain goes on
 * @param reset both go back to a starting place
 * @param responding the top player's response to a reaction
 */
public record HouseTimes(double feed, double swap, double reset, double responding) {

    /** Seconds that one step may cost. */
    public static final Range SECONDS = new Range(0, 120, "seconds");
    /** Our estimates. */
    public static final HouseTimes USUAL = new HouseTimes(3, 1, 8, 2);

    public HouseTimes {
        SECONDS.require("A feed", feed);
        SECONDS.require("A swap", swap);
        SECONDS.require("A reset", reset);
        SECONDS.require("A response", responding);
    }
}
