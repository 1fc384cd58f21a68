package app.narrowgate.core.solve;

import java.util.Arrays;

/**
 * A finite Markov chain, solved exactly: chances of ending, expected visits, expected sums until the end.
 *
 * <p>Point {@code v} moves to {@code target[i]} with {@code probability[i]} for {@code i} in {@code row[v] ..
 * row[v+1]-1}; a point without arrows is an end. A strongly connected part that nothing leads out of, and that is not
 * an end, is a loop for ever. Kemeny and Snell, "Finite Markov Chains"; each strongly connected part is solved by
 * {@link GthElimination}, so slow loops are as exact as fast ones and nothing is iterated. Cost: Tarjan's search and
 * one elimination a part when made; each question is then linear in the arrows and the fill. Deterministic. Unchanged
 * once made, so it may be shared.
 */
final class AbsorbingChain {

    private final int points;
    private final int[] row;
    private final int[] target;
    private final double[] probability;
    private final Components parts;
    /** {@code local[v]}: number of {@code v} among the members of its part. */
    private final int[] local;
    private final boolean[] forEver;
    /** One a part that loops and is left; null for the others. */
    private final GthElimination[] elimination;

    private AbsorbingChain(int[] row, int[] target, double[] probability, WorkBudget budget) {
        this.points = row.length - 1;
        this.row = row;
        this.target = target;
        this.probability = probability;
        this.parts = Components.of(points, row, target);
        this.local = new int[points];
        this.forEver = new boolean[parts.count()];
        this.elimination = new GthElimination[parts.count()];
        for (int c = 0; c < parts.count(); c++) {
            eliminate(c, budget);
        }
    }

    /**
     * The chain of those arrows.
     *
     * @param row index of the first arrow of each point, and one more
     * @param probability of each arrow, above 0; those of a point that is no end sum to 1
     * @throws TangledException when eliminating would take more than {@code budget}
     */
    static AbsorbingChain of(int[] row, int[] target, double[] probability, WorkBudget budget) {
        return new AbsorbingChain(row, target, probability, budget);
    }

    private void eliminate(int c, WorkBudget budget) {
        int first = parts.start()[c];
        int size = parts.start()[c + 1] - first;
        for (int a = 0; a < size; a++) {
            local[parts.member()[first + a]] = a;
        }
        double[] leak = new double[size];
        int[] inner = new int[size + 1];
        IntList to = new IntList();
        double[] chance = new double[size];
        int arrows = 0;
        boolean left = false;
        for (int a = 0; a < size; a++) {
            int v = parts.member()[first + a];
            int begin = arrows;
            for (int i = row[v]; i < row[v + 1]; i++) {
                if (parts.of()[target[i]] != c) {
                    leak[a] += probability[i];
                    left = true;
                } else if (target[i] != v) {
                    int known = find(to, begin, arrows, local[target[i]]);
                    if (known < 0) {
                        to.add(local[target[i]]);
                        chance = arrows < chance.length ? chance : Arrays.copyOf(chance, 2 * arrows + 8);
                        chance[arrows++] = probability[i];
                    } else {
                        chance[known] += probability[i];
                    }
                }
            }
            inner[a + 1] = arrows;
        }
        forEver[c] = !left && row[parts.member()[first]] < row[parts.member()[first] + 1];
        if (left) {
            elimination[c] = GthElimination.of(inner, to.toArray(), chance, leak, budget);
        }
    }

    private static int find(IntList to, int begin, int end, int point) {
        for (int i = begin; i < end; i++) {
            if (to.get(i) == point) {
                return i;
            }
        }
        return -1;
    }

    boolean isEnd(int point) {
        return row[point] == row[point + 1];
    }

    /**
     * The least solution of {@code x = cost + P x} with {@code x = atEnds} at the ends: what is expected to be gathered
     * on the way and at the end. On a loop for ever 0 where it costs nothing, infinite where it does.
     */
    double[] gathered(double[] cost, double[] atEnds) {
        double[] x = new double[points];
        for (int c = 0; c < parts.count(); c++) {
            int first = parts.start()[c];
            int size = parts.start()[c + 1] - first;
            if (elimination[c] == null) {
                fillStill(x, c, cost, atEnds);
                continue;
            }
            double[] b = new double[size];
            for (int a = 0; a < size; a++) {
                int v = parts.member()[first + a];
                b[a] = cost[v];
                for (int i = row[v]; i < row[v + 1]; i++) {
                    if (parts.of()[target[i]] != c) {
                        b[a] += probability[i] * x[target[i]];
                    }
                }
            }
            double[] solved = elimination[c].solve(b);
            for (int a = 0; a < size; a++) {
                x[parts.member()[first + a]] = solved[a];
            }
        }
        return x;
    }

    private void fillStill(double[] x, int c, double[] cost, double[] atEnds) {
        boolean costs = false;
        for (int m = parts.start()[c]; m < parts.start()[c + 1]; m++) {
            costs |= cost[parts.member()[m]] > 0;
        }
        for (int m = parts.start()[c]; m < parts.start()[c + 1]; m++) {
            int v = parts.member()[m];
            x[v] = !forEver[c] ? atEnds[v] : costs ? Double.POSITIVE_INFINITY : 0;
        }
    }

    /** For every point the chance of coming into a loop for ever; exactly 0 where none can be reached. */
    double[] looping() {
        // A loop for ever is left out of the chain and taken for an end that is worth 1.
        double[] x = new double[points];
        for (int c = 0; c < parts.count(); c++) {
            int first = parts.start()[c];
            int size = parts.start()[c + 1] - first;
            double[] b = new double[size];
            for (int a = 0; a < size; a++) {
                int v = parts.member()[first + a];
                for (int i = row[v]; i < row[v + 1]; i++) {
                    b[a] += parts.of()[target[i]] == c ? 0 : probability[i] * x[target[i]];
                }
            }
            double[] solved = elimination[c] == null ? b : elimination[c].solve(b);
            for (int a = 0; a < size; a++) {
                x[parts.member()[first + a]] = forEver[c] ? 1 : solved[a];
            }
        }
        return x;
    }

    /**
     * Expected number of times each point is come to, starts included. On a loop for ever that would be no number:
     * there it is the chance of coming into the loop.
     */
    double[] visits(double[] start) {
        double[] come = Arrays.copyOf(start, points);
        double[] visits = new double[points];
        for (int c = parts.count() - 1; c >= 0; c--) {
            int first = parts.start()[c];
            int size = parts.start()[c + 1] - first;
            double[] inflow = new double[size];
            for (int a = 0; a < size; a++) {
                inflow[a] = come[parts.member()[first + a]];
            }
            double[] solved = elimination[c] == null ? still(c, inflow) : elimination[c].solveTransposed(inflow);
            for (int a = 0; a < size; a++) {
                int v = parts.member()[first + a];
                visits[v] = solved[a];
                for (int i = row[v]; i < row[v + 1]; i++) {
                    if (parts.of()[target[i]] != c) {
                        come[target[i]] += solved[a] * probability[i];
                    }
                }
            }
        }
        return visits;
    }

    private double[] still(int c, double[] inflow) {
        if (forEver[c]) {
            double sum = 0;
            for (double one : inflow) {
                sum += one;
            }
            Arrays.fill(inflow, sum);
        }
        return inflow;
    }
}
