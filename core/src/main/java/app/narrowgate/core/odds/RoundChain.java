package app.narrowgate.core.odds;

import java.util.Arrays;

/**
 * The absorbing chain of a round when the bottom player follows a solution's choices and a reading partner picks his
 * worst landing. Situation {@code s} that goes on moves to {@code target[i]} with {@code probability[i]} for {@code i}
 * in {@code row[s] .. row[s+1]-1}; one that stops, like every outcome, is an end.
 *
 * <p>Kemeny and Snell, "Finite Markov Chains": chances of ending, expected visits.
 */
final class RoundChain {

    private static final double STILL = 1e-13;
    private static final int MOST_SWEEPS = 200_000;
    /** A chance of ending this near 1 is 1 up to rounding. */
    private static final double SURELY = 1 - 1e-9;

    final Game game;
    final int[] row;
    final int[] target;
    final double[] probability;
    private final int[] choice;

    private RoundChain(Game game, Solution solution) {
        this.game = game;
        this.choice = solution.choice();
        double[] values = solution.values();
        row = new int[game.situations + 1];
        int most = 0;
        for (int s = 0; s < game.situations; s++) {
            int o = choice[s];
            most += o == Solution.STOP ? 0 : 2 + game.responseStart[o + 1] - game.responseStart[o];
        }
        target = new int[most];
        probability = new double[most];
        int at = 0;
        for (int s = 0; s < game.situations; s++) {
            int o = choice[s];
            if (o != Solution.STOP) {
                at = add(at, game.stuffed[o], game.stuffedShare[o]);
                at = add(at, game.becomes[s], game.lateShare[o]);
                int worst = game.going[o] > 0 ? game.worstResponse(o, values) : -1;
                for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                    double habit = (1 - game.read) * game.chance[i];
                    at = add(at, game.landing[i], game.going[o] * (i == worst ? habit + game.read : habit));
                }
            }
            row[s + 1] = at;
        }
    }

    /** The chain of {@code solution}'s choices in {@code game}. Time and memory O(responses). */
    static RoundChain of(Game game, Solution solution) {
        return new RoundChain(game, solution);
    }

    private int add(int at, int place, double share) {
        if (share <= 0) {
            return at;
        }
        target[at] = place;
        probability[at] = share;
        return at + 1;
    }

    /** True when the round is over at {@code place}. */
    boolean ends(int place) {
        return place >= game.situations || choice[place] == Solution.STOP;
    }

    /**
     * For every place the chance that the round ends at a place with {@code wanted[place]}; what is missing to 1 over
     * all ends goes round for ever.
     */
    double[] endingAt(boolean[] wanted) {
        double[] start = new double[game.places];
        for (int place = 0; place < game.places; place++) {
            start[place] = ends(place) && wanted[place] ? 1 : 0;
        }
        double[] everywhere = new double[game.places];
        Arrays.fill(everywhere, 1);
        return leastSolution(start, new double[game.places], everywhere);
    }

    /**
     * Expected number of exchanges until the round ends, index place; infinite where it may never end.
     *
     * @param endChance {@code endChance[place]}: chance that the round ends at all
     */
    double[] exchanges(double[] endChance) {
        double[] one = new double[game.places];
        Arrays.fill(one, 1);
        return until(one, endChance);
    }

    /**
     * Expected sum of {@code cost[situation]} over the exchanges until the round ends, index place; infinite where it may
     * never end.
     */
    double[] until(double[] cost, double[] endChance) {
        double[] sum = leastSolution(new double[game.places], cost, endChance);
        for (int place = 0; place < game.places; place++) {
            if (endChance[place] < SURELY) {
                sum[place] = Double.POSITIVE_INFINITY;
            }
        }
        return sum;
    }

    /**
     * Expected number of times each situation is gone on from, for a round begun as {@code start[place]} says: the row
     * {@code start · N} of the fundamental matrix. Mass that goes round for ever is counted for at most
     * {@value #MOST_SWEEPS} exchanges.
     */
    double[] visits(double[] start) {
        double[] visits = new double[game.places];
        double[] here = start.clone();
        for (int exchange = 0; exchange < MOST_SWEEPS; exchange++) {
            double moving = 0;
            for (int s = 0; s < game.situations; s++) {
                if (!ends(s)) {
                    visits[s] += here[s];
                    moving += here[s];
                }
            }
            if (moving <= STILL) {
                break;
            }
            here = step(here);
        }
        return visits;
    }

    /**
     * Expected number of times that each place is come to, those where the round ends among them.
     *
     * @param visits of {@link #visits} for the same start
     */
    double[] arrivals(double[] start, double[] visits) {
        double[] arrivals = visits.clone();
        for (int place = 0; place < game.places; place++) {
            if (ends(place)) {
                arrivals[place] = start[place];
            }
        }
        for (int s = 0; s < game.situations; s++) {
            for (int i = row[s]; i < row[s + 1]; i++) {
                if (ends(target[i])) {
                    arrivals[target[i]] += visits[s] * probability[i];
                }
            }
        }
        return arrivals;
    }

    /** One exchange later; what has ended stays where it is. */
    double[] step(double[] here) {
        double[] next = new double[game.places];
        for (int place = 0; place < game.places; place++) {
            if (here[place] <= 0) {
                continue;
            }
            if (ends(place)) {
                next[place] += here[place];
            } else {
                for (int i = row[place]; i < row[place + 1]; i++) {
                    next[target[i]] += here[place] * probability[i];
                }
            }
        }
        return next;
    }

    /** Least solution of {@code x = cost + P x} on the situations that go on and surely end, in place from below. */
    private double[] leastSolution(double[] start, double[] cost, double[] endChance) {
        double[] x = start.clone();
        for (int sweep = 0; sweep < MOST_SWEEPS; sweep++) {
            double moved = 0;
            for (int s = game.situations - 1; s >= 0; s--) {
                if (!ends(s) && endChance[s] >= SURELY) {
                    double next = expected(s, cost[s], x);
                    moved = Math.max(moved, Math.abs(next - x[s]) / Math.max(1, next));
                    x[s] = next;
                }
            }
            if (moved <= STILL) {
                break;
            }
        }
        return x;
    }

    private double expected(int s, double cost, double[] x) {
        double sum = cost;
        double self = 0;
        for (int i = row[s]; i < row[s + 1]; i++) {
            if (target[i] == s) {
                self += probability[i];
            } else {
                sum += probability[i] * x[target[i]];
            }
        }
        return self < 1 ? sum / (1 - self) : 0;
    }
}
