package app.narrowgate.core.ledger;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Repetitions of one technique.
 *
 * @param lately of the last {@value #LATELY} days, today's among them
 * @param year of the last {@value #YEAR}
 * @param ever of all days
 */
public record Ledger(Id technique, Sum lately, Sum year, Sum ever) {

    /** What a gym may ask of everybody in a year, in repetitions of one technique. */
    public static final Range GOAL = new Range(0, 100_000, "repetitions");
    /** What it asks until it says otherwise; our estimate. */
    public static final int USUAL_GOAL = 400;

    private static final int LATELY = 28;
    private static final int YEAR = 365;
    /** One side has so much less than the other before it is called the shorter one; what is only reckoned is the same on both. */
    private static final double SHORTER = 0.8;

    /**
     * Repetitions of some days.
     *
     * @param done by side; those of which nobody said the side are in neither
     * @param all done, whatever the side
     * @param fed to a partner
     * @param counted of those done, that somebody counted; the others are reckoned from the minutes of classes
     * @param clean of those that somebody looked at
     */
    public record Sum(Map<Side, Double> done, double all, double fed, double counted, Tries clean) {
        public Sum {
            done = Collections.unmodifiableMap(new EnumMap<>(done));
        }

        /** The side that was practised clearly less. */
        public Optional<Side> shorter() {
            double left = done.get(Side.LEFT);
            double right = done.get(Side.RIGHT);
            return left < SHORTER * right ? Optional.of(Side.LEFT) : right < SHORTER * left ? Optional.of(Side.RIGHT) : Optional.empty();
        }
    }

    /** What there is of each technique, what was done most ever first. Cost O(entries). */
    public static List<Ledger> of(Collection<Repeated> all, LocalDate today) {
        return all.stream().filter(one -> !one.day().isAfter(today)).collect(Collectors.groupingBy(Repeated::technique)).entrySet().stream()
                .map(each -> new Ledger(each.getKey(), sum(each.getValue(), today.minusDays(LATELY)), sum(each.getValue(), today.minusDays(YEAR)),
                        sum(each.getValue(), LocalDate.MIN)))
                .sorted(Comparator.comparingDouble((Ledger one) -> -one.ever().all()).thenComparing(Ledger::technique)).toList();
    }

    private static Sum sum(List<Repeated> all, LocalDate after) {
        Map<Side, Double> done = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            done.put(side, 0.0);
        }
        double did = 0;
        double fed = 0;
        double counted = 0;
        Tries clean = Tries.NONE;
        for (Repeated one : all) {
            if (!one.day().isAfter(after)) {
                continue;
            }
            if (one.role() == Role.SECOND) {
                fed += one.many();
                continue;
            }
            did += one.many();
            counted += one.counted() ? one.many() : 0;
            one.side().ifPresent(side -> done.merge(side, one.many(), Double::sum));
            if (one.clean().isPresent()) {
                clean = clean.and(new Tries((int) one.many(), one.clean().getAsInt()));
            }
        }
        return new Sum(done, did, fed, counted, clean);
    }
}
