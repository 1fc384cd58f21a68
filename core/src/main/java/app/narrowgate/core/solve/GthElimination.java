package app.narrowgate.core.solve;

import java.util.Arrays;
import java.util.PriorityQueue;

/**
 * Solves {@code x = b + P x} and {@code y = c + Pᵀ y} exactly on states from each of which a chain surely leaves.
 *
 * <p>Problem: {@code P} is what a stochastic matrix has on some states; the rest of each row, its leak, leaves them.
 * Method: states are eliminated one by one, the fewest products first (Markowitz 1957), and each diagonal {@code 1 - p}
 * is formed as the sum of what goes elsewhere (Grassmann, Taksar and Heyman, "Regenerative analysis and steady state
 * distributions for Markov chains", 1985). Nothing is ever subtracted, so the result is right to {@link
 * #relativeError(int)} however slowly the chain leaves: to a chance of one in a trillion a step as to one in two, down to 2⁻⁹⁶⁰.
 *
 * <p>Precondition: every state can reach one with a leak. Diagonal entries are ignored, as rows sum to 1. Cost: O(n +
 * fill) memory, O(fill · degree) time; O(n³) at worst, far less on maps, and bounded by a {@link WorkBudget} and by
 * {@value #MOST_ENTRIES} entries. Deterministic. Unchanged once made.
 */
final class GthElimination {

    /** Some forty bytes each. */
    private static final int MOST_ENTRIES = 3_000_000;
    /** What is lost of a product below the smallest normal number, 2⁻¹⁰²², is nothing beside this, however many are added. */
    private static final double LEAST_LEAVING = 0x1p-960;
    /** What queues and arrays of a state cost beside its products, in entries looked at. */
    private static final int WORK_OF_A_STATE = 500;

    private final int n;
    private final int[] order;
    private final double[] diagonal;
    /** {@code out[k]}: states still there when {@code k} was eliminated to which it led. */
    private final int[][] out;
    private final double[][] outChance;
    /** {@code in[k]}: states that led to {@code k} then. */
    private final int[][] in;
    private final double[][] factor;

    /**
     * Eliminates {@code n = leak.length} states.
     *
     * @param row state {@code i} leads to {@code target[row[i]] .. target[row[i+1]-1]}; no state twice in a row
     * @param chance of each of those arrows, above 0
     * @param leak {@code leak[i]}: chance of leaving the states from {@code i}
     * @throws TangledException when it needs more memory, or more entries looked at than {@code budget} has; and when states are left with
     *     a chance of less than 2⁻⁹⁶⁰, where products of chances begin to lose their digits
     */
    static GthElimination of(int[] row, int[] target, double[] chance, double[] leak, WorkBudget budget) {
        return new GthElimination(new Rest(row, target, chance, leak), budget);
    }

    private GthElimination(Rest rest, WorkBudget budget) {
        n = rest.n;
        order = new int[n];
        diagonal = new double[n];
        out = new int[n][];
        outChance = new double[n][];
        in = new int[n][];
        factor = new double[n][];
        long entries = 0;
        for (int step = 0; step < n; step++) {
            int k = rest.next();
            order[step] = k;
            diagonal[k] = rest.leaving(k);
            out[k] = Arrays.copyOf(rest.column[k], rest.length[k]);
            outChance[k] = Arrays.copyOf(rest.value[k], rest.length[k]);
            in[k] = rest.leadingTo(k);
            factor[k] = new double[in[k].length];
            entries += out[k].length + in[k].length;
            long work = WORK_OF_A_STATE;
            for (int a = 0; a < in[k].length; a++) {
                work += 2L * rest.length[in[k][a]] + out[k].length;
                factor[k][a] = rest.passOver(in[k][a], k, diagonal[k]);
            }
            if (!budget.spend(work) || entries > MOST_ENTRIES) {
                throw TangledException.large();
            }
        }
    }

    /**
     * A bound on the relative error of every entry of a solution with {@code b ≥ 0}, for {@code n} states: O'Cinneide,
     * "Entrywise perturbation theory and error analysis for Markov chains" (1993), with a generous constant.
     */
    static double relativeError(int n) {
        double states = n + 4.0;
        return 4 * states * states * states * 0x1p-53;
    }

    /** The solution of {@code x = b + P x}; {@code b} is not changed. */
    double[] solve(double[] b) {
        double[] x = b.clone();
        for (int k : order) {
            for (int a = 0; a < in[k].length; a++) {
                x[in[k][a]] += factor[k][a] * x[k];
            }
        }
        for (int step = n - 1; step >= 0; step--) {
            int k = order[step];
            double sum = x[k];
            for (int a = 0; a < out[k].length; a++) {
                sum += outChance[k][a] * x[out[k][a]];
            }
            x[k] = sum / diagonal[k];
        }
        return x;
    }

    /** The solution of {@code y = c + Pᵀ y}; {@code c} is not changed. */
    double[] solveTransposed(double[] c) {
        double[] y = c.clone();
        for (int k : order) {
            y[k] /= diagonal[k];
            for (int a = 0; a < out[k].length; a++) {
                y[out[k][a]] += outChance[k][a] * y[k];
            }
        }
        for (int step = n - 1; step >= 0; step--) {
            int k = order[step];
            for (int a = 0; a < in[k].length; a++) {
                y[k] += factor[k][a] * y[in[k][a]];
            }
        }
        return y;
    }

    /** The states not yet eliminated, as sparse rows. */
    private static final class Rest {
        private static final long INDEX = 0xffffffffL;

        private final int n;
        private final int[][] column;
        private final double[][] value;
        private final int[] length;
        private final double[] leak;
        private final IntList[] leadsHere;
        private final boolean[] gone;
        /** {@code position[j]}: where column {@code j} stands in the row under work, or -1. */
        private final int[] position;
        private final PriorityQueue<Long> queue = new PriorityQueue<>();

        Rest(int[] row, int[] target, double[] chance, double[] leak) {
            n = leak.length;
            this.leak = leak.clone();
            column = new int[n][];
            value = new double[n][];
            length = new int[n];
            leadsHere = new IntList[n];
            gone = new boolean[n];
            position = new int[n];
            Arrays.fill(position, -1);
            Arrays.setAll(leadsHere, j -> new IntList());
            for (int i = 0; i < n; i++) {
                column[i] = new int[row[i + 1] - row[i]];
                value[i] = new double[column[i].length];
                for (int a = row[i]; a < row[i + 1]; a++) {
                    if (target[a] != i) {
                        append(i, target[a], chance[a]);
                    }
                }
            }
            for (int i = 0; i < n; i++) {
                queue.add(key(i));
            }
        }

        private void append(int i, int j, double chance) {
            if (length[i] == column[i].length) {
                int room = 2 * length[i] + 4;
                column[i] = Arrays.copyOf(column[i], room);
                value[i] = Arrays.copyOf(value[i], room);
            }
            column[i][length[i]] = j;
            value[i][length[i]++] = chance;
            leadsHere[j].add(i);
        }

        private long key(int k) {
            return (Math.min(Integer.MAX_VALUE, (long) length[k] * leadsHere[k].size()) << 32) | k;
        }

        /** The state whose elimination costs least, nearly. */
        int next() {
            while (true) {
                long least = queue.remove();
                int k = (int) (least & INDEX);
                if (!gone[k]) {
                    if (key(k) <= least) {
                        gone[k] = true;
                        return k;
                    }
                    queue.add(key(k));
                }
            }
        }

        double leaving(int k) {
            double sum = leak[k];
            for (int a = 0; a < length[k]; a++) {
                sum += value[k][a];
            }
            if (!(sum >= LEAST_LEAVING)) {
                throw TangledException.slow();
            }
            return sum;
        }

        int[] leadingTo(int k) {
            int[] leading = leadsHere[k].toArray();
            int kept = 0;
            for (int i : leading) {
                if (!gone[i]) {
                    leading[kept++] = i;
                }
            }
            return Arrays.copyOf(leading, kept);
        }

        /** Lets row {@code i} lead past the eliminated state {@code k}; returns its share of row {@code k}. */
        double passOver(int i, int k, double diagonal) {
            int[] columns = column[i];
            for (int a = 0; a < length[i]; a++) {
                position[columns[a]] = a;
            }
            int at = position[k];
            double share = value[i][at] / diagonal;
            length[i]--;
            if (at < length[i]) {
                column[i][at] = column[i][length[i]];
                value[i][at] = value[i][length[i]];
                position[column[i][at]] = at;
            }
            position[k] = -1;
            for (int a = 0; a < length[k]; a++) {
                int j = column[k][a];
                if (j == i) {
                    continue;
                }
                double more = share * value[k][a];
                if (position[j] >= 0) {
                    value[i][position[j]] += more;
                } else if (more > 0) {
                    position[j] = length[i];
                    append(i, j, more);
                }
            }
            leak[i] += share * leak[k];
            for (int a = 0; a < length[i]; a++) {
                position[column[i][a]] = -1;
            }
            queue.add(key(i));
            return share;
        }
    }
}
