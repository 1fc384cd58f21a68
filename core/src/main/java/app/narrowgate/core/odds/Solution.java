package app.narrowgate.core.odds;

/**
 * The solved values of a game.
 *
 * @param lower {@code lower[place]}: certified lower bound of the value
 * @param upper {@code upper[place]}: certified upper bound of the value
 * @param choice {@code choice[situation]}: the option that reaches the lower bound, or {@link #STOP}
 * @param sweeps passes over the largest component that were needed
 * @param converged true when every gap is at most {@link IntervalIterationSolver#GAP}
 */
record Solution(double[] lower, double[] upper, int[] choice, int sweeps, boolean converged) {

    /** Stands in {@link #choice} for stopping, or for having nothing to do. */
    static final int STOP = -1;

    /** The middle of the two bounds. */
    double value(int place) {
        return 0.5 * (lower[place] + upper[place]);
    }

    /** The middles of all bounds, index place. */
    double[] values() {
        double[] values = new double[lower.length];
        for (int place = 0; place < values.length; place++) {
            values[place] = value(place);
        }
        return values;
    }
}
