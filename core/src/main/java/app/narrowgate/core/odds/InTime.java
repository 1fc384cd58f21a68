package app.narrowgate.core.odds;

import app.narrowgate.core.check.RefusedException;

/**
 * The chance that something taking {@code t} seconds is done before the clock moves on.
 *
 * <p>The clock's time is Erlang distributed with shape {@value #SHAPE} and the given mean {@code m}, so the chance is
 * the survival function {@code e^(-kt/m) Σ_{j<k} (kt/m)^j / j!}. A shape of 4 makes very early and very late advances
 * rare without making the clock a metronome; it is the project's own choice.
 */
public final class InTime {

    /** Shape of the clock's distribution. */
    public static final int SHAPE = 4;

    private InTime() {
    }

    /**
     * The chance in [0,1].
     *
     * @param seconds time needed, at least 0; infinity gives 0
     * @param mean the clock's mean in seconds, above 0
     * @throws RefusedException for NaN or values outside
     */
    public static double chance(double seconds, double mean) {
        if (!(seconds >= 0)) {
            throw new RefusedException("The time needed is %s; it must be 0 seconds or more.".formatted(seconds));
        }
        if (!(mean > 0)) {
            throw new RefusedException("The clock's mean is %s; it must be above 0 seconds.".formatted(mean));
        }
        if (Double.isInfinite(mean)) {
            return 1;
        }
        return survival(SHAPE, SHAPE * seconds / mean);
    }

    /**
     * The mean of the earlier of {@code seconds} and the clock, {@code ∫₀ᵗ P(T > x) dx}, in closed form.
     *
     * @throws RefusedException for NaN or values outside
     */
    public static double meanOfEarlier(double seconds, double mean) {
        if (Double.isInfinite(mean)) {
            chance(seconds, 1);
            return seconds;
        }
        // The integral of an Erlang survival function of shape k is (m/k) times the sum over j < k of the chance that a
        // gamma variable of shape j+1 lies below t.
        double x = SHAPE * seconds / mean;
        double sum = 0;
        for (int shape = 1; shape <= SHAPE; shape++) {
            sum += 1 - survival(shape, x);
        }
        chance(seconds, mean);
        return mean / SHAPE * sum;
    }

    /** Survival of a gamma variable of whole shape and scale 1 at {@code x}. */
    private static double survival(int shape, double x) {
        if (x > 700) {
            return 0;
        }
        double term = 1;
        double sum = 1;
        for (int j = 1; j < shape; j++) {
            term *= x / j;
            sum += term;
        }
        return Math.min(1, Math.exp(-x) * sum);
    }
}
