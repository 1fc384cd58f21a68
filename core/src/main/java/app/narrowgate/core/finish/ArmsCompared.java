package app.narrowgate.core.finish;

import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement.Need;
import app.narrowgate.core.odds.SolvedMap;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;

/**
 * What an arrangement of your arms leaves them to attack, as long as it is kept.
 *
 * @param left every hold that can be on where this one is, this one first, then those that the arms bear on
 */
public record ArmsCompared(Hold.Arms arms, List<Left> left) {

    public ArmsCompared {
        left = List.copyOf(left);
    }

    /**
     * What is left of one hold.
     *
     * @param before chance in [0,1] that it closes with arms that neither deny nor give anything; empty while a need's
     *     chance is not said
     * @param closes the same with these arms
     * @param denied its needs that they deny
     * @param given its needs that they give
     * @param free numbers of the rungs that they can still build, in order, until one is missing without which it cannot
     *     close
     * @param cannot true when it cannot close
     */
    public record Left(Hold hold, OptionalDouble before, OptionalDouble closes, Set<Id> denied, Set<Id> given,
            Set<Integer> free, boolean cannot) {
        public Left {
            denied = Set.copyOf(denied);
            given = Set.copyOf(given);
            free = Collections.unmodifiableSet(new TreeSet<>(free));
        }
    }

    /** Every arrangement of {@code hold}, compared over the holds of {@code solved}'s map, in the map's order. */
    public static List<ArmsCompared> of(SolvedMap solved, Hold hold) {
        return hold.arms().stream().map(arms -> new ArmsCompared(arms, concerned(solved, hold, arms).stream()
                .map(other -> left(solved, other, arms)).toList())).toList();
    }

    private static Set<Hold> concerned(SolvedMap solved, Hold hold, Hold.Arms arms) {
        Set<Hold> concerned = new LinkedHashSet<>();
        concerned.add(hold);
        solved.map().holds().stream().filter(other -> other.at().stream().anyMatch(hold.at()::contains))
                .forEach(concerned::add);
        solved.map().holds().stream().filter(other -> other.requirement().needs().stream().map(Need::id)
                .anyMatch(need -> arms.denies().contains(need) || arms.gives().contains(need))).forEach(concerned::add);
        return concerned;
    }

    private static Left left(SolvedMap solved, Hold hold, Hold.Arms arms) {
        List<Need> needs = Ladder.inOrder(hold);
        Set<Id> denied = new HashSet<>();
        Set<Id> given = new HashSet<>();
        Set<Id> met = new HashSet<>();
        Set<Integer> free = new TreeSet<>();
        needs.forEach(need -> met.add(need.id()));
        boolean cannot = false;
        for (int i = 0; i < needs.size(); i++) {
            Id need = needs.get(i).id();
            if (arms.gives().contains(need)) {
                given.add(need);
            }
            if (arms.denies().contains(need)) {
                denied.add(need);
                met.remove(need);
                cannot = cannot || !hold.requirement().isMet(met);
            } else if (!cannot) {
                free.add(i + 1);
            }
        }
        var seen = Ladder.seenFrom(hold, Ladder.stages(solved, hold).iterator().next());
        return new Left(hold, seen.map(chances -> OptionalDouble.of(chances.closes())).orElse(OptionalDouble.empty()),
                seen.map(chances -> OptionalDouble.of(chances.given(given).without(denied).closes()))
                        .orElse(OptionalDouble.empty()), denied, given, free, cannot);
    }
}
