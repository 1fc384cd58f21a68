package app.narrowgate.core.map;

import java.util.Optional;

/**
 * What a house takes for granted when nothing else is asked for.
 *
 * @param matchup a saved matchup of the map; where it is empty the map's first one, or an even pair where there is none
 * @param thinking how long choosing takes its students
 */
public record House(Optional<Id> matchup, ThinkingTime thinking) {

    /** The map's first matchup, the usual thinking time. */
    public static final House USUAL = new House(Optional.empty(), ThinkingTime.USUAL);
}
