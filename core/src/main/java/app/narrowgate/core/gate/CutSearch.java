package app.narrowgate.core.gate;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.solve.Choice;
import app.narrowgate.core.solve.Game;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the smallest set of reactions whose loss drops the starts' worth below a threshold.
 *
 * <p>Method: a hitting-set tree (Reiter, "A theory of diagnosis from first principles", 1987), breadth first. As long
 * as the worth is still high enough, the best choices on the way keep it there, whichever landing a partner picks. A
 * set that takes none of them away leaves the bottom player those choices, each at least as quick as before, since
 * fewer answers are thought about faster. So it leaves him the worth, unless being quicker harms: where waiting for the
 * clock is worth more than what is done, all that is taught there is branched on as well. Hence every set that drops
 * the worth takes one of those away, and the first size at which one is found is the smallest. Of the last size only
 * those are solved for that {@link LossBound} does not prove to keep the worth. Complete up to {@value #EXACT_SIZE}
 * reactions; beyond that the most costly one is taken away again and again, and the size found stands against the
 * proven bound.
 *
 * <p>Cost: at most {@code c + c²/2} solves for {@code c} choices on the way, and few of the {@code c³/6} of the last
 * size.
 */
public final class CutSearch {

    /** Sets up to this size are searched completely. */
    public static final int EXACT_SIZE = 3;
    private static final int MOST_GREEDY = 40;

    private final SolvedMap whole;
    private final double threshold;
    private final Progress progress;
    /** Sets proved to keep the worth. */
    private final Set<Set<Id>> kept = new HashSet<>();
    private int solves;

    private CutSearch(SolvedMap whole, double threshold, Progress progress) {
        this.whole = whole;
        this.threshold = threshold;
        this.progress = progress;
    }

    /**
     * The smallest set for {@code threshold} in [0,1].
     *
     * @throws app.narrowgate.core.check.RefusedException when the threshold lies outside
     * @throws StoppedException when {@code progress} asks to stop
     */
    public static SmallestCut search(SolvedMap whole, double threshold, Progress progress) {
        Range.CHANCE.require("The threshold", threshold);
        return new CutSearch(whole.converged(), threshold, progress).search();
    }

    private SmallestCut search() {
        List<Set<Id>> level = List.of(Set.of());
        for (int size = 0; size <= EXACT_SIZE; size++) {
            Set<Set<Id>> next = new LinkedHashSet<>();
            Optional<SmallestCut> found = level(level, size, next);
            if (found.isPresent()) {
                return found.get();
            }
            level = List.copyOf(next);
            if (level.isEmpty() && kept.isEmpty()) {
                return new SmallestCut(threshold, List.of(), whole.startWorth(), false, size + 1, true);
            }
        }
        return greedy();
    }

    private Optional<SmallestCut> level(List<Set<Id>> level, int size, Set<Set<Id>> next) {
        SmallestCut best = null;
        for (int i = 0; i < level.size(); i++) {
            Set<Id> taken = level.get(i);
            SolvedMap solved = solve(taken);
            double worth = solved.startWorth();
            if (worth < threshold) {
                if (best == null || worth < best.startWithout()) {
                    best = new SmallestCut(threshold, taken.stream().sorted().toList(), worth, true, size, true);
                }
            } else if (size == EXACT_SIZE) {
                next.add(taken);
            } else if (best == null) {
                branch(solved, taken, size + 1 == EXACT_SIZE, next);
            }
        }
        return Optional.ofNullable(best);
    }

    /** Adds the sets one larger; of the last size only those that are not proved to keep the worth. */
    private void branch(SolvedMap solved, Set<Id> taken, boolean last, Set<Set<Id>> next) {
        LossBound bound = last ? new LossBound(solved) : null;
        for (int option : toBranchOn(solved)) {
            Set<Id> more = new HashSet<>(taken);
            Reaction reaction = solved.reaction(option);
            more.add(reaction.id());
            if (next.contains(more) || kept.contains(more)) {
                continue;
            }
            if (last && bound.keeps(solved.place(reaction.from()), option, threshold)) {
                kept.add(more);
            } else {
                next.add(more);
            }
        }
    }

    private SolvedMap solve(Set<Id> taken) {
        progress.at(solves++, 0);
        return taken.isEmpty() ? whole : whole.without(taken);
    }

    /** What a set that drops the worth must take from; see the class. */
    private static List<Integer> toBranchOn(SolvedMap solved) {
        Game game = solved.game();
        double[] values = solved.solution().values();
        List<Integer> branches = new ArrayList<>();
        boolean[] seen = new boolean[game.places];
        Deque<Integer> open = new ArrayDeque<>();
        double[] starts = solved.starts();
        for (int s = 0; s < game.situations; s++) {
            if (starts[s] > 0) {
                come(s, seen, open);
            }
        }
        while (!open.isEmpty()) {
            int s = open.remove();
            // What is worth nothing has nothing to lose.
            if (s >= game.situations || solved.solution().lower()[s] <= 0) {
                continue;
            }
            if (solved.solution().choice(s) == Choice.Still.WAIT) {
                come(game.becomes[s], seen, open);
            } else if (solved.solution().choice(s) instanceof Choice.Try tried) {
                int o = tried.option();
                if (quickerHarms(game, s, o, values)) {
                    for (int other = game.optionStart[s]; other < game.optionStart[s + 1]; other++) {
                        branches.add(other);
                    }
                } else {
                    branches.add(o);
                }
                follow(game, s, o, seen, open);
            }
        }
        return branches;
    }

    private static void come(int place, boolean[] seen, Deque<Integer> open) {
        if (!seen[place]) {
            seen[place] = true;
            open.add(place);
        }
    }

    /** To wherever option {@code o} can lead, a landing that only a reading partner would pick among them. */
    private static void follow(Game game, int s, int o, boolean[] seen, Deque<Integer> open) {
        if (game.lateShare[o] > 0) {
            come(game.becomes[s], seen, open);
        }
        if (game.stuffedShare[o] > 0) {
            come(game.stuffed[o], seen, open);
        }
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1] && game.going[o] > 0; i++) {
            come(game.landing[i], seen, open);
        }
    }

    /**
     * True when being in time with {@code o} is not surely worth what the clock leads to, and others are taught there.
     */
    private static boolean quickerHarms(Game game, int s, int o, double[] values) {
        double inTime = game.going[o] + game.stuffedShare[o];
        double late = game.lateShare[o];
        if (game.options(s) == 1 || late <= 0) {
            return false;
        }
        double clock = values[game.becomes[s]];
        double done = inTime > 0 ? (game.optionValue(s, o, values) - late * clock) / inTime : 0;
        return !(done >= clock);
    }

    private SmallestCut greedy() {
        Set<Id> taken = new LinkedHashSet<>();
        while (taken.size() < MOST_GREEDY) {
            SolvedMap solved = solve(taken);
            if (solved.startWorth() < threshold) {
                return new SmallestCut(threshold, List.copyOf(taken), solved.startWorth(), true, EXACT_SIZE + 1,
                        taken.size() == EXACT_SIZE + 1);
            }
            Optional<Id> costliest = toBranchOn(solved).stream().map(o -> solved.reaction(o).id()).min(Comparator.comparingDouble(id -> {
                Set<Id> more = new HashSet<>(taken);
                more.add(id);
                return solve(more).startWorth();
            }));
            if (costliest.isEmpty()) {
                break;
            }
            taken.add(costliest.get());
        }
        return new SmallestCut(threshold, List.of(), whole.startWorth(), false, EXACT_SIZE + 1, false);
    }
}
