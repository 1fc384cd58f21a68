package app.narrowgate.core.solve;

/**
 * The solved values of a game.
 *
 * @param lower {@code lower[place]}: certified lower bound of the value
 * @param upper {@code upper[place]}: certified upper bound of the value
 * @param choices {@code choices[situation]}: what reaches the lower bound
 * @param sweeps passes over the largest component that were needed
 * @param converged true when every gap is at most {@link IntervalIterationSolver#GAP}
 */
public record Solution(double[] lower, double[] upper, Choice[] choices, int sweeps, boolean converged) {

    /** The middle of the two bounds. */
    public double value(int place) {
        return 0.5 * (lower[place] + upper[place]);
    }

    /** What to do in situation {@code s}. */
    public Choice choice(int s) {
        return choices[s];
    }

    /** True when option {@code o} is what to do in situation {@code s}. */
    public boolean tries(int s, int o) {
        return choices[s] instanceof Choice.Try tried && tried.option() == o;
    }

    /** The middles of all bounds, index place. */
    public double[] values() {
        double[] values = new double[lower.length];
        for (int place = 0; place < values.length; place++) {
            values[place] = value(place);
        }
        return values;
    }
}
