package app.narrowgate.core.record;

import java.util.List;

/**
 * How far off forecasts were, and why (Murphy 1973, "A new vector partition of the probability score"): {@code score = reliability -
 * resolution + uncertainty}.
 *
 * @param score mean squared difference between what was said and what came, 0 or 1
 * @param reliability added: how far what came lies from what was said, where it was said
 * @param resolution taken off: how far what came differs between what was said
 * @param uncertainty what nobody could know who says the same every time
 */
public record Brier(double score, double reliability, double resolution, double uncertainty) {

    /**
     * A forecast that was made more than once.
     *
     * @param said in [0,1]
     * @param times how often it was made, at least 1
     * @param came how often it came true
     */
    public record Forecast(double said, int times, int came) {
    }

    /** That of forecasts, at least one; each counts as often as it was made. */
    public static Brier of(List<Forecast> forecasts) {
        double all = forecasts.stream().mapToInt(Forecast::times).sum();
        double mean = forecasts.stream().mapToInt(Forecast::came).sum() / all;
        double score = 0;
        double reliability = 0;
        double resolution = 0;
        for (Forecast one : forecasts) {
            double share = one.came() / (double) one.times();
            double weight = one.times() / all;
            score += weight * (share * square(1 - one.said()) + (1 - share) * square(one.said()));
            reliability += weight * square(one.said() - share);
            resolution += weight * square(share - mean);
        }
        return new Brier(score, reliability, resolution, mean * (1 - mean));
    }

    private static double square(double value) {
        return value * value;
    }
}
