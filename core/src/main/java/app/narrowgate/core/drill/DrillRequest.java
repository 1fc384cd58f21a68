package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;

/**
 * What a drill sheet is asked for.
 *
 * @param minutes time for the whole drill
 * @param links how many links at most; beginners keep two apart, nobody more than a handful
 * @param weakSide the side that comes first
 * @param seed decides the order of calls
 */
public record DrillRequest(Id situation, double minutes, int links, Side weakSide, long seed) {

    /** Minutes a drill may last. */
    public static final Range MINUTES = new Range(1, 60, "minutes");
    /** Links a sheet may have. */
    public static final Range LINKS = new Range(1, 6, "links");

    public DrillRequest {
        MINUTES.require("The time", minutes);
        LINKS.require("The number of links", links);
    }
}
