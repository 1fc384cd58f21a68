package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.map.ThinkingTime;
import java.util.List;
import java.util.Optional;
import org.apache.commons.statistics.distribution.TDistribution;

/**
 * What a person's measured reading times say of their {@link ThinkingTime}: {@code seconds = base + perBit·log2(n + 1)},
 * fitted by ordinary least squares. Source of the law: Hick (1952), Hyman (1953); of the intervals: any text on simple
 * linear regression, Student's t with two degrees of freedom less than there are readings.
 *
 * @param base the fitted coefficient and its interval, seconds; may be below 0 where the readings scatter
 * @param perBit the same for each doubling of {@code n + 1}
 * @param readings how many it rests on
 */
public record ReadingFit(Estimate base, Estimate perBit, int readings) {

    /** Fewer readings than this say nothing. */
    public static final int FEWEST = 3;
    /** Share of intervals that hold the truth. */
    public static final double CONFIDENCE = 0.9;
    /** Answers to choose among. */
    public static final Range ANSWERS = new Range(1, 12, "answers");
    /** Seconds that a reading may take; longer ones are no reading. */
    public static final Range SECONDS = new Range(0.05, 30, "seconds");

    /** A figure with its interval, {@code low ≤ value ≤ high}. */
    public record Estimate(double value, double low, double high) {
    }

    /** One right reading: how many answers there were to choose among, and how long it took. */
    public record Reading(int answers, double seconds) {
        public Reading {
            ANSWERS.require("The number of answers", answers);
            SECONDS.require("The time", seconds);
        }
    }

    /** The fit; empty where there are fewer than three readings or all had equally many answers. */
    public static Optional<ReadingFit> of(List<Reading> readings) {
        int n = readings.size();
        double meanX = readings.stream().mapToDouble(ReadingFit::bits).average().orElse(0);
        double meanY = readings.stream().mapToDouble(Reading::seconds).average().orElse(0);
        double xx = readings.stream().mapToDouble(r -> Math.pow(bits(r) - meanX, 2)).sum();
        if (n < FEWEST || readings.stream().mapToInt(Reading::answers).distinct().count() < 2) {
            return Optional.empty();
        }
        double slope = readings.stream().mapToDouble(r -> (bits(r) - meanX) * (r.seconds() - meanY)).sum() / xx;
        double intercept = meanY - slope * meanX;
        double squares = readings.stream().mapToDouble(r -> Math.pow(r.seconds() - intercept - slope * bits(r), 2)).sum();
        double variance = squares / (n - 2);
        double t = TDistribution.of(n - 2).inverseCumulativeProbability((1 + CONFIDENCE) / 2);
        return Optional.of(new ReadingFit(around(intercept, t * Math.sqrt(variance * (1.0 / n + meanX * meanX / xx))),
                around(slope, t * Math.sqrt(variance / xx)), n));
    }

    private static Estimate around(double value, double half) {
        return new Estimate(value, value - half, value + half);
    }

    private static double bits(Reading reading) {
        return Math.log(reading.answers() + 1.0) / Math.log(2);
    }

    /** The thinking time to be used in place of the house's: nobody chooses in less than no time. */
    public ThinkingTime thinking() {
        Range range = ThinkingTime.COEFFICIENT;
        return new ThinkingTime(Math.min(range.high(), Math.max(range.low(), base.value())),
                Math.min(range.high(), Math.max(range.low(), perBit.value())));
    }
}
