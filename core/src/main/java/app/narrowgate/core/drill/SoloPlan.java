package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;
import java.util.List;
import java.util.Optional;

/**
 * What to practise alone: the fewest movements that stand behind what was chosen.
 *
 * @param lines what to do in order
 * @param without techniques that name no movement, so that nothing solo stands behind them
 * @param share of the chosen techniques' weight in [0,1] that the movements stand behind
 * @param proven false where there were too many movements to be sure that fewer do not do
 */
public record SoloPlan(List<Line> lines, List<Id> without, double share, boolean proven) {

    /**
     * One movement on one side.
     *
     * @param side empty where the movement has no sides
     * @param minutes above 0
     */
    public record Line(Id movement, Optional<Side> side, int repetitions, double minutes) {
    }

    public SoloPlan {
        lines = List.copyOf(lines);
        without = List.copyOf(without);
    }

    /** The movements, each once. */
    public List<Id> movements() {
        return lines.stream().map(Line::movement).distinct().toList();
    }
}
