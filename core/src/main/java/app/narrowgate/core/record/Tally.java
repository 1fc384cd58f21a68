package app.narrowgate.core.record;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.DoubleFunction;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.SolvedMap;

/**
 * Counts what a record says of a map's figures. Evidence fades: half of it is left after {@link #HALF_LIFE} days, our estimate. A round
 * against somebody heavier or lighter is reckoned under that gap, and what the gap alone makes of it is taken off, to first order.
 *
 * <p>Not for several threads. Cost: one chain for each kind of round, and one look-up a round.
 */
public final class Tally {

    /** Days. */
    public static final double HALF_LIFE = 180;

    /** Gaps are told in steps of so many kilograms, so that rounds whose pairs differ by little are reckoned once. */
    private static final double STEP = 5;

    private final DoubleFunction<SolvedMap> byGap;
    private final Map<Double, ExpectedCounts> expected = new HashMap<>();

    /** Rounds that count the same. */
    private record Kind(double gap, Id start, Ending ending, Optional<Id> reaction, Optional<Id> response, Optional<Integer> seconds) {
    }

    /** @param byGap the map, solved under a weight gap in kilograms by what is believed at present */
    public Tally(DoubleFunction<SolvedMap> byGap) {
        this.byGap = byGap;
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

    /** What is left at {@code now} of the evidence of something that happened {@code at}, in (0,1]. */
    static double left(Instant at, Instant now) {
        return Math.pow(0.5, Math.max(0, Duration.between(at, now).toMinutes() / (24.0 * 60)) / HALF_LIFE);
    }

    /** What {@code rounds} count at {@code now}. */
    public Counts of(Collection<Event.Round> rounds, Instant now) {
        Map<Kind, Double> times = new LinkedHashMap<>();
        Map<Kind, Event.Round> one = new HashMap<>();
        for (Event.Round round : rounds) {
            Kind kind = new Kind(Math.rint(round.gap().orElse(0.0) / STEP) * STEP, round.start(), round.ending(), round.reaction(), round.response(),
                    round.ending().place().isPresent() ? round.seconds() : Optional.empty());
            times.merge(kind, left(round.at(), now), Double::sum);
            one.putIfAbsent(kind, round);
        }
        Counts counts = new Counts();
        times.forEach((kind, weight) -> count(kind.gap(), one.get(kind)).ifPresent(counted -> counts.add(counted, weight)));
        return counts;
    }

    private Optional<Counts> count(double gap, Event.Round round) {
        ExpectedCounts reckoned = expected.computeIfAbsent(gap, one -> new ExpectedCounts(byGap.apply(one)));
        Optional<Counts> counts = reckoned.of(round);
        return gap == 0 ? counts : counts.map(one -> one.level(reckoned.solved()));
    }
}
