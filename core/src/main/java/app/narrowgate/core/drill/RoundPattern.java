package app.narrowgate.core.drill;

import app.narrowgate.core.map.LinkRef;
import java.util.List;
import java.util.Optional;

/**
 * Turns of recoveries and finishes, the partners by turns on the bottom.
 *
 * @param steps the whole walk; the last step ends the last turn
 * @param guessing how well the one on the bottom could guess the next call, the better of both partners
 */
public record RoundPattern(List<Turn> turns, List<DrillStep> steps, Guessing guessing) {

    /**
     * One partner's turn.
     *
     * @param calls what the feeder calls in order: numbers of the recoveries, from their count on those of the fakes
     */
    public record Turn(Role bottom, List<Integer> calls, Optional<LinkRef> finish) {
        public Turn {
            calls = List.copyOf(calls);
        }
    }

    public RoundPattern {
        turns = List.copyOf(turns);
        steps = List.copyOf(steps);
    }

    /** What it costs and gives. */
    public DrillFigures figures() {
        return DrillFigures.of(steps);
    }
}
