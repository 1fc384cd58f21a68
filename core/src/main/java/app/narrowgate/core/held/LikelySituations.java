package app.narrowgate.core.held;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where somebody is, judged from what they can tell, by Bayes's rule: the square root of how often rounds pass
 * through a situation (the root, so that a common place does not drown what was marked), times how well each mark fits
 * it. Marks are taken as independent given the situation. How well a mark fits is a convention of this project: what
 * the map says plainly is marked so {@value #RIGHT} of the time, and what depends on the moment half of the time.
 *
 * @param likely every situation that can be meant, likeliest first, equal ones in the map's order; chances sum to 1
 * @param next what to tell next: the segment or fact that is expected to narrow it down most; empty when nothing would
 */
public record LikelySituations(List<Likely> likely, Optional<Question> next) {

    private static final double RIGHT = 0.9;
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
     * @param segment the segment, where it is about one
     * @param fact the fact, where it is about one
     * @param bits by how much the answer is expected to narrow it down
     */
    public record Question(Optional<Segment> segment, Optional<Id> fact, double bits) {
    }

    /**
     * The judgement.
     *
     * @param often weight of each situation before anything is said, such as how often rounds pass through it; missing
     *     or 0 counts as the least there is, so that nothing is ruled out
     * @throws RefusedException when a marked fact is not on the map
     */
    public static LikelySituations of(EscapeMap map, Marks marks, Map<Id, Double> often) {
        for (Id fact : marks.facts().keySet()) {
            if (map.facts().stream().noneMatch(f -> f.id().equals(fact))) {
                throw new RefusedException("No fact is called “%s”.".formatted(fact));
            }
        }
        List<Situation> places = map.situations().stream().filter(s -> !s.held().isEmpty()).toList();
        if (places.isEmpty()) {
            return new LikelySituations(List.of(), Optional.empty());
        }
        double least = places.stream().mapToDouble(s -> often.getOrDefault(s.id(), 0.0)).filter(w -> w > 0).min().orElse(1);
        double[] prior = places.stream()
                .mapToDouble(s -> Math.sqrt(Math.max(least, often.getOrDefault(s.id(), 0.0)))).toArray();
        double[] chance = posterior(places, prior, marks);
        List<Likely> likely = new ArrayList<>();
        for (int i = 0; i < chance.length; i++) {
            likely.add(new Likely(places.get(i).id(), chance[i]));
        }
        likely.sort(Comparator.comparingDouble((Likely l) -> -l.chance()));
        return new LikelySituations(likely, next(map, places, prior, marks, chance));
    }

    private static double[] posterior(List<Situation> places, double[] prior, Marks marks) {
        double[] weight = prior.clone();
        double sum = 0;
        for (int i = 0; i < weight.length; i++) {
            Situation place = places.get(i);
            for (Map.Entry<Segment, Boolean> mark : marks.segments().entrySet()) {
                weight[i] *= fit(place.held().containsKey(mark.getKey()), mark.getValue());
            }
            for (Map.Entry<Id, Boolean> mark : marks.facts().entrySet()) {
                Boolean known = place.facts().get(mark.getKey());
                weight[i] *= known == null ? 0.5 : fit(known, mark.getValue());
            }
            sum += weight[i];
        }
        for (int i = 0; i < weight.length; i++) {
            weight[i] /= sum;
        }
        return weight;
    }

    private static double fit(boolean known, boolean marked) {
        return known == marked ? RIGHT : 1 - RIGHT;
    }

    private static Optional<Question> next(EscapeMap map, List<Situation> places, double[] prior, Marks marks,
            double[] chance) {
        double now = entropy(chance);
        List<Question> questions = new ArrayList<>();
        for (Segment segment : Segment.values()) {
            if (!marks.segments().containsKey(segment)) {
                double bits = now - expected(places, prior, chance, marks.with(segment, true), marks.with(segment, false),
                        place -> fit(place.held().containsKey(segment), true));
                questions.add(new Question(Optional.of(segment), Optional.empty(), bits));
            }
        }
        for (Fact fact : map.facts()) {
            if (!marks.facts().containsKey(fact.id())) {
                double bits = now - expected(places, prior, chance, marks.with(fact.id(), true),
                        marks.with(fact.id(), false), place -> {
                            Boolean known = place.facts().get(fact.id());
                            return known == null ? 0.5 : fit(known, true);
                        });
                questions.add(new Question(Optional.empty(), Optional.of(fact.id()), bits));
            }
        }
        return questions.stream().filter(q -> q.bits() > WORTH_ASKING).max(Comparator.comparingDouble(Question::bits));
    }

    private static double expected(List<Situation> places, double[] prior, double[] chance, Marks yes, Marks no,
            java.util.function.ToDoubleFunction<Situation> saysYes) {
        double isYes = 0;
        for (int i = 0; i < chance.length; i++) {
            isYes += chance[i] * saysYes.applyAsDouble(places.get(i));
        }
        return isYes * entropy(posterior(places, prior, yes)) + (1 - isYes) * entropy(posterior(places, prior, no));
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
