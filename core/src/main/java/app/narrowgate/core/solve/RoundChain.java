package app.narrowgate.core.solve;

/**
 * The chain of a round when the bottom player follows a solution's choices and a reading partner picks his worst
 * landing. Situation {@code s} that goes on moves to {@code target[i]} with {@code probability[i]} for {@code i} in
 * {@code row[s] .. row[s+1]-1}. A round ends at an outcome or where one rests; it never ends where one is held with
 * nothing to do, or in a loop that nothing leads out of. Over all places, the chances of ending and of never ending sum
 * to 1.
 *
 * <p>Solved by {@link AbsorbingChain}: exact however slow the loops. Unchanged once made, so it may be shared.
 */
public final class RoundChain {

    /** Entries looked at by eliminations: some seconds. */
    private static final long MOST_WORK = 1_000_000_000;

    private final Game game;
    private final Solution solution;
    /** {@code over[place]}: where it is over whatever would be done there. */
    private final boolean[] over;
    private final int[] row;
    private final int[] target;
    private final double[] probability;
    private final AbsorbingChain chain;
    private final double[] neverEnding;

    private RoundChain(Game game, Solution solution, double[] chosen, boolean[] over) {
        this.game = game;
        this.solution = solution;
        this.over = over;
        for (int s = 0; chosen.length == 0 && s < game.situations; s++) {
            over[s] |= solution.choice(s).rests();
        }
        this.row = new int[game.places + 1];
        IntList to = new IntList();
        double[] share = new double[2 * (game.situations + chosen.length) + game.landing.length];
        double[] values = solution.values();
        Branches branches = new Branches(game, values);
        for (int s = 0; s < game.situations; s++) {
            if (!over[s]) {
                boolean mixed = false;
                for (int o = game.optionStart[s]; chosen.length > 0 && o < game.optionStart[s + 1]; o++) {
                    double times = chosen[o];
                    if (times > 0) {
                        mixed = true;
                        branches.of(s, o, (cause, response, landing, chance) -> {
                            share[to.size()] = times * chance;
                            to.add(landing);
                        });
                    }
                }
                if (!mixed) {
                    branches.of(s, solution.choice(s), (cause, response, landing, chance) -> {
                        share[to.size()] = chance;
                        to.add(landing);
                    });
                }
            }
            row[s + 1] = to.size();
        }
        for (int place = game.situations; place < game.places; place++) {
            row[place + 1] = to.size();
        }
        this.target = to.toArray();
        this.probability = java.util.Arrays.copyOf(share, target.length);
        this.chain = AbsorbingChain.of(row, target, probability, new WorkBudget(MOST_WORK));
        this.neverEnding = chain.looping();
        double[] held = new double[game.places];
        for (int s = 0; s < game.situations; s++) {
            held[s] = !over[s] && solution.choice(s) == Choice.Still.HELD ? 1 : 0;
        }
        double[] heldAtLast = chain.gathered(new double[game.places], held);
        for (int place = 0; place < game.places; place++) {
            neverEnding[place] += heldAtLast[place];
        }
    }

    /**
     * The chain of {@code solution}'s choices in {@code game}.
     *
     * @throws TangledException when its loops are too large to be solved
     */
    public static RoundChain of(Game game, Solution solution) {
        return new RoundChain(game, solution, new double[0], new boolean[game.places]);
    }

    /**
     * The chain of people who do not always choose the best.
     *
     * @param chosen index option: how often it is chosen in its situation; where all of a situation are 0 the best is chosen, else they sum to 1
     * @param over index place: where it is over as soon as it comes there, and nowhere else
     * @throws TangledException when its loops are too large to be solved
     */
    public static RoundChain mixed(Game game, Solution solution, double[] chosen, boolean[] over) {
        return new RoundChain(game, solution, chosen, over.clone());
    }

    /** True when the round is over at {@code place}. */
    public boolean ends(int place) {
        return place >= game.situations || over[place];
    }

    /** True when nothing more happens at {@code place}: the round is over, or somebody is held with nothing to do. */
    public boolean stays(int place) {
        return chain.isEnd(place);
    }

    /** For every place the chance that the round ends at a place with {@code wanted[place]}. */
    public double[] endingAt(boolean[] wanted) {
        double[] atEnds = new double[game.places];
        for (int place = 0; place < game.places; place++) {
            atEnds[place] = ends(place) && wanted[place] ? 1 : 0;
        }
        return chain.gathered(new double[game.places], atEnds);
    }

    /** For every place the chance that the round never ends; exactly 0 where it surely does. */
    public double[] neverEnding() {
        return neverEnding.clone();
    }

    /** For every place the expected number of times that {@code to} is gone on from, a round begun there: a column of the fundamental matrix. */
    public double[] visitsTo(int to) {
        double[] one = new double[game.places];
        one[to] = ends(to) ? 0 : 1;
        return chain.gathered(one, new double[game.places]);
    }

    /** Expected number of exchanges until the round ends, index place; infinite where it may never end. */
    public double[] exchanges() {
        double[] one = new double[game.places];
        java.util.Arrays.fill(one, 1);
        return until(one);
    }

    /**
     * Expected sum of {@code cost[situation]} over the exchanges until the round ends, index place; infinite where it
     * may never end.
     */
    public double[] until(double[] cost) {
        double[] sum = chain.gathered(cost, new double[game.places]);
        for (int place = 0; place < game.places; place++) {
            if (neverEnding[place] > 0) {
                sum[place] = Double.POSITIVE_INFINITY;
            }
        }
        return sum;
    }

    /**
     * Expected number of times each situation is gone on from, for a round begun as {@code start[place]} says: the row
     * {@code start · N} of the fundamental matrix; in a loop for ever the chance of coming into it.
     */
    public double[] visits(double[] start) {
        double[] visits = chain.visits(start);
        for (int place = 0; place < game.places; place++) {
            visits[place] = stays(place) ? 0 : visits[place];
        }
        return visits;
    }

    /**
     * Expected number of times that each place is come to, those where the round ends among them; in a loop for ever
     * the chance of coming into it.
     */
    public double[] arrivals(double[] start) {
        return chain.visits(start);
    }

    /** One exchange later; what has ended stays where it is. */
    public double[] step(double[] here) {
        double[] next = new double[game.places];
        for (int place = 0; place < game.places; place++) {
            if (here[place] <= 0) {
                continue;
            }
            if (stays(place)) {
                next[place] += here[place];
            } else {
                for (int i = row[place]; i < row[place + 1]; i++) {
                    next[target[i]] += here[place] * probability[i];
                }
            }
        }
        return next;
    }
}
