package app.narrowgate.core.drill;

import app.narrowgate.core.trait.Side;
import java.util.List;

/**
 * A stretch of the drill with one partner on the bottom and the feeder on one side.
 *
 * @param calls the feeder's calls in order, as indexes into the sheet's links
 */
public record DrillBlock(Role bottom, Side side, List<Integer> calls) {
    public DrillBlock {
        calls = List.copyOf(calls);
    }
}
