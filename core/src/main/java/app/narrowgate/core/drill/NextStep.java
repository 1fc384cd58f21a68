package app.narrowgate.core.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a pair does after a repetition has landed, so that no line of a sheet ends with a loss. Common practice, no source.
 *
 * @param place the situation that comes next; empty after {@link Kind#LET_GO} and {@link Kind#RESET}
 * @param answer what the bottom player does there
 */
public record NextStep(Kind kind, Optional<Id> place, Optional<Id> answer) {

    /** How it goes on. */
    public enum Kind implements Coded {
        /** The bottom player answers from where it landed. */
        GO_ON,
        /** It landed in a place of rest: the top player begins something from there. */
        FEED,
        /** It was a reversal: the other one is on the bottom now. */
        SWAP,
        /** It was a tap: both let go and begin again, earlier or with less weight. */
        LET_GO,
        /** Nothing is known to follow; both go back to where they began. */
        RESET
    }

    /** What comes after {@code landing} in a drill whose links begin in {@code starts}. */
    public static NextStep after(PracticeGraph graph, Id landing, Set<Id> starts) {
        MapIndex index = graph.solved().index();
        if (index.outcome(landing).filter(o -> o.kind() == PlaceKind.TAP).isPresent()) {
            return new NextStep(Kind.LET_GO, Optional.empty(), Optional.empty());
        }
        Optional<Id> then = graph.then(landing);
        if (then.isPresent()) {
            return new NextStep(Kind.SWAP, then, Optional.empty());
        }
        if (starts.contains(landing)) {
            return at(graph, Kind.GO_ON, landing);
        }
        List<Id> feeds = graph.feeds(landing);
        Optional<Id> fed = feeds.stream().filter(starts::contains).findFirst().or(() -> feeds.stream().findFirst());
        if (fed.isPresent()) {
            return at(graph, Kind.FEED, fed.get());
        }
        boolean answered = index.situation(landing).isPresent() && graph.solved().best(graph.solved().place(landing)).isPresent();
        return answered ? at(graph, Kind.GO_ON, landing) : new NextStep(Kind.RESET, Optional.empty(), Optional.empty());
    }

    private static NextStep at(PracticeGraph graph, Kind kind, Id place) {
        return new NextStep(kind, Optional.of(place), graph.solved().best(graph.solved().place(place)).map(Reaction::id));
    }
}
