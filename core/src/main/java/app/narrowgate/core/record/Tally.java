package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.SolvedMap;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Rounds that say the same of a map, counted together. Evidence fades: half of it is left after {@link #HALF_LIFE} days, our estimate.
 *
 * @param now when it was counted
 * @param times how often there was each kind of round, the old ones counting less
 */
public record Tally(Instant now, Map<Kind, Double> times) {

    /** Days. */
    public static final double HALF_LIFE = 180;

    /** Gaps are told in steps of so many kilograms, so that rounds whose pairs differ by little are reckoned once. */
    public static final double STEP = 10;

    /**
     * Rounds that count the same.
     *
     * @param gap weight gap in kilograms, in steps
     * @param seconds where they may say how long a clock ran
     */
    public record Kind(double gap, Id start, Ending ending, Optional<Id> reaction, Optional<Id> response, boolean nothing,
            Optional<Integer> seconds) {

        /** True where more is known than the beginning and the end. */
        boolean isNoted() {
            return nothing || reaction.isPresent();
        }

        /** The same of an even pair. */
        Kind even() {
            return new Kind(0, start, ending, reaction, response, nothing, seconds);
        }

        static Kind of(Event.Round round) {
            return new Kind(Math.rint(round.gap().orElse(0.0) / STEP) * STEP + 0.0, round.start(), round.ending(), round.reaction(), round.response(),
                    round.nothing(), round.ending().place().isPresent() ? round.seconds() : Optional.empty());
        }
    }

    /** Always in the same order, whatever order they came in: what is drawn by them is the same then. */
    public Tally {
        Map<Kind, Double> ordered = new LinkedHashMap<>();
        Map<String, Kind> byName = new TreeMap<>();
        times.keySet().forEach(kind -> byName.put(kind.toString(), kind));
        for (Kind kind : byName.values()) {
            ordered.put(kind, times.get(kind));
        }
        times = Collections.unmodifiableMap(ordered);
    }

    /** Of rounds at {@code now}; one look-up a round. */
    public static Tally of(Collection<Event.Round> rounds, Instant now) {
        Map<Kind, Double> times = new LinkedHashMap<>();
        rounds.forEach(round -> times.merge(Kind.of(round), left(round.at(), now), Double::sum));
        return new Tally(now, times);
    }

    /** What is left at {@code now} of the evidence of something that happened {@code at}, in (0,1]. */
    static double left(Instant at, Instant now) {
        return Math.pow(0.5, Math.max(0, Duration.between(at, now).toMinutes() / (24.0 * 60)) / HALF_LIFE);
    }
}
