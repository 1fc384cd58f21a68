package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.SolvedMap;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;

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

    /** Those that nobody has taken out, without the ones that take out. */
    public static List<Event> standing(Collection<? extends Event> events) {
        Set<UUID> out = new HashSet<>();
        events.forEach(event -> {
            if (event instanceof Event.Void gone) {
                out.add(gone.event());
            }
        });
        return events.stream().filter(event -> !(event instanceof Event.Void) && !out.contains(event.id())).map(Event.class::cast).toList();
    }

    /** Of rounds at {@code now}; one look-up a round. */
    public static Tally of(Collection<Event.Round> rounds, Instant now) {
        Map<Kind, Double> times = new LinkedHashMap<>();
        rounds.forEach(round -> times.merge(Kind.of(round), left(round.at(), now), Double::sum));
        return new Tally(now, times);
    }

    /** With one more round, which was just now. */
    public Tally and(Event.Round round) {
        Map<Kind, Double> more = new LinkedHashMap<>(times);
        more.merge(Kind.of(round), left(round.at(), now), Double::sum);
        return new Tally(now, more);
    }

    /** What is left at {@code now} of the evidence of something that happened {@code at}, in (0,1]. */
    static double left(Instant at, Instant now) {
        return Math.pow(0.5, Math.max(0, Duration.between(at, now).toMinutes() / (24.0 * 60)) / HALF_LIFE);
    }
}
