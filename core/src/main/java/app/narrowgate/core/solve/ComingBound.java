package app.narrowgate.core.solve;

/**
 * Upper bounds on the chance that a round ever comes to a situation under a solution's choices, whatever the top player
 * answers where he reads.
 *
 * <p>Problem: the greatest chance of reaching a state in a decision process of the top player. Method: value iteration
 * from above, each sweep in place; every sweep's result is a bound, a tighter one than before. Cost O(responses) a
 * sweep.
 */
public final class ComingBound {

    private final Game game;
    private final int[] row;
    private final int[] target;
    /** Shares without what falls back to where it was, scaled up to make good for it. */
    private final double[] share;
    private final double[] readShare;
    private final int[] option;
    private final boolean[] moves;

    /** Of the choices of {@code solution} in {@code game}. */
    public ComingBound(Game game, Solution solution) {
        this.game = game;
        row = new int[game.situations + 1];
        readShare = new double[game.situations];
        option = new int[game.situations];
        moves = new boolean[game.situations];
        IntList to = new IntList();
        DoubleList shares = new DoubleList();
        for (int s = 0; s < game.situations; s++) {
            if (solution.choice(s) == Choice.Still.WAIT) {
                moves[s] = true;
                option[s] = IntervalIterationSolver.NONE;
                to.add(game.becomes[s]);
                shares.add(1);
            } else if (solution.choice(s) instanceof Choice.Try tried) {
                moves[s] = true;
                add(s, tried.option(), to, shares);
            }
            row[s + 1] = to.size();
        }
        target = to.toArray();
        share = shares.toArray();
    }

    private void add(int s, int o, IntList to, DoubleList shares) {
        option[s] = o;
        double habit = game.going[o] * game.read.habit();
        double away = game.going[o] * game.read.share();
        away += game.stuffed[o] == s ? 0 : game.stuffedShare[o];
        away += game.becomes[s] == s ? 0 : game.lateShare[o];
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            away += game.landing[i] == s ? 0 : habit * game.chance[i];
        }
        if (away <= 0) {
            moves[s] = false;
            return;
        }
        readShare[s] = game.going[o] * game.read.share() / away;
        put(s, game.stuffed[o], game.stuffedShare[o] / away, to, shares);
        put(s, game.becomes[s], game.lateShare[o] / away, to, shares);
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            put(s, game.landing[i], habit * game.chance[i] / away, to, shares);
        }
    }

    private static void put(int s, int place, double chance, IntList to, DoubleList shares) {
        if (place != s && chance > 0) {
            to.add(place);
            shares.add(chance);
        }
    }

    /** The first bound: 1 wherever a round goes on. */
    public double[] first(int goal) {
        double[] bound = new double[game.places];
        for (int s = 0; s < game.situations; s++) {
            bound[s] = moves[s] || s == goal ? 1 : 0;
        }
        return bound;
    }

    /** Sweeps once: tightens {@code bound[place]}, the chance of coming to {@code goal}. */
    public void sweep(int goal, double[] bound) {
        for (int s = 0; s < game.situations; s++) {
            if (s == goal || !moves[s]) {
                continue;
            }
            double sum = 0;
            for (int i = row[s]; i < row[s + 1]; i++) {
                sum += share[i] * bound[target[i]];
            }
            if (readShare[s] > 0) {
                sum += readShare[s] * most(option[s], bound);
            }
            bound[s] = Math.min(bound[s], sum);
        }
    }

    /** The greatest bound among the landings of option {@code o}; 0 where it has none. */
    public double most(int o, double[] bound) {
        double most = 0;
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            most = Math.max(most, bound[game.landing[i]]);
        }
        return most;
    }
}
