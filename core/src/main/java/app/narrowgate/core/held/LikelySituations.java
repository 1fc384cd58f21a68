package app.narrowgate.core.held;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/**
 * Where somebody is, judged from what they can tell, by Bayes's rule: the square root of how often rounds pass
 * through a situation (the root, so that a common place does not drown what was marked), times how well each mark fits
 * it. Marks are taken as independent given the situation. How well a mark fits is a convention of this project: what
 * the map says plainly of a segment is marked so {@value #RIGHT} of the time, a fact {@value #RIGHT_WORDS} of the time, as
 * it is asked for in words. Where the top player is, is told right {@value #SAME_BEARING} of the time, and taken for what
 * lies next to it {@value #NEXT_BEARING}. A fact of which a situation says nothing may be so there, but the more seldom
 * the fewer places say it of themselves: twice the share of places that say it, at most a half. So a hand that cups an
 * elbow, which one place tells of, leads there at once, and free legs, which many tell of, lead nowhere alone.
 *
 * @param likely every situation that can be meant, likeliest first, equal ones in the map's order; chances sum to 1
 * @param next what to tell next: the segment or fact that is expected to narrow it down most; empty when nothing would
 */
public record LikelySituations(List<Likely> likely, Optional<Question> next) {

    private static final double RIGHT = 0.9;
    private static final double RIGHT_WORDS = 0.97;
    private static final double SAME_BEARING = 0.85;
    private static final double NEXT_BEARING = 0.12;
    /** Nobody asks a question that tells less than this, in bits. */
    private static final double WORTH_ASKING = 0.05;

    public LikelySituations {
        likely = List.copyOf(likely);
    }

    /** A situation and the chance in [0,1] that it is the one. */
    public record Likely(Id situation, double chance) {
    }

    /**
     * What to tell next.
     *
     * @param bearing true where it is about where the top player is, which is asked before all else
     * @param segment the segment, where it is about one
     * @param fact the fact, where it is about one
     * @param bits by how much the answer is expected to narrow it down; 0 where that is not worked out
     */
    public record Question(boolean bearing, Optional<Segment> segment, Optional<Id> fact, double bits) {
    }

    /** How well each fact fits where nothing is said of it, in (0,1). */
    private record Habits(Map<Id, Double> unsaid) {

        static Habits of(EscapeMap map, List<Situation> places) {
            Map<Id, Double> unsaid = new HashMap<>();
            for (Fact fact : map.facts()) {
                int so = 0;
                for (Situation place : places) {
                    so += Boolean.TRUE.equals(place.facts().get(fact.id())) ? 1 : 0;
                }
                unsaid.put(fact.id(), Math.min(0.5, 2.0 * (so + 1) / (places.size() + 2)));
            }
            return new Habits(unsaid);
        }

        /** Chance that the fact is marked as so there. */
        double so(Situation place, Id fact) {
            Boolean known = place.facts().get(fact);
            return known == null ? unsaid.get(fact) : known ? RIGHT_WORDS : 1 - RIGHT_WORDS;
        }
    }

    /**
     * The judgement.
     *
     * @param often weight of each situation before anything is said, such as how often rounds pass through it; missing
     *     or 0 counts as the least there is, so that nothing is ruled out
     * @throws RefusedException when a marked fact is not on the map
     */
    public static LikelySituations of(EscapeMap map, Marks marks, Map<Id, Double> often) {
        List<Situation> places = new ArrayList<>();
        for (Situation place : map.situations()) {
            if (!place.held().isEmpty() || place.bearing().isPresent() && place.rest().isEmpty()) {
                places.add(place);
            }
        }
        Habits habits = Habits.of(map, places);
        for (Id fact : marks.facts().keySet()) {
            if (!habits.unsaid().containsKey(fact)) {
                throw new RefusedException("No fact is called “%s”.".formatted(fact));
            }
        }
        if (places.isEmpty()) {
            return new LikelySituations(List.of(), Optional.empty());
        }
        double[] prior = prior(places, often);
        double[] chance = posterior(places, prior, marks, habits);
        List<Likely> likely = new ArrayList<>();
        for (int i = 0; i < chance.length; i++) {
            likely.add(new Likely(places.get(i).id(), chance[i]));
        }
        likely.sort((one, other) -> Double.compare(told(other.chance()), told(one.chance())));
        return new LikelySituations(likely, next(map, places, prior, marks, chance, habits));
    }

    private static double[] prior(List<Situation> places, Map<Id, Double> often) {
        double[] prior = new double[places.size()];
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < prior.length; i++) {
            prior[i] = often.getOrDefault(places.get(i).id(), 0.0);
            least = prior[i] > 0 ? Math.min(least, prior[i]) : least;
        }
        for (int i = 0; i < prior.length; i++) {
            prior[i] = Math.sqrt(Math.max(least == Double.POSITIVE_INFINITY ? 1 : least, prior[i]));
        }
        return prior;
    }

    private static double[] posterior(List<Situation> places, double[] prior, Marks marks, Habits habits) {
        double[] weight = prior.clone();
        double sum = 0;
        for (int i = 0; i < weight.length; i++) {
            Situation place = places.get(i);
            if (marks.bearing().isPresent()) {
                weight[i] *= bearingFit(place, marks.bearing().get());
            }
            for (Map.Entry<Segment, Boolean> mark : marks.segments().entrySet()) {
                weight[i] *= fit(place.held().containsKey(mark.getKey()), mark.getValue());
            }
            for (Map.Entry<Id, Boolean> mark : marks.facts().entrySet()) {
                double so = habits.so(place, mark.getKey());
                weight[i] *= mark.getValue() ? so : 1 - so;
            }
            sum += weight[i];
        }
        for (int i = 0; i < weight.length; i++) {
            weight[i] /= sum;
        }
        return weight;
    }

    private static double bearingFit(Situation place, Bearing told) {
        int all = Bearing.values().length;
        return place.bearing().map(is -> {
            if (is == told) {
                return SAME_BEARING;
            }
            int next = is.neighbours().size();
            return is.neighbours().contains(told) ? NEXT_BEARING / next
                    : (1 - SAME_BEARING - NEXT_BEARING) / (all - 1 - next);
        }).orElse(1.0 / all);
    }

    private static double fit(boolean known, boolean marked) {
        return known == marked ? RIGHT : 1 - RIGHT;
    }

    private static Optional<Question> next(EscapeMap map, List<Situation> places, double[] prior, Marks marks,
            double[] chance, Habits habits) {
        Set<Bearing> bearings = new HashSet<>();
        places.forEach(place -> place.bearing().ifPresent(bearings::add));
        if (marks.bearing().isEmpty() && bearings.size() > 1) {
            return Optional.of(new Question(true, Optional.empty(), Optional.empty(), 0));
        }
        double now = entropy(chance);
        Question best = null;
        for (Segment segment : Segment.values()) {
            if (!marks.segments().containsKey(segment)) {
                double bits = now - expected(places, prior, chance, marks.with(segment, true), marks.with(segment, false),
                        habits, place -> fit(place.held().containsKey(segment), true));
                best = better(best, new Question(false, Optional.of(segment), Optional.empty(), bits));
            }
        }
        for (Fact fact : map.facts()) {
            if (!marks.facts().containsKey(fact.id())) {
                double bits = now - expected(places, prior, chance, marks.with(fact.id(), true),
                        marks.with(fact.id(), false), habits, place -> habits.so(place, fact.id()));
                best = better(best, new Question(false, Optional.empty(), Optional.of(fact.id()), bits));
            }
        }
        return Optional.ofNullable(best);
    }

    /** What tells more, if it is worth asking at all; of equal ones the first. */
    private static Question better(Question best, Question next) {
        return next.bits() > WORTH_ASKING && (best == null || told(next.bits()) > told(best.bits())) ? next : best;
    }

    /** As much of a figure as is told; what lies behind that is noise of the arithmetic and decides nothing. */
    private static double told(double figure) {
        return Math.rint(figure * 1e9);
    }

    private static double expected(List<Situation> places, double[] prior, double[] chance, Marks yes, Marks no,
            Habits habits, ToDoubleFunction<Situation> saysYes) {
        double isYes = 0;
        for (int i = 0; i < chance.length; i++) {
            isYes += chance[i] * saysYes.applyAsDouble(places.get(i));
        }
        return isYes * entropy(posterior(places, prior, yes, habits))
                + (1 - isYes) * entropy(posterior(places, prior, no, habits));
    }

    /** Shannon's entropy in bits. */
    static double entropy(double[] chance) {
        double bits = 0;
        for (double p : chance) {
            bits -= p > 0 ? p * Math.log(p) / Math.log(2) : 0;
        }
        return bits;
    }
}
