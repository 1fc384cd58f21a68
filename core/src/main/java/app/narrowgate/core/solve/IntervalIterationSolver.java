package app.narrowgate.core.solve;

import java.util.Arrays;

/**
 * Solves a {@link Game} for its least fixed point, with certified bounds.
 *
 * <p>Problem: the least solution of the value equation in [0,1]; with a partner who reads, a stochastic game in which
 * he sees the reaction under way. A loop in which nothing ends is worth 0.
 *
 * <p>Method: interval iteration (Haddad and Monmege, "Interval iteration algorithm for MDPs and IMDPs", 2018), the
 * upper bound pulled down on end components (Kelmendi et al. 2018), component by component against the arrows, each
 * sweep in place (Gauss–Seidel). An option of which the upper bound falls below the situation's lower bound is looked at no
 * more (MacQueen, "A test for suboptimal actions in Markovian decision problems", 1967; cited from memory), which changes
 * neither bound. A component that mixes slowly is finished by a {@link StrategyGuess}. Every sweep
 * rounds outwards by what double arithmetic can lose, so both bounds hold in exact arithmetic on the game's rates at
 * every moment, whatever the number of sweeps. Where they cannot be brought together, because the work ran out or a
 * loop is so slow that rounding fills the gap, the result says that it did not converge.
 *
 * <p>Precondition: every share in [0,1], every worth in [0,1]. Cost: O(sweeps · responses) time, O(responses) memory;
 * a map without loops needs one sweep; {@value #MOST_WORK} responses looked at in all, and then what the guess may
 * cost. Stops with a {@link app.narrowgate.core.progress.StoppedException} when {@link
 * app.narrowgate.core.progress.Stopping} says so. Deterministic. Of equally good options that one is chosen which first reached
 * the worth: the earliest in the map where the situation is on no loop; inside a loop it may be a later one, by
 * whichever way the worth came round first. What is chosen where nothing is gained stands at {@link Choice}.
 */
public final class IntervalIterationSolver {

    /** Largest gap between the bounds of a value that counts as solved. */
    public static final double GAP = 1e-6;

    /** A component's own part of the gap; small, because gaps add up along a chain of components. */
    private static final double OWN_GAP = 1e-10;
    private static final double LEAST_OWN_GAP = 1e-13;
    /** A choice changes only on a larger gain: a bound that creeps up would change it over and over. */
    private static final double TRUE_GAIN = 1e-14;
    /** In {@link #choice}: nothing has gained anything yet. */
    static final int NONE = -1;

    /** Responses looked at: some seconds. */
    private static final long MOST_WORK = 100_000_000;

    /** Loops that mix this slowly are worth a linear solve. */
    private static final int SWEEPS_BEFORE_A_GUESS = 256;
    /** Where little is asked for, most loops are done before this, and a solve costs less than the sweeps that are left of the others. */
    private static final int SWEEPS_BEFORE_A_ROUGH_GUESS = 32;

    private final Game game;
    private final Moves moves;
    private final int mostSweeps;
    private final double gap;
    private final double[] lower;
    private final double[] upper;
    private final int[] choice;
    /** Options that may still be the best of their situation, in the map's order; those of one stand from its first option to its {@link #openEnd}. */
    private final int[] open;
    private final int[] openEnd;
    private final EndComponents endComponents;
    private final StrategyGuess guess;
    private final WorkBudget budget = new WorkBudget(MOST_WORK);
    private int sweeps;

    private IntervalIterationSolver(Game game, int mostSweeps, double gap) {
        this.gap = gap;
        this.game = game;
        this.moves = Moves.of(game);
        this.mostSweeps = mostSweeps;
        this.lower = game.worth.clone();
        this.upper = game.worth.clone();
        this.choice = new int[game.situations];
        this.open = new int[game.options()];
        this.openEnd = new int[game.situations];
        this.endComponents = new EndComponents(moves);
        this.guess = new StrategyGuess(moves, endComponents);
    }

    /** Solves with a limit of a million sweeps a component. */
    public static Solution solve(Game game) {
        return solve(game, 1_000_000);
    }

    /** Solves with a limit of {@code mostSweeps} a component. */
    public static Solution solve(Game game, int mostSweeps) {
        return new IntervalIterationSolver(game, mostSweeps, GAP).solve();
    }

    /**
     * Solves no more exactly than is asked for: a solution that has converged has no gap above {@code gap}, at least {@link #GAP}.
     */
    public static Solution solveWithin(Game game, double gap) {
        return new IntervalIterationSolver(game, 1_000_000, gap).solve();
    }

    private Solution solve() {
        Components components = components();
        Arrays.fill(upper, 0, game.situations, 1);
        Arrays.fill(choice, NONE);
        openAll();
        double own = Math.max(LEAST_OWN_GAP, Math.min(gap > GAP ? gap : OWN_GAP, 0.5 * gap / Math.max(1, components.count())));
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
        return new Solution(lower, upper, choices(), sweeps, widest() <= gap);
    }

    private void openAll() {
        for (int s = 0; s < game.situations; s++) {
            int end = game.optionStart[s];
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (moves.leaves[o]) {
                    open[end++] = o;
                }
            }
            openEnd[s] = end;
        }
    }

    private Choice[] choices() {
        Choice[] choices = new Choice[game.situations];
        for (int s = 0; s < game.situations; s++) {
            choices[s] = choice[s] != NONE ? new Choice.Try(choice[s]) : whereNothingIsGained(s);
            if (choices[s] instanceof Choice.Try tried && game.waits(tried.option())) {
                choices[s] = Choice.Still.WAIT;
            }
        }
        return choices;
    }

    private Choice whereNothingIsGained(int s) {
        if (game.rests[s]) {
            return Choice.Still.REST;
        }
        if (game.becomes[s] != s && lower[game.becomes[s]] <= 0) {
            return Choice.Still.WAIT;
        }
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (moves.leaves[o]) {
                return new Choice.Try(o);
            }
        }
        return Choice.Still.HELD;
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
        int nextGuess = gap > GAP ? SWEEPS_BEFORE_A_ROUGH_GUESS : SWEEPS_BEFORE_A_GUESS;
        int sweep = 0;
        boolean guessed = false;
        long work = responses(members);
        while (sweep < mostSweeps && budget.spend(work)) {
            sweep++;
            boolean moved = sweepLower(members);
            if (game.read.isWhole() && sweep == nextLook) {
                ends = endComponents.among(members, lower);
                nextLook += 1 + sweep / 4;
            }
            moved |= sweepUpper(members);
            for (int[] end : ends) {
                moved |= pullDown(end);
            }
            if (widest(members) <= tolerance || (!moved && guessed)) {
                break;
            }
            if (sweep == nextGuess || !moved) {
                guessed = true;
                nextGuess = 8 * sweep;
                if (guess.narrow(members, ends, lower, upper, choice)) {
                    break;
                }
            }
        }
        sweeps = Math.max(sweeps, sweep);
    }

    private long responses(int[] members) {
        long responses = members.length;
        for (int s : members) {
            responses += game.responseStart[game.optionStart[s + 1]] - game.responseStart[game.optionStart[s]];
        }
        return responses;
    }

    private boolean sweepLower(int[] members) {
        boolean moved = false;
        for (int s : members) {
            int end = openEnd[s];
            for (int i = game.optionStart[s]; i < end; i++) {
                double v = moves.valueDown(s, open[i], lower);
                if (v > lower[s] + TRUE_GAIN) {
                    lower[s] = v;
                    choice[s] = open[i];
                    moved = true;
                }
            }
        }
        return moved;
    }

    private boolean sweepUpper(int[] members) {
        boolean moved = false;
        for (int s : members) {
            double best = game.worth[s];
            int end = openEnd[s];
            int left = game.optionStart[s];
            for (int i = left; i < end; i++) {
                double v = moves.valueUp(s, open[i], upper);
                if (v >= lower[s]) {
                    best = Math.max(best, v);
                    open[left++] = open[i];
                }
            }
            openEnd[s] = left;
            if (best < upper[s]) {
                upper[s] = best;
                moved = true;
            }
        }
        return moved;
    }

    /** No situation of an end component is worth more than the best way out of it. */
    private boolean pullDown(int[] end) {
        double out = endComponents.bestWayOut(end, lower, upper);
        boolean moved = false;
        for (int s : end) {
            moved |= out < upper[s];
            upper[s] = Math.min(upper[s], out);
        }
        return moved;
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
