package app.narrowgate.core.advice;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What each stance on a principle is worth, everything else as the setting says.
 *
 * @param byCondition worth of the starts when the house takes no side here and each situation decides
 */
public record StanceComparison(Id principle, Optional<Id> chosen, double byCondition, List<Choice> choices) {

    /** Less than this is not a difference: a tenth of a start in a hundred. */
    private static final double WORTH_SAYING = 1e-3;

    public StanceComparison {
        choices = List.copyOf(choices);
    }

    /**
     * The house with one stance taken.
     *
     * @param start worth of the starts, in [0,1]
     * @param teaches reactions that take this stance
     * @param leaves reactions that nobody would be taught any more
     * @param situations what each situation gains (or loses) against going by the condition, largest change first;
     *     changes under a tenth of a start in a hundred are left out
     */
    public record Choice(Id stance, double start, List<Id> teaches, List<Id> leaves, Map<Id, Double> situations) {
        public Choice {
            teaches = List.copyOf(teaches);
            leaves = List.copyOf(leaves);
            situations = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(situations));
        }
    }

    /** Every principle of the map, in its order. Cost: one solve for each stance and each principle. */
    public static List<StanceComparison> of(SolvedMap solved) {
        List<StanceComparison> comparisons = new ArrayList<>();
        for (Principle principle : solved.map().principles()) {
            comparisons.add(of(solved, principle));
        }
        return comparisons;
    }

    private static StanceComparison of(SolvedMap base, Principle principle) {
        MapIndex index = base.index();
        Setting setting = base.setting();
        Map<Id, Id> open = new LinkedHashMap<>(setting.stances());
        open.remove(principle.id());
        SolvedMap free = open.equals(setting.stances()) ? base.converged() : base.under(setting.withStances(open));
        List<Choice> choices = new ArrayList<>();
        for (Principle.Stance stance : principle.stances()) {
            Map<Id, Id> taken = new LinkedHashMap<>(open);
            taken.put(principle.id(), stance.id());
            SolvedMap solved = taken.equals(setting.stances()) ? base.converged() : base.under(setting.withStances(taken));
            choices.add(new Choice(stance.id(), solved.startWorth(),
                    reactions(index, new StanceRef(principle.id(), stance.id()), true),
                    reactions(index, new StanceRef(principle.id(), stance.id()), false), changed(free, solved)));
        }
        return new StanceComparison(principle.id(), Optional.ofNullable(setting.stances().get(principle.id())),
                free.startWorth(), choices);
    }

    /** Reactions that take this very stance, or another stance on the same principle. */
    private static List<Id> reactions(MapIndex index, StanceRef stance, boolean same) {
        EscapeMap map = index.map();
        return map.reactions().stream()
                .filter(r -> index.technique(r.technique()).flatMap(t -> t.stance())
                        .filter(s -> s.principle().equals(stance.principle()) && s.equals(stance) == same).isPresent())
                .map(Reaction::id).toList();
    }

    private static Map<Id, Double> changed(SolvedMap before, SolvedMap after) {
        Map<Id, Double> changes = new LinkedHashMap<>();
        List<Situation> situations = before.map().situations();
        for (int s = 0; s < situations.size(); s++) {
            double change = after.solution().value(s) - before.solution().value(s);
            if (Math.abs(change) > WORTH_SAYING) {
                changes.put(situations.get(s).id(), change);
            }
        }
        Map<Id, Double> sorted = new LinkedHashMap<>();
        changes.entrySet().stream()
                .sorted(Map.Entry.comparingByValue((a, b) -> Double.compare(Math.abs(b), Math.abs(a))))
                .forEach(e -> sorted.put(e.getKey(), e.getValue()));
        return sorted;
    }
}
