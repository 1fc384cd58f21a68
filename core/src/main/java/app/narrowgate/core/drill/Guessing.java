package app.narrowgate.core.drill;

import java.util.List;
import java.util.stream.DoubleStream;

/**
 * How often a partner who learns the feeder's habit would name the next call: hit rates in [0,1] over a row of calls.
 * Each guesser has two habits of thought, "what came most comes again" and "what came least is due"; the better of the
 * two counts. Guesses that are equally good are shared, so nothing is drawn.
 *
 * @param byCounts knows how often each came so far
 * @param byLast knows the last call and what followed it so far
 * @param byLastTwo knows the last two
 * @param calls how many different calls there are, at least 1
 */
public record Guessing(double byCounts, double byLast, double byLastTwo, int calls) {

    /**
     * The rates over {@code row}, whose calls are numbers {@code 0 .. calls-1}. Cost O(row · calls).
     */
    public static Guessing of(List<Integer> row, int calls) {
        Guessers guessers = new Guessers(calls);
        row.forEach(guessers::sees);
        return guessers.rates();
    }

    /** The best guesser's rate. */
    public double worst() {
        return DoubleStream.of(byCounts, byLast, byLastTwo).max().orElseThrow();
    }

    /** Blind luck. */
    public double luck() {
        return 1.0 / calls;
    }

    /** Rate by rate the better guesser of two rows. */
    Guessing or(Guessing other) {
        return new Guessing(Math.max(byCounts, other.byCounts), Math.max(byLast, other.byLast),
                Math.max(byLastTwo, other.byLastTwo), calls);
    }
}
