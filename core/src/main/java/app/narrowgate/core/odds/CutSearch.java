package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the smallest set of reactions whose loss drops the starts' worth below a threshold.
 *
 * <p>Method: a hitting-set tree (Reiter, "A theory of diagnosis from first principles", 1987), breadth first. As long as
 * the worth is still high enough, some best choices keep it there; every set that does better must take one of exactly
 * those away, so only they are branched on. That argument needs that thinking faster never harms, which is checked on the
 * way; where it fails the result says it is not exact. Exact up to {@value #EXACT_SIZE} reactions; beyond that the most
 * costly one is taken away again and again, and the size found stands against the proven bound.
 *
 * <p>Cost: at most {@code c + c² + c³} solves for {@code c} choices on the way, far fewer in practice.
 */
public final class CutSearch {

    /** Sets up to this size are searched completely. */
    public static final int EXACT_SIZE = 3;
    private static final int MOST_GREEDY = 40;

    private final MapIndex index;
    private final Setting setting;
    private final double threshold;
    private final Progress progress;
    private boolean quickerNeverHarms = true;
    private int solves;

    private CutSearch(MapIndex index, Setting setting, double threshold, Progress progress) {
        this.index = index;
        this.setting = setting;
        this.threshold = threshold;
        this.progress = progress;
    }

    /**
     * The smallest set for {@code threshold} in [0,1].
     *
     * @throws IllegalArgumentException when the threshold lies outside
     * @throws StoppedException when {@code progress} asks to stop
     */
    public static SmallestCut search(MapIndex index, Setting setting, double threshold, Progress progress) {
        app.narrowgate.core.check.Range.CHANCE.require("The threshold", threshold);
        return new CutSearch(index, setting, threshold, progress).search();
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
            if (level.isEmpty()) {
                return new SmallestCut(threshold, List.of(), startWithout(Set.of()), false, size + 1,
                        quickerNeverHarms);
            }
        }
        return greedy();
    }

    private Optional<SmallestCut> level(List<Set<Id>> level, int size, Set<Set<Id>> next) {
        SmallestCut best = null;
        for (Set<Id> taken : level) {
            progress.at(solves++, 0);
            Solved solved = Solved.converged(index, setting.without(taken));
            double worth = solved.startWorth();
            if (worth < threshold) {
                if (best == null || worth < best.startWithout()) {
                    best = new SmallestCut(threshold, taken.stream().sorted().toList(), worth, true, size,
                            quickerNeverHarms);
                }
            } else if (size < EXACT_SIZE) {
                for (Id choice : choices(solved)) {
                    Set<Id> more = new HashSet<>(taken);
                    more.add(choice);
                    next.add(more);
                }
            } else {
                next.add(taken);
            }
        }
        return Optional.ofNullable(best);
    }

    /** The reactions chosen on the way from the starts. */
    private List<Id> choices(Solved solved) {
        Game game = solved.game();
        double[] visits = RoundChain.of(game, solved.solution()).visits(solved.starts());
        double[] values = solved.solution().values();
        List<Id> choices = new ArrayList<>();
        for (int s = 0; s < game.situations; s++) {
            int o = solved.solution().choice()[s];
            if (visits[s] > 0 && o != Solution.STOP && game.optionReaction[o] != Game.WAIT) {
                choices.add(solved.reactionId(o));
                double inTime = game.going[o] + game.stuffedShare[o];
                double done = inTime > 0
                        ? (game.optionValue(s, o, values) - game.lateShare[o] * values[game.becomes[s]]) / inTime
                        : 0;
                // Only where something else can be taken away does the thinking time change at all.
                boolean alone = game.optionStart[s + 1] - game.optionStart[s] == 1;
                quickerNeverHarms &= alone || game.lateShare[o] <= 0 || done >= values[game.becomes[s]] - 1e-9;
            }
        }
        return choices;
    }

    private SmallestCut greedy() {
        Set<Id> taken = new LinkedHashSet<>();
        while (taken.size() < MOST_GREEDY) {
            Solved solved = Solved.converged(index, setting.without(taken));
            if (solved.startWorth() < threshold) {
                return new SmallestCut(threshold, List.copyOf(taken), solved.startWorth(), true, EXACT_SIZE + 1,
                        quickerNeverHarms && taken.size() == EXACT_SIZE + 1);
            }
            Optional<Id> costliest = choices(solved).stream().min(Comparator.comparingDouble(id -> {
                progress.at(solves++, 0);
                Set<Id> more = new HashSet<>(taken);
                more.add(id);
                return startWithout(more);
            }));
            if (costliest.isEmpty()) {
                break;
            }
            taken.add(costliest.get());
        }
        return new SmallestCut(threshold, List.of(), startWithout(Set.of()), false, EXACT_SIZE + 1, false);
    }

    private double startWithout(Set<Id> taken) {
        return Solved.converged(index, setting.without(taken)).startWorth();
    }
}
