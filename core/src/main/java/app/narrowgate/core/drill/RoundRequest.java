package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.LinkRef;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;

/**
 * What a round pattern is asked for: an opening that is always the same, {@code least} to {@code most} recoveries that the
 * feeder chooses, then a finish that the partner's stance asks for, then swap.
 *
 * @param opening links with which every turn begins, in order; may be empty
 * @param recoveries links back to a place of rest, any of which may be called
 * @param finishes links that turn the pair round, or end the turn; empty where the pair swaps by word
 * @param fakes how many calls there are beside the recoveries that begin something and take it back
 * @param turns of each partner on the bottom
 * @param inAll recoveries of each partner in all turns together; empty where every length of a turn comes equally often
 */
public record RoundRequest(List<LinkRef> opening, List<LinkRef> recoveries, List<LinkRef> finishes, int fakes, int least, int most,
        int turns, Optional<Integer> inAll, long seed) {

    /** Recoveries in one turn. */
    public static final Range RECOVERIES = new Range(1, 500, "recoveries");
    /** Turns of one partner. */
    public static final Range TURNS = new Range(1, 200, "turns");

    /** Calls that are taken back. */
    public static final Range FAKES = new Range(0, 4, "fakes");

    public RoundRequest {
        opening = List.copyOf(opening);
        recoveries = List.copyOf(recoveries);
        finishes = List.copyOf(finishes);
        RECOVERIES.require("The least number of recoveries", least);
        RECOVERIES.require("The most recoveries", most);
        TURNS.require("The turns", turns);
        FAKES.require("The fakes", fakes);
        if (most < least) {
            throw new RefusedException("%d to %d recoveries: the first number is the smaller one.".formatted(least, most));
        }
        requireOnce("opening", opening);
        requireOnce("recovery", recoveries);
        requireOnce("finish", finishes);
        inAll.ifPresent(all -> {
            if (all < (long) least * turns || all > (long) most * turns) {
                throw new RefusedException("%d recoveries in %d turns of %d to %d do not go.".formatted(all, turns, least, most));
            }
        });
        if (recoveries.isEmpty()) {
            throw new RefusedException("There is no recovery to call; choose at least one link that ends in a place of rest.");
        }
    }

    /** Recoveries and finishes alone. */
    public static RoundRequest of(List<LinkRef> recoveries, List<LinkRef> finishes, int least, int most, int turns, long seed) {
        return new RoundRequest(List.of(), recoveries, finishes, 0, least, most, turns, Optional.empty(), seed);
    }

    private static void requireOnce(String what, List<LinkRef> links) {
        if (links.size() > CallOrder.MOST_CALLS || new HashSet<>(links).size() < links.size()) {
            throw new RefusedException("A link stands once in the list (%s), and there are %d at most."
                    .formatted(what, CallOrder.MOST_CALLS));
        }
    }
}
