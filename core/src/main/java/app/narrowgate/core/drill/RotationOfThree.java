package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import java.util.List;
import java.util.stream.IntStream;

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
        return IntStream.range(0, turns).mapToObj(RotationOfThree::turn).toList();
    }

    /** The turn of a number, from 0. */
    public static Turn turn(int number) {
        int[] who = ROUND[number % ROUND.length];
        return new Turn(who[0], who[1], who[2]);
    }
}
