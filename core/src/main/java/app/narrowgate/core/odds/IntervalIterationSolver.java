package app.narrowgate.core.odds;

import java.util.Arrays;

/**
 * Solves a {@link Game} for its least fixed point, with certified bounds.
 *
 * <p>Problem: the least solution of the value equation in [0,1]; with a partner who reads, a stochastic game in which
 * he sees the reaction under way. A loop in which nothing ends is worth 0.
 *
 * <p>Method: interval iteration (Haddad and Monmege, "Interval iteration algorithm for MDPs and IMDPs", 2018), the
 * upper bound pulled down on end components (Kelmendi et al. 2018), component by component against the arrows, each
 * sweep in place (Gauss–Seidel); a component that mixes slowly is finished by a {@link StrategyGuess}. Both bounds are sound at every moment, whatever the number of sweeps; a sweep limit
 * only makes the result say that it did not converge.
 *
 * <p>Precondition: every share in [0,1], every worth in [0,1]. Cost: O(sweeps · responses) time, O(responses) memory;
 * a map without loops needs one sweep. Deterministic; of equally good options the earliest in the map is chosen.
 * Bounds hold to the rounding of double arithmetic, about 1e-12 here.
 */
final class IntervalIterationSolver {

    /** Largest gap between the bounds of a value that counts as solved. */
    static final double GAP = 1e-6;

    /** A component's own part of the gap; small, because gaps add up along a chain of components. */
    private static final double OWN_GAP = 1e-10;
    private static final double LEAST_OWN_GAP = 1e-13;
    /** A smaller gain is rounding, and following it could close a loop of choices with no way out. */
    private static final double TRUE_GAIN = 1e-14;

    /** Loops that mix this slowly are worth a linear solve. */
    private static final int SWEEPS_BEFORE_A_GUESS = 256;

    private final Game game;
    private final Moves moves;
    private final int mostSweeps;
    private final double[] lower;
    private final double[] upper;
    private final int[] choice;
    private final EndComponents endComponents;
    private final StrategyGuess guess;
    private int sweeps;

    private IntervalIterationSolver(Game game, int mostSweeps) {
        this.game = game;
        this.moves = Moves.of(game);
        this.mostSweeps = mostSweeps;
        this.lower = game.worth.clone();
        this.upper = game.worth.clone();
        this.choice = new int[game.situations];
        this.endComponents = new EndComponents(moves);
        this.guess = new StrategyGuess(moves, endComponents);
    }

    /** Solves with a limit of a million sweeps a component. */
    static Solution solve(Game game) {
        return solve(game, 1_000_000);
    }

    /** Solves with a limit of {@code mostSweeps} a component. */
    static Solution solve(Game game, int mostSweeps) {
        return new IntervalIterationSolver(game, mostSweeps).solve();
    }

    private Solution solve() {
        Components components = components();
        Arrays.fill(upper, 0, game.situations, 1);
        Arrays.fill(choice, Solution.STOP);
        double own = Math.max(LEAST_OWN_GAP, Math.min(OWN_GAP, 0.5 * GAP / Math.max(1, components.count())));
        for (int c = 0; c < components.count(); c++) {
            int from = components.start()[c];
            int to = components.start()[c + 1];
            int[] members = Arrays.copyOfRange(components.member(), from, to);
            if (members.length == 1 && !fallsBack(members[0])) {
                sweepLower(members);
                sweepUpper(members);
            } else {
                iterate(members, outerGap(members, components.of(), c) + own);
            }
        }
        return new Solution(lower, upper, choice, sweeps, widest() <= GAP);
    }

    private Components components() {
        int[] row = new int[game.situations + 1];
        int[] target = new int[game.landing.length + 2 * game.options()];
        int arrows = 0;
        for (int s = 0; s < game.situations; s++) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (!moves.leaves[o]) {
                    continue;
                }
                if (moves.stuffedShare[o] > 0) {
                    target[arrows++] = game.stuffed[o];
                }
                if (moves.lateShare[o] > 0) {
                    target[arrows++] = game.becomes[s];
                }
                for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                    if (moves.share[i] > 0 || moves.worstShare[o] > 0) {
                        target[arrows++] = game.landing[i];
                    }
                }
            }
            row[s + 1] = arrows;
        }
        return Components.of(game.situations, row, target);
    }

    /** True when a worst landing can be the situation itself; the chance part of that was taken out before. */
    private boolean fallsBack(int s) {
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (moves.worstShare[o] > 0) {
                for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                    if (game.landing[i] == s) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    /** The widest gap among the places that the component's situations lead to outside it. */
    private double outerGap(int[] members, int[] of, int c) {
        double widest = 0;
        for (int s : members) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                widest = Math.max(widest, gapOutside(game.stuffed[o], of, c));
                widest = Math.max(widest, gapOutside(game.becomes[s], of, c));
                for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                    widest = Math.max(widest, gapOutside(game.landing[i], of, c));
                }
            }
        }
        return widest;
    }

    private double gapOutside(int place, int[] of, int c) {
        // Components come sinks first: what is not solved yet is not reached with any share.
        return place < game.situations && of[place] < c ? upper[place] - lower[place] : 0;
    }

    private void iterate(int[] members, double tolerance) {
        int[][] ends = endComponents.among(members, lower);
        int nextLook = 1;
        int nextGuess = SWEEPS_BEFORE_A_GUESS;
        int sweep = 0;
        while (sweep < mostSweeps) {
            sweep++;
            sweepLower(members);
            if (game.read >= 1 && sweep == nextLook) {
                ends = endComponents.among(members, lower);
                nextLook += 1 + sweep / 4;
            }
            double widest = sweepUpper(members);
            for (int[] end : ends) {
                pullDown(end);
            }
            if (widest <= tolerance || widest(members) <= tolerance) {
                break;
            }
            if (sweep == nextGuess) {
                guess.narrow(members, ends, lower, upper, choice, tolerance);
                nextGuess *= 8;
            }
        }
        sweeps = Math.max(sweeps, sweep);
    }

    private void sweepLower(int[] members) {
        for (int s : members) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (moves.leaves[o]) {
                    double v = moves.value(s, o, lower);
                    if (v > lower[s] + TRUE_GAIN) {
                        lower[s] = v;
                        // Changed only on a true gain: so the choices never circle without a way out.
                        choice[s] = o;
                    }
                }
            }
        }
    }

    private double sweepUpper(int[] members) {
        double widest = 0;
        for (int s : members) {
            double best = moves.best(s, upper);
            if (best < upper[s]) {
                upper[s] = best;
            }
            widest = Math.max(widest, upper[s] - lower[s]);
        }
        return widest;
    }

    /** No situation of an end component is worth more than the best way out of it. */
    private void pullDown(int[] end) {
        double out = endComponents.bestWayOut(end, lower, upper);
        for (int s : end) {
            upper[s] = Math.min(upper[s], out);
        }
    }

    private double widest(int[] members) {
        double widest = 0;
        for (int s : members) {
            widest = Math.max(widest, upper[s] - lower[s]);
        }
        return widest;
    }

    private double widest() {
        double widest = 0;
        for (int place = 0; place < game.places; place++) {
            widest = Math.max(widest, upper[place] - lower[place]);
        }
        return widest;
    }
}
