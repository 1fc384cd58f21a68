package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Whether the map tells the truth: what it says of rounds from a place beside what came of them.
 *
 * @param places those with at least {@link #ENOUGH} rounds that had an end, furthest off first
 * @param fewer how many places have fewer
 * @param rounds how many had an end in all of {@code places}
 * @param brier how far off the map is there; empty where no place has enough
 */
public record Truth(List<AtPlace> places, int fewer, int rounds, Optional<Brier> brier) {

    /** Fewer rounds than these say too little of a place. */
    public static final int ENOUGH = 10;

    /** Rounds in which the range that is shown holds the true share. */
    private static final double LEVEL = 0.9;

    /**
     * One place.
     *
     * @param said what the map says of 1 round, in [0,1]
     * @param rounds that had an end
     * @param out how many of them got out
     * @param seen between what the share of those who get out lies
     * @param explains the answer whose learned figure takes most of the difference away; empty where none does
     */
    public record AtPlace(Id place, double said, int rounds, int out, Interval seen, Optional<Explanation> explains) {

        /** The share that got out. */
        public double share() {
            return out / (double) rounds;
        }

        /** True where what the map says may well be so. */
        public boolean agrees() {
            return seen.holds(said);
        }
    }

    /**
     * An answer that works otherwise than the map says.
     *
     * @param before how often it gets going by the map
     * @param learned what is believed of it by now
     * @param tries as if it had been seen so often
     * @param saidThen what the map would say of the place with that
     */
    public record Explanation(Id reaction, double before, Beta learned, double tries, double saidThen) {
    }

    public Truth {
        places = List.copyOf(places);
    }

    /**
     * Of rounds that had an end.
     *
     * @param written the map by what stands on it
     * @param beliefs what is believed of it by now
     * @param seen what the beliefs have counted
     */
    public static Truth of(SolvedMap written, Beliefs beliefs, Counts seen, Collection<Event.Round> rounds) {
        return new Truths(written, beliefs, seen).of(rounds);
    }

    /** The work of it. */
    private static final class Truths {

        private final SolvedMap written;
        private final Beliefs beliefs;
        private final Counts seen;
        private final boolean[] out;
        private final Map<Id, SolvedMap> learned = new LinkedHashMap<>();

        private Truths(SolvedMap written, Beliefs beliefs, Counts seen) {
            this.written = written;
            this.beliefs = beliefs;
            this.seen = seen;
            PlaceKind[] kinds = written.kinds();
            this.out = new boolean[kinds.length];
            for (int place = 0; place < kinds.length; place++) {
                out[place] = kinds[place] != null && isOut(kinds[place]);
            }
        }

        private boolean isOut(PlaceKind kind) {
            return written.aim().worthOf(kind) > 0;
        }

        private Truth of(Collection<Event.Round> rounds) {
            Map<Id, int[]> counted = new LinkedHashMap<>();
            for (Event.Round round : rounds) {
                round.ending().kind().filter(kind -> written.index().situation(round.start()).isPresent()).ifPresent(kind -> {
                    int[] both = counted.computeIfAbsent(round.start(), id -> new int[2]);
                    both[0]++;
                    both[1] += isOut(kind) ? 1 : 0;
                });
            }
            double[] said = written.chain().endingAt(out);
            List<AtPlace> places = new ArrayList<>();
            List<Brier.Forecast> forecasts = new ArrayList<>();
            counted.forEach((id, both) -> {
                if (both[0] >= ENOUGH) {
                    double here = said[written.place(id)];
                    places.add(new AtPlace(id, here, both[0], both[1], Interval.exact(both[1], both[0], LEVEL), explains(id, here, both)));
                    forecasts.add(new Brier.Forecast(here, both[0], both[1]));
                }
            });
            places.sort(Comparator.comparing(AtPlace::agrees).thenComparing(Comparator.comparingDouble(Truths::off).reversed()));
            return new Truth(places, counted.size() - places.size(), forecasts.stream().mapToInt(Brier.Forecast::times).sum(),
                    forecasts.isEmpty() ? Optional.empty() : Optional.of(Brier.of(forecasts)));
        }

        /** How far off, in what chance alone would make of it. */
        private static double off(AtPlace one) {
            return Math.abs(one.said() - one.share()) * Math.sqrt(one.rounds());
        }

        private Optional<Explanation> explains(Id place, double said, int[] both) {
            double share = both[1] / (double) both[0];
            double[] visits = written.chain().visits(written.startsAt(Optional.of(place)));
            Optional<Explanation> best = Optional.empty();
            double off = Math.abs(said - share);
            for (int s = 0; s < written.game().situations; s++) {
                Optional<Reaction> reaction = visits[s] > 0 ? written.best(s) : Optional.empty();
                if (reaction.isPresent() && seen.tries(reaction.get().id()) > 0) {
                    SolvedMap with = learned.computeIfAbsent(reaction.get().id(), id -> written.by(written.rates().working(Map.of(id, beliefs.works(reaction.get())))));
                    double then = with.chain().endingAt(out)[written.place(place)];
                    if (Math.abs(then - share) < off) {
                        off = Math.abs(then - share);
                        best = Optional.of(new Explanation(reaction.get().id(), written.rates().works(reaction.get()), beliefs.going(reaction.get()),
                                seen.tries(reaction.get().id()), then));
                    }
                }
            }
            return best;
        }
    }
}
