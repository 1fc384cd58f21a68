package app.narrowgate.core.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Odds;
import java.util.Optional;

/**
 * What a pair does after a repetition has landed, so that no repetition ends with a loss. Common practice, no source.
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

    /** What comes after a landing. */
    static NextStep after(MapIndex index, Odds odds, Id landing) {
        return index.situation(landing).map(situation -> after(odds, situation))
                .orElseGet(() -> index.outcome(landing).map(NextStep::after).orElseThrow());
    }

    private static NextStep after(Odds odds, Situation situation) {
        if (!situation.feeds().isEmpty()) {
            Id begun = situation.feeds().get(0);
            return new NextStep(Kind.FEED, Optional.of(begun), odds.at(begun).best());
        }
        Optional<Id> best = odds.at(situation.id()).best();
        return best.isPresent() ? new NextStep(Kind.GO_ON, Optional.of(situation.id()), best)
                : new NextStep(Kind.RESET, Optional.empty(), Optional.empty());
    }

    private static NextStep after(Outcome outcome) {
        if (outcome.kind() == PlaceKind.TAP) {
            return new NextStep(Kind.LET_GO, Optional.empty(), Optional.empty());
        }
        return outcome.then().isPresent() ? new NextStep(Kind.SWAP, outcome.then(), Optional.empty())
                : new NextStep(Kind.RESET, Optional.empty(), Optional.empty());
    }
}
