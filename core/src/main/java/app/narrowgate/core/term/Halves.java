package app.narrowgate.core.term;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.LookAlikes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.lesson.Prerequisites;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Answers that belong together: whoever has seen one half alone has been taught half of something. */
public final class Halves {

    /** Pairs of one kind that are followed. */
    private static final int MOST = 5;

    /** Why two answers belong together. */
    public enum Kind implements Coded {
        /** Their places are taken for one another, and the wrong answer loses there. */
        LOOK_ALIKES,
        /** Nobody comes to where the second starts without the first. */
        FIRST_AND_THEN,
        /** Two answers to one place: where the first is stopped, the second is there. */
        ONE_PLACE
    }

    /**
     * Two answers that belong together.
     *
     * @param one with {@link Kind#FIRST_AND_THEN} the one that is needed
     */
    public record Pair(Kind kind, Id one, Id other) {
    }

    /**
     * Who sees both halves.
     *
     * @param seenOne true where they have practised the first in a class
     * @param seenOther the same of the second
     * @param both chance in [0,1] that they have seen both at the end, coming as often as they do
     */
    public record Seen(boolean seenOne, boolean seenOther, double both) {
    }

    private Halves() {
    }

    /**
     * Pairs among {@code taught}: look-alikes first, those whose mixing up costs most before others, then what is needed, then two answers to
     * one place by their order in {@code taught}. Of each kind a few.
     */
    public static List<Pair> among(SolvedMap solved, Collection<Id> taught) {
        MapIndex index = solved.index();
        Set<Id> those = new HashSet<>(taught);
        List<Pair> pairs = new ArrayList<>();
        Set<Set<Id>> there = new HashSet<>();
        LookAlikes.of(PracticeGraph.of(solved, HouseTimes.USUAL)).forEach(pair -> add(pairs, there, those,
                new Pair(Kind.LOOK_ALIKES, pair.one().answer(), pair.other().answer())));
        Set<Id> begins = index.map().situations().stream().filter(s -> s.entry() > 0).map(s -> s.id()).collect(Collectors.toSet());
        Map<Id, Id> needs = Prerequisites.among(index, begins, taught);
        taught.stream().filter(needs::containsKey).forEach(id -> add(pairs, there, those, new Pair(Kind.FIRST_AND_THEN, needs.get(id), id)));
        List<Id> order = List.copyOf(taught);
        for (int a = 0; a < order.size(); a++) {
            for (int b = a + 1; b < order.size(); b++) {
                Id from = index.reaction(order.get(a)).orElseThrow().from();
                if (index.reaction(order.get(b)).orElseThrow().from().equals(from)) {
                    add(pairs, there, those, new Pair(Kind.ONE_PLACE, order.get(a), order.get(b)));
                }
            }
        }
        Map<Kind, Integer> told = new EnumMap<>(Kind.class);
        return pairs.stream().sorted(Comparator.comparing(Pair::kind)).filter(pair -> told.merge(pair.kind(), 1, Integer::sum) <= MOST).toList();
    }

    private static void add(List<Pair> pairs, Set<Set<Id>> there, Set<Id> taught, Pair pair) {
        if (!pair.one().equals(pair.other()) && taught.contains(pair.one()) && taught.contains(pair.other())
                && there.add(Set.of(pair.one(), pair.other()))) {
            pairs.add(pair);
        }
    }

    /**
     * What somebody has seen of a pair, and the chance that they will have seen both: they come to each class or do not, independently.
     *
     * @param one numbers of the coming classes in which the first comes
     * @param other of those in which the second does
     */
    public static Seen seen(Pair pair, TermStudent student, Collection<Integer> one, Collection<Integer> other) {
        boolean seenOne = student.hasSeen(pair.one());
        boolean seenOther = student.hasSeen(pair.other());
        double noOne = seenOne ? 0 : absent(student, one);
        double noOther = seenOther ? 0 : absent(student, other);
        Set<Integer> either = new HashSet<>(one);
        either.addAll(other);
        double neither = seenOne || seenOther ? 0 : absent(student, either);
        return new Seen(seenOne, seenOther, Math.max(0, 1 - noOne - noOther + neither));
    }

    private static double absent(TermStudent student, Collection<Integer> classes) {
        double chance = 1;
        for (int c : classes) {
            chance *= 1 - student.comes().get(c);
        }
        return chance;
    }
}
