package app.narrowgate.core.lesson;

import app.narrowgate.core.trait.Level;

/**
 * How practice moves how often a reaction gets going: {@code works(m) = w + (ceiling − w)(1 − e^(−m/τ))}, the exponential law of
 * practice (Heathcote, Brown and Mewhort 2000, named from memory). The figures are house figures, our estimates until a record
 * replaces them.
 *
 * @param ceiling chance in [0,1] that practice leads towards; what is above it stays where it is
 * @param tau minutes of practice after which 63 of 100 parts of the way are gone
 */
record LearningCurve(double ceiling, double tau) {

    private static final double SOON = 0.4;
    private static final double LATER = 0.9;
    private static final double DAYS = 10;

    /** The curve of a level. */
    static LearningCurve of(Level level) {
        return switch (level) {
            case NOVICE -> new LearningCurve(0.75, 60);
            case INTERMEDIATE -> new LearningCurve(0.85, 50);
            case ADVANCED -> new LearningCurve(0.92, 45);
        };
    }

    /** Chance in [0,1] after {@code minutes} of practice, from {@code works}. Increasing and concave in the minutes. */
    double after(double works, double minutes) {
        return works + Math.max(0, ceiling - works) * (1 - Math.exp(-Math.max(0, minutes) / tau));
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
