package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * One situation, solved.
 *
 * @param lower certified lower bound of the worth, in [0,1]
 * @param upper certified upper bound of the worth, in [0,1]
 * @param best the reaction to choose; empty where resting is best, nothing gains anything, or what would be chosen has
 *     not been given a response yet
 * @param stop true when one may rest here and that is worth at least as much as going on
 * @param ends chance of each kind of end when the best reactions are chosen
 * @param neverEnds chance that the round never ends; with {@code ends} this sums to 1
 * @param forced the best kind of end, by the aim's worth, that can be forced from here whatever they answer: that kind
 *     or a better one; empty where none of worth can
 * @param exchanges expected number of reactions tried until the round ends; empty where it may never end
 * @param seconds expected time until the round ends, without the time that responses take; empty where it may never end
 * @param margin how much the best choice is worth above the next best, in [0,1]
 * @param reactions usable ones by worth, best first, then closed ones; equal ones in the map's order
 */
public record SituationOdds(Id situation, double lower, double upper, Optional<Id> best, boolean stop,
        Map<PlaceKind, Double> ends, double neverEnds, Optional<PlaceKind> forced, OptionalDouble exchanges,
        OptionalDouble seconds, double margin, List<ReactionOdds> reactions) {

    /** Kinds of end that are a guard or better. */
    static final Set<PlaceKind> GUARD_OR_BETTER =
            Collections.unmodifiableSet(EnumSet.of(PlaceKind.REVERSAL, PlaceKind.COUNTER, PlaceKind.STANDING, PlaceKind.GUARD));

    public SituationOdds {
        EnumMap<PlaceKind, Double> ordered = new EnumMap<>(PlaceKind.class);
        ordered.putAll(ends);
        ends = Collections.unmodifiableMap(ordered);
        reactions = List.copyOf(reactions);
    }

    /** Chance of ending in one of {@code kinds}, in [0,1]. */
    public double chanceOf(PlaceKind... kinds) {
        return chanceOf(List.of(kinds));
    }

    private double chanceOf(Collection<PlaceKind> kinds) {
        double sum = 0;
        for (PlaceKind kind : kinds) {
            sum += ends.getOrDefault(kind, 0.0);
        }
        return sum;
    }

    /** Chance of a reversal, a counter-attack, standing or a guard. */
    public double guardOrBetter() {
        return chanceOf(GUARD_OR_BETTER);
    }

    /** Chance of half guard or better. */
    public double halfOrBetter() {
        return guardOrBetter() + chanceOf(PlaceKind.HALF);
    }

    /** The middle of the two bounds, at most half a millionth off. */
    public double worth() {
        return 0.5 * (lower + upper);
    }
}
