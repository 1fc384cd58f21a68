package app.narrowgate.core.solve;

import java.util.Arrays;

/**
 * Values of a small game by trying every positional strategy of both players, a linear solve each. Both players have
 * optimal positional strategies (Condon, "The complexity of stochastic games", 1992), so this is the exact value.
 */
public final class StrategyEnumeration {

    private static final int NONE = -1;

    private final Game game;
    private final int[] choice;
    private final int[] answer;

    private StrategyEnumeration(Game game) {
        this.game = game;
        this.choice = new int[game.situations];
        this.answer = new int[game.situations];
    }

    /** The value of every situation. */
    public static double[] values(Game game) {
        StrategyEnumeration enumeration = new StrategyEnumeration(game);
        double[] best = new double[game.situations];
        enumeration.bottomPlayer(0, best);
        return best;
    }

    private void bottomPlayer(int s, double[] best) {
        if (s == game.situations) {
            double[] worst = new double[game.situations];
            Arrays.fill(worst, 1);
            topPlayer(0, worst);
            for (int i = 0; i < best.length; i++) {
                best[i] = Math.max(best[i], worst[i]);
            }
            return;
        }
        choice[s] = NONE;
        bottomPlayer(s + 1, best);
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            choice[s] = o;
            bottomPlayer(s + 1, best);
        }
    }

    private void topPlayer(int s, double[] worst) {
        if (s == game.situations) {
            double[] value = chain();
            for (int i = 0; i < worst.length; i++) {
                worst[i] = Math.min(worst[i], value[i]);
            }
            return;
        }
        int o = choice[s];
        if (o == NONE || game.read.isNone() || game.responseStart[o] == game.responseStart[o + 1]) {
            topPlayer(s + 1, worst);
            return;
        }
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            answer[s] = i;
            topPlayer(s + 1, worst);
        }
    }

    /** Least solution of the chain that both strategies make: 0 where no end is reached, a linear solve elsewhere. */
    private double[] chain() {
        int n = game.situations;
        double[][] p = new double[n][game.places];
        for (int s = 0; s < n; s++) {
            int o = choice[s];
            if (o == NONE) {
                continue;
            }
            p[s][game.stuffed[o]] += game.stuffedShare[o];
            p[s][game.becomes[s]] += game.lateShare[o];
            for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                p[s][game.landing[i]] += game.going[o] * game.read.habit() * game.chance[i];
            }
            if (!game.read.isNone() && game.responseStart[o] < game.responseStart[o + 1]) {
                p[s][game.landing[answer[s]]] += game.going[o] * game.read.share();
            }
        }
        boolean[] reaches = reaches(p);
        double[][] a = new double[n][n + 1];
        for (int s = 0; s < n; s++) {
            a[s][s] = 1;
            if (choice[s] == NONE) {
                a[s][n] = game.worth[s];
            } else if (reaches[s]) {
                for (int t = 0; t < n; t++) {
                    a[s][t] -= reaches[t] ? p[s][t] : 0;
                }
                for (int t = n; t < game.places; t++) {
                    a[s][n] += p[s][t] * game.worth[t];
                }
            }
        }
        return solve(a);
    }

    private boolean[] reaches(double[][] p) {
        boolean[] reaches = new boolean[game.situations];
        boolean changed = true;
        while (changed) {
            changed = false;
            for (int s = 0; s < game.situations; s++) {
                if (!reaches[s] && (choice[s] == NONE || stepsOut(p[s], reaches))) {
                    reaches[s] = true;
                    changed = true;
                }
            }
        }
        return reaches;
    }

    private boolean stepsOut(double[] row, boolean[] reaches) {
        for (int t = 0; t < row.length; t++) {
            if (row[t] > 0 && (t >= game.situations || reaches[t])) {
                return true;
            }
        }
        return false;
    }

    private static double[] solve(double[][] a) {
        int n = a.length;
        for (int c = 0; c < n; c++) {
            int pivot = c;
            for (int r = c + 1; r < n; r++) {
                pivot = Math.abs(a[r][c]) > Math.abs(a[pivot][c]) ? r : pivot;
            }
            double[] swap = a[c];
            a[c] = a[pivot];
            a[pivot] = swap;
            for (int r = 0; r < n; r++) {
                if (r != c && a[r][c] != 0) {
                    double f = a[r][c] / a[c][c];
                    for (int k = c; k <= n; k++) {
                        a[r][k] -= f * a[c][k];
                    }
                }
            }
        }
        double[] x = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = a[i][n] / a[i][i];
        }
        return x;
    }
}
