package app.narrowgate.core.map;

import java.util.List;
import java.util.Optional;

/**
 * What a house takes for granted when nothing else is asked for.
 *
 * @param matchup a saved matchup of the map; where it is empty the map's first one, or an even pair where there is none
 * @param thinking how long choosing takes its students
 * @param grips its ladder of grips, the weakest first; empty where it has none
 */
public record House(Optional<Id> matchup, ThinkingTime thinking, List<GripGrade> grips) {

    /** Grips as they are commonly told from weak to strong, with grades to begin with. Common practice, no source. */
    public static final List<GripGrade> USUAL_GRIPS = List.of(new GripGrade("Hook of the hand", 1),
            new GripGrade("Flat hand", 2), new GripGrade("Closed grip, thumb round", 4));

    /** The map's first matchup, the usual thinking time, the usual grips. */
    public static final House USUAL = new House(Optional.empty(), ThinkingTime.USUAL, USUAL_GRIPS);

    /** Keeps the order. */
    public House {
        grips = List.copyOf(grips);
    }

    /** What is wrong with the ladder of grips; empty when nothing is. */
    Optional<String> gripsProblem() {
        if (grips.size() > GripGrade.MOST) {
            return Optional.of("%d grips are too many; at most %d fit.".formatted(grips.size(), GripGrade.MOST));
        }
        return grips.stream().map(GripGrade::title).distinct().count() < grips.size()
                ? Optional.of("Two grips have the same title; give each its own.") : Optional.empty();
    }

    /** The same with another matchup, or the map's first one. */
    public House with(Optional<Id> other) {
        return new House(other, thinking, grips);
    }

    /** The same with another thinking time. */
    public House with(ThinkingTime other) {
        return new House(matchup, other, grips);
    }

    /** The same with another ladder of grips. */
    public House with(List<GripGrade> others) {
        return new House(matchup, thinking, others);
    }
}
