package app.narrowgate.core.memory;

import app.narrowgate.core.check.Range;

/**
 * What somebody holds of one thing that they practised: the open spaced-repetition formula FSRS 6 with its public parameters. It was
 * fitted to cards that are learned at a table; nobody has published such a fit for grappling, so its figures stand in as our estimate until a
 * record tells better. Each step is O(1).
 *
 * @param stability days after which nine of ten are still remembered, in [0.001, 36500]
 * @param difficulty how slowly it grows firm, in [1, 10]
 */
public record Memory(double stability, double difficulty) {

    /** Days since something was practised. */
    public static final Range DAYS = new Range(0, 36_500, "days");

    private static final Range STABILITY = new Range(0.001, 36_500, "days");
    private static final Range DIFFICULTY = new Range(1, 10, "");

    private static final double[] W = {0.212, 1.2931, 2.3065, 8.2956, 6.4133, 0.8334, 3.0194, 0.001, 1.8722, 0.1666, 0.796, 1.4835, 0.0614, 0.2629,
        1.6483, 0.6014, 1.8729, 0.5425, 0.0912, 0.0658, 0.1542};
    private static final double DECAY = W[20];
    /** So that the stability is where nine of ten are left. */
    private static final double FACTOR = Math.pow(0.9, -1 / DECAY) - 1;
    private static final double DAY = 1;

    public Memory {
        STABILITY.require("The stability of a memory", stability);
        DIFFICULTY.require("The difficulty of a memory", difficulty);
    }

    /** After the first time. */
    public static Memory first(Grade grade) {
        return new Memory(W[grade.ordinal()], DIFFICULTY.nearest(firstDifficulty(grade)));
    }

    private static double firstDifficulty(Grade grade) {
        return W[4] - Math.exp(W[5] * grade.ordinal()) + 1;
    }

    /** Chance in (0,1] that it is still there so many days, at least 0, after the last time; falls as a power of the days. */
    public double retention(double days) {
        return Math.pow(1 + FACTOR * DAYS.require("The days since", days) / stability, -DECAY);
    }

    /** After another time, so many days, at least 0, after the last one; a time on the same day adds little. */
    public Memory after(double days, Grade grade) {
        DAYS.require("The days since", days);
        double grown = days < DAY ? sameDay(grade) : grade == Grade.AGAIN ? forgotten(days) : recalled(days, grade);
        return new Memory(STABILITY.nearest(grown), harder(grade));
    }

    private double sameDay(Grade grade) {
        double times = Math.exp(W[17] * (grade.ordinal() - 2 + W[18])) * Math.pow(stability, -W[19]);
        return stability * (grade.compareTo(Grade.GOOD) >= 0 ? Math.max(1, times) : times);
    }

    private double forgotten(double days) {
        double left = W[11] * Math.pow(difficulty, -W[12]) * (Math.pow(stability + 1, W[13]) - 1) * Math.exp(W[14] * (1 - retention(days)));
        return Math.min(left, stability / Math.exp(W[17] * W[18]));
    }

    private double recalled(double days, Grade grade) {
        double by = grade == Grade.HARD ? W[15] : grade == Grade.EASY ? W[16] : 1;
        return stability * (1 + by * Math.exp(W[8]) * (11 - difficulty) * Math.pow(stability, -W[9]) * (Math.exp(W[10] * (1 - retention(days))) - 1));
    }

    /** Nearer to its bound the less it moves, and drawn a little to that of what was easy at once. */
    private double harder(Grade grade) {
        double moved = difficulty + W[6] * (2 - grade.ordinal()) * (10 - difficulty) / 9;
        return DIFFICULTY.nearest(W[7] * firstDifficulty(Grade.EASY) + (1 - W[7]) * moved);
    }
}
