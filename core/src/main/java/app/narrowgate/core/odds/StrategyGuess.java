package app.narrowgate.core.odds;

import java.util.Arrays;

/**
 * Finishes a component on which sweeping is slow: guesses its values by improving both players' choices with a linear
 * solve each time, then proves bounds around the guess. A guess that cannot be proved changes nothing.
 *
 * <p>Upper bound: if one sweep from {@code x + d} nowhere rises, the least fixed point lies below (Knaster and Tarski; used
 * so by Hartmanns and Kaminski, "Optimistic value iteration", 2020), ways round in an end component being capped by the
 * best way out. Lower bound: for λ &lt; 1, if the present choices lead out of the component from everywhere, their values
 * have one fixed point, and what does not fall from {@code x - d} lies below it. For λ = 1 only the upper bound is tried,
 * since there the partner may shut the way out.
 *
 * <p>Cost O(members³) a solve, at most {@value #MOST_ROUNDS} solves; components above {@value #MOST_MEMBERS} are left alone.
 */
final class StrategyGuess {

    private static final int MOST_MEMBERS = 600;
    private static final int MOST_ROUNDS = 40;
    /** A choice changes only on a gain above this, and a bound may rise by rounding. */
    private static final double ROUNDING = 1e-13;

    private final Moves moves;
    private final Game game;
    private final EndComponents endComponents;
    private final int[] local;

    StrategyGuess(Moves moves, EndComponents endComponents) {
        this.moves = moves;
        this.game = moves.game;
        this.endComponents = endComponents;
        this.local = new int[game.situations];
        Arrays.fill(local, -1);
    }

    /** Narrows {@code lower} and {@code upper} on {@code members}, and with {@code lower} the {@code choice}, if it can. */
    void narrow(int[] members, int[][] ends, double[] lower, double[] upper, int[] choice, double tolerance) {
        if (members.length > MOST_MEMBERS) {
            return;
        }
        for (int i = 0; i < members.length; i++) {
            local[members[i]] = i;
        }
        int[] trial = choice.clone();
        double[] guess = lower.clone();
        for (int place = 0; place < game.places; place++) {
            guess[place] = 0.5 * (lower[place] + upper[place]);
        }
        if (settle(members, trial, guess)) {
            double margin = 0.25 * tolerance;
            proveUpper(members, ends, guess, margin, lower, upper);
            if (game.read < 1 && leadsOut(members, trial)) {
                proveLower(members, guess, margin, trial, lower, choice);
            }
        }
        for (int s : members) {
            local[s] = -1;
        }
    }

    /** Improves {@code trial} until no choice gains; leaves its values in {@code guess}. False when it does not settle. */
    private boolean settle(int[] members, int[] trial, double[] guess) {
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double[] solved = solve(members, trial, guess);
            if (solved == null) {
                return false;
            }
            double moved = 0;
            for (int i = 0; i < members.length; i++) {
                moved = Math.max(moved, Math.abs(solved[i] - guess[members[i]]));
                guess[members[i]] = solved[i];
            }
            if (!improve(members, trial, guess) && moved < ROUNDING) {
                return true;
            }
        }
        return false;
    }

    private boolean improve(int[] members, int[] trial, double[] guess) {
        boolean changed = false;
        for (int s : members) {
            double best = guess[s] + ROUNDING;
            if (game.worth[s] > best) {
                best = game.worth[s];
                trial[s] = Solution.STOP;
                changed = true;
            }
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (moves.leaves[o] && o != trial[s] && moves.value(s, o, guess) > best) {
                    best = moves.value(s, o, guess);
                    trial[s] = o;
                    changed = true;
                }
            }
        }
        return changed;
    }

    /** Values of the chain that {@code trial} and the worst landings under {@code guess} make; null when singular. */
    private double[] solve(int[] members, int[] trial, double[] guess) {
        int n = members.length;
        double[][] a = new double[n][n + 1];
        for (int i = 0; i < n; i++) {
            int s = members[i];
            int o = trial[s];
            a[i][i] += 1;
            if (o == Solution.STOP) {
                a[i][n] = game.worth[s];
                continue;
            }
            put(a[i], game.stuffed[o], moves.stuffedShare[o], guess);
            put(a[i], game.becomes[s], moves.lateShare[o], guess);
            for (int k = game.responseStart[o]; k < game.responseStart[o + 1]; k++) {
                put(a[i], game.landing[k], moves.share[k], guess);
            }
            if (moves.worstShare[o] > 0) {
                put(a[i], game.landing[game.worstResponse(o, guess)], moves.worstShare[o], guess);
            }
        }
        return eliminate(a);
    }

    private void put(double[] row, int place, double share, double[] guess) {
        if (share <= 0) {
            return;
        }
        if (place < game.situations && local[place] >= 0) {
            row[local[place]] -= share;
        } else {
            row[row.length - 1] += share * guess[place];
        }
    }

    /** Gaussian elimination with row pivots; null when a pivot vanishes. */
    private static double[] eliminate(double[][] a) {
        int n = a.length;
        for (int c = 0; c < n; c++) {
            int pivot = c;
            for (int r = c + 1; r < n; r++) {
                if (Math.abs(a[r][c]) > Math.abs(a[pivot][c])) {
                    pivot = r;
                }
            }
            double[] row = a[pivot];
            a[pivot] = a[c];
            a[c] = row;
            if (Math.abs(row[c]) < 1e-300) {
                return null;
            }
            for (int r = c + 1; r < n; r++) {
                double factor = a[r][c] / row[c];
                if (factor != 0) {
                    for (int k = c; k <= n; k++) {
                        a[r][k] -= factor * row[k];
                    }
                }
            }
        }
        double[] x = new double[n];
        for (int r = n - 1; r >= 0; r--) {
            double sum = a[r][n];
            for (int k = r + 1; k < n; k++) {
                sum -= a[r][k] * x[k];
            }
            x[r] = sum / a[r][r];
        }
        return x;
    }

    private void proveUpper(int[] members, int[][] ends, double[] guess, double margin, double[] lower,
            double[] upper) {
        double[] above = upper.clone();
        for (int s : members) {
            above[s] = Math.min(1, guess[s] + margin);
        }
        double[] cap = new double[game.situations];
        Arrays.fill(cap, 1);
        for (int[] end : ends) {
            double out = endComponents.bestWayOut(end, lower, above);
            for (int s : end) {
                cap[s] = out;
            }
        }
        for (int s : members) {
            if (!(Math.min(cap[s], moves.best(s, above)) <= above[s] + ROUNDING)) {
                return;
            }
        }
        for (int s : members) {
            upper[s] = Math.min(upper[s], above[s]);
        }
    }

    private void proveLower(int[] members, double[] guess, double margin, int[] trial, double[] lower, int[] choice) {
        double[] below = lower.clone();
        for (int s : members) {
            below[s] = Math.max(0, guess[s] - margin);
        }
        for (int s : members) {
            int o = trial[s];
            double held = o == Solution.STOP ? game.worth[s] : moves.value(s, o, below);
            if (!(held >= below[s] - ROUNDING)) {
                return;
            }
        }
        for (int s : members) {
            if (below[s] > lower[s]) {
                lower[s] = below[s];
            }
            choice[s] = trial[s];
        }
    }

    /** True when from every member the choices have a chance to stop or to leave the component. */
    private boolean leadsOut(int[] members, int[] trial) {
        boolean[] out = new boolean[members.length];
        boolean changed = true;
        int left = members.length;
        while (changed && left > 0) {
            changed = false;
            for (int i = 0; i < members.length; i++) {
                if (!out[i] && (trial[members[i]] == Solution.STOP || stepsOut(members[i], trial[members[i]], out))) {
                    out[i] = true;
                    changed = true;
                    left--;
                }
            }
        }
        return left == 0;
    }

    private boolean stepsOut(int s, int o, boolean[] out) {
        boolean leads = moves.stuffedShare[o] > 0 && isOut(game.stuffed[o], out);
        leads |= moves.lateShare[o] > 0 && isOut(game.becomes[s], out);
        for (int k = game.responseStart[o]; k < game.responseStart[o + 1] && !leads; k++) {
            leads = moves.share[k] > 0 && isOut(game.landing[k], out);
        }
        return leads;
    }

    private boolean isOut(int place, boolean[] out) {
        return place >= game.situations || local[place] < 0 || out[local[place]];
    }
}
