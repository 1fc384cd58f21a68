package app.narrowgate.core.lesson;

import app.narrowgate.core.trait.Level;

/**
 * How the practice of one class moves how often a reaction gets going: {@code works(m) = w + (ceiling − w)(1 − e^(−m/τ))}, the exponential law
 * of practice (Heathcote, Brown and Mewhort 2000, named from memory). The ceiling is what one class can lead to, and lies above {@code w} by so
 * much in log odds: what seldom works does not often work after an hour, and what always works stays. The figures are house figures, our
 * estimates until a record replaces them.
 *
 * @param reach log odds by which the ceiling of one class lies above what there was, above 0
 * @param tau minutes of practice after which 63 of 100 parts of the way to it are gone
 */
public record LearningCurve(double reach, double tau) {

    private static final double SOON = 0.4;
    private static final double LATER = 0.9;
    private static final double DAYS = 10;
    private static final double WEEKS = 2;

    /** The curve of a level. */
    public static LearningCurve of(Level level) {
        return switch (level) {
            case NOVICE -> new LearningCurve(0.6, 11);
            case INTERMEDIATE -> new LearningCurve(0.5, 9);
            case ADVANCED -> new LearningCurve(0.4, 8);
        };
    }

    /** The curve of the minutes of several weeks together: twice as far, in twice the time; our estimate. */
    public LearningCurve overWeeks() {
        return new LearningCurve(WEEKS * reach, WEEKS * tau);
    }

    /** Chance in [0,1] after {@code minutes} of practice, from {@code works}. Increasing and concave in the minutes. */
    public double after(double works, double minutes) {
        return works + (ceiling(works) - works) * (1 - left(minutes));
    }

    /** Chance in [0,1] that one class leads towards, from {@code works}; 0 and 1 stay what they are. */
    double ceiling(double works) {
        return works <= 0 || works >= 1 ? works : 1 / (1 + (1 - works) / works * Math.exp(-reach));
    }

    /** Share of what is still to be learned that is left after so many minutes. */
    double left(double minutes) {
        return Math.exp(-Math.max(0, minutes) / tau);
    }

    /**
     * What a minute counts for who practised the same so many days ago: half a minute the day after, a whole one after some ten
     * days, a third more when it is nearly forgotten. The spacing effect (Cepeda et al. 2006, from memory); the figures are ours.
     */
    static double freshness(int days) {
        return SOON + LATER * (1 - Math.exp(-days / DAYS));
    }
}
