package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * The fewest sets that cover a share of the weight.
 *
 * <p>Problem: weighted partial set cover with equal costs, NP-hard (Karp 1972). Method: for one set more at a time, depth
 * first over the sets in the order of what they cover, cut off where the best that the sets still to be chosen could add
 * does not reach the goal. At most {@value #MOST_STEPS} steps; after that the greedy cover (Chvátal 1979) stands and is
 * not proven. Among equally few the one found first, so what covers much comes first. Deterministic.
 */
final class SetCover {

    private static final int MOST_STEPS = 500_000;
    private static final double TOLERANCE = 1e-12;

    /** What was chosen and the share in [0,1] of the weight that it covers. */
    record Found(List<Id> chosen, double share, boolean proven) {
    }

    private final List<Id> sets;
    private final BitSet[] covers;
    private final double[] weights;
    private final double goal;
    private int steps = MOST_STEPS;

    private SetCover(List<Id> sets, BitSet[] covers, double[] weights, double goal) {
        this.sets = sets;
        this.covers = covers;
        this.weights = weights;
        this.goal = goal;
    }

    /**
     * The fewest of {@code order} so that those of {@code needs} that hold one of them weigh {@code share} of all.
     *
     * @param needs for each thing to be covered the sets it lies in; a thing without any is never covered
     * @param weights of the things, at least 0
     */
    static Found fewest(List<Id> order, List<Set<Id>> needs, double[] weights, double share) {
        BitSet[] covers = new BitSet[order.size()];
        for (int set = 0; set < covers.length; set++) {
            covers[set] = new BitSet();
            for (int thing = 0; thing < weights.length; thing++) {
                covers[set].set(thing, needs.get(thing).contains(order.get(set)));
            }
        }
        double[] own = Arrays.stream(covers).mapToDouble(c -> weight(c, weights)).toArray();
        int[] ranked = IntStream.range(0, covers.length).boxed().sorted(Comparator.comparingDouble((Integer i) -> -own[i]))
                .mapToInt(i -> i).toArray();
        BitSet[] sorted = Arrays.stream(ranked).mapToObj(i -> covers[i]).toArray(BitSet[]::new);
        List<Id> names = Arrays.stream(ranked).mapToObj(order::get).toList();
        BitSet all = new BitSet();
        for (BitSet c : covers) {
            all.or(c);
        }
        double total = Arrays.stream(weights).sum();
        SetCover search = new SetCover(names, sorted, weights, Math.min(share * total, weight(all, weights)));
        return search.found(total);
    }

    private Found found(double total) {
        List<Integer> greedy = greedy();
        for (int count = 0; count < greedy.size(); count++) {
            List<Integer> chosen = new ArrayList<>();
            if (choose(0, count, new BitSet(), chosen)) {
                return named(chosen, total, true);
            }
            if (steps <= 0) {
                return named(greedy, total, false);
            }
        }
        return named(greedy, total, true);
    }

    private boolean choose(int from, int left, BitSet covered, List<Integer> chosen) {
        if (weight(covered, weights) >= goal - TOLERANCE) {
            return true;
        }
        if (left == 0 || steps-- <= 0) {
            return false;
        }
        double[] adds = new double[covers.length];
        for (int set = from; set < covers.length; set++) {
            adds[set] = weight(without(covers[set], covered), weights);
        }
        for (int set = from; set < covers.length; set++) {
            // The best that this one and the following could add, each counted alone: never too little.
            double most = IntStream.range(set, covers.length).mapToDouble(s -> adds[s]).sorted()
                    .skip(Math.max(0, covers.length - set - left)).sum();
            if (weight(covered, weights) + most < goal - TOLERANCE) {
                return false;
            }
            BitSet more = (BitSet) covered.clone();
            more.or(covers[set]);
            chosen.add(set);
            if (choose(set + 1, left - 1, more, chosen)) {
                return true;
            }
            chosen.remove(chosen.size() - 1);
        }
        return false;
    }

    private List<Integer> greedy() {
        List<Integer> chosen = new ArrayList<>();
        BitSet covered = new BitSet();
        while (weight(covered, weights) < goal - TOLERANCE) {
            int best = -1;
            double most = 0;
            for (int set = 0; set < covers.length; set++) {
                double adds = weight(without(covers[set], covered), weights);
                if (adds > most) {
                    most = adds;
                    best = set;
                }
            }
            if (best < 0) {
                break;
            }
            chosen.add(best);
            covered.or(covers[best]);
        }
        return chosen;
    }

    private Found named(List<Integer> chosen, double total, boolean proven) {
        BitSet covered = new BitSet();
        chosen.forEach(set -> covered.or(covers[set]));
        return new Found(chosen.stream().map(sets::get).toList(), total > 0 ? weight(covered, weights) / total : 1, proven);
    }

    private static BitSet without(BitSet all, BitSet gone) {
        BitSet left = (BitSet) all.clone();
        left.andNot(gone);
        return left;
    }

    private static double weight(BitSet things, double[] weights) {
        return things.stream().mapToDouble(thing -> weights[thing]).sum();
    }
}
