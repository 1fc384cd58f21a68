package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import java.util.ArrayList;
import java.util.List;

/**
 * Turns for a group of three, so that after every third turn each has been on the bottom, fed and rested equally often,
 * and after every sixth each has fed each other one as often.
 */
public final class RotationOfThree {

    /** Turns that can be planned. */
    public static final Range TURNS = new Range(1, 600, "turns");

    private static final int[][] ROUND = {{0, 1, 2}, {1, 2, 0}, {2, 0, 1}, {0, 2, 1}, {2, 1, 0}, {1, 0, 2}};

    /** Who does what in a turn: numbers 0 to 2. */
    public record Turn(int bottom, int feeder, int rests) {
    }

    private RotationOfThree() {
    }

    /** {@code turns} turns. */
    public static List<Turn> of(int turns) {
        TURNS.require("The turns", turns);
        List<Turn> all = new ArrayList<>();
        for (int turn = 0; turn < turns; turn++) {
            int[] who = ROUND[turn % ROUND.length];
            all.add(new Turn(who[0], who[1], who[2]));
        }
        return all;
    }
}
