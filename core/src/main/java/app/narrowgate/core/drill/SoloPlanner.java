package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Plans solo work: the fewest movements so that each technique, or techniques with so much of the weight, has one of its
 * movements among them ({@link SetCover}). Minutes are shared evenly over movements and sides, the weak side first.
 */
public final class SoloPlanner {

    /** Seconds of one solo repetition; the project's own estimate, no source. */
    static final double REPETITION = 3;
    /** Minutes of solo work. */
    public static final Range MINUTES = new Range(1, 60, "minutes");

    private SoloPlanner() {
    }

    /**
     * The plan behind {@code techniques}, each weighing the same.
     *
     * @param minutes in all
     * @throws RefusedException when none of them names a movement
     */
    public static SoloPlan behind(SolvedMap solved, Set<Id> techniques, double minutes, Side weakSide) {
        Map<Id, Double> weights = new LinkedHashMap<>();
        techniques.forEach(id -> weights.put(id, 1.0));
        return plan(solved, weights, 1, minutes, weakSide);
    }

    /** The plan behind {@code share} of what the map's techniques carry, see {@link #carried}. */
    public static SoloPlan behindShare(SolvedMap solved, double share, double minutes, Side weakSide) {
        return plan(solved, carried(solved), Range.CHANCE.require("The share", share), minutes, weakSide);
    }

    /**
     * What each technique that is ever the best answer carries: how often it is given in a round from the starts, times
     * what it is worth there more than waiting.
     */
    public static Map<Id, Double> carried(SolvedMap solved) {
        double[] visits = solved.chain().visits(solved.starts());
        Map<Id, Double> carried = new LinkedHashMap<>();
        for (Situation situation : solved.map().situations()) {
            int s = solved.place(situation.id());
            Optional<Reaction> best = solved.best(s);
            if (best.isPresent() && visits[s] > 0) {
                double waiting = situation.clock().map(clock -> solved.worth(clock.becomes())).orElse(0.0);
                carried.merge(best.get().technique(), visits[s] * Math.max(0, solved.worth(situation.id()) - waiting), Double::sum);
            }
        }
        return carried;
    }

    private static SoloPlan plan(SolvedMap solved, Map<Id, Double> weights, double share, double minutes, Side weakSide) {
        MINUTES.require("The time", minutes);
        List<Id> without = new ArrayList<>();
        List<Set<Id>> needs = new ArrayList<>();
        List<Double> counted = new ArrayList<>();
        weights.forEach((id, weight) -> {
            Technique technique = solved.index().technique(id)
                    .orElseThrow(() -> new RefusedException("No technique is called “%s”.".formatted(id)));
            if (technique.movements().isEmpty()) {
                without.add(id);
            } else {
                needs.add(Set.copyOf(technique.movements()));
                counted.add(weight);
            }
        });
        if (needs.isEmpty()) {
            throw new RefusedException("None of these techniques names a movement; say on the map what they are made of.");
        }
        List<Id> order = solved.map().movements().stream().map(Movement::id).toList();
        SetCover.Found found = SetCover.fewest(order, needs, counted.stream().mapToDouble(w -> w).toArray(), share);
        return new SoloPlan(lines(solved, found.chosen(), minutes, weakSide), without, found.share(), found.proven());
    }

    private static List<SoloPlan.Line> lines(SolvedMap solved, List<Id> movements, double minutes, Side weakSide) {
        List<Movement> chosen = movements.stream()
                .map(id -> solved.index().part(PartKind.MOVEMENTS, id).orElseThrow()).toList();
        int stretches = chosen.stream().mapToInt(m -> m.bothSides() ? 2 : 1).sum();
        double each = minutes / stretches;
        int repetitions = (int) Math.max(1, Math.floor(each * 60 / REPETITION));
        List<SoloPlan.Line> lines = new ArrayList<>();
        for (Movement movement : chosen) {
            if (movement.bothSides()) {
                lines.add(new SoloPlan.Line(movement.id(), Optional.of(weakSide), repetitions, each));
                lines.add(new SoloPlan.Line(movement.id(), Optional.of(weakSide.other()), repetitions, each));
            } else {
                lines.add(new SoloPlan.Line(movement.id(), Optional.empty(), repetitions, each));
            }
        }
        return lines;
    }
}
