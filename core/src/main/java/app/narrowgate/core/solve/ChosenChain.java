package app.narrowgate.core.solve;

import java.util.Arrays;

/**
 * What a component is worth once both players' choices stand: the bottom player's are given, the partner's are the
 * worst landings, improved until none is worse.
 *
 * <p>Which landing is worse is told by what each is worth where that is less than a half, and by what each lacks where
 * it is more: both come from sums without a subtraction, so two places that are both nearly won, or both nearly lost,
 * are told apart as long as a double can hold the difference from 1, or from 0. A landing is changed only for a worse
 * one, never for an equal, and what was found is where the next call begins: landings that are improved from good ones
 * never make a loop that nearly nothing leads out of, in which a toll would pile up. Cost: one elimination a round.
 */
final class ChosenChain {

    private static final int UNSEEN = -1;

    private final Moves moves;
    private final Game game;
    /** Number of a situation among the members, below 0 outside; the owner's own. */
    private final int[] local;
    private final int mostRounds;
    private final WorkBudget budget;
    /** {@code worst[option]}: the response he gives; {@link #UNSEEN} before the first call. */
    private final int[] worst;

    /** A chain among those whose {@code local} number is not below 0. */
    ChosenChain(Moves moves, int[] local, int mostRounds, WorkBudget budget) {
        this.moves = moves;
        this.game = moves.game;
        this.local = local;
        this.mostRounds = mostRounds;
        this.budget = budget;
        this.worst = new int[game.options()];
        Arrays.fill(worst, UNSEEN);
    }

    /**
     * Puts into {@code guess} at {@code members} what the choices {@code trial} and the worst landings are worth, every
     * exchange paying {@code toll}; places outside are worth what {@code guess} says.
     *
     * @throws TangledException when eliminating would take more than the budget
     */
    void evaluate(int[] members, int[] trial, double[] guess, double toll) {
        double[] lack = new double[game.places];
        for (int place = 0; place < game.places; place++) {
            lack[place] = 1 - guess[place];
        }
        for (int s : members) {
            int o = trial[s];
            if (reads(o) && worst[o] == UNSEEN) {
                worst[o] = game.worstResponse(o, guess);
            }
        }
        int rounds = game.read.isNone() ? 1 : mostRounds;
        do {
            solve(members, trial, guess, lack, toll);
        } while (--rounds > 0 && worsen(members, trial, guess, lack));
    }

    private boolean reads(int o) {
        return o != IntervalIterationSolver.NONE && moves.worstShare[o] > 0;
    }

    private boolean worsen(int[] members, int[] trial, double[] value, double[] lack) {
        boolean changed = false;
        for (int s : members) {
            int o = trial[s];
            if (reads(o)) {
                for (int k = game.responseStart[o]; k < game.responseStart[o + 1]; k++) {
                    if (isWorse(game.landing[k], game.landing[worst[o]], value, lack)) {
                        worst[o] = k;
                        changed = true;
                    }
                }
            }
        }
        return changed;
    }

    private static boolean isWorse(int a, int b, double[] value, double[] lack) {
        if (value[a] >= 0.5 && value[b] >= 0.5) {
            return lack[a] > lack[b];
        }
        // No place is worth less than nothing, whatever a toll makes of it: else he would rather go round for ever.
        return Math.max(0, value[a]) < Math.max(0, value[b]);
    }

    private void solve(int[] members, int[] trial, double[] value, double[] lack, double toll) {
        int n = members.length;
        int[] row = new int[n + 2];
        IntList target = new IntList();
        DoubleList share = new DoubleList();
        Ends values = new Ends(n, value);
        Ends lacks = new Ends(n, lack);
        for (int i = 0; i < n; i++) {
            int s = members[i];
            int o = trial[s];
            if (o == IntervalIterationSolver.NONE) {
                values.atEnds[i] = game.worth[s];
                lacks.atEnds[i] = 1 - game.worth[s];
            } else {
                double outside = 0;
                outside += put(game.stuffed[o], moves.stuffedShare[o], target, share, values, lacks, i);
                outside += put(game.becomes[s], moves.lateShare[o], target, share, values, lacks, i);
                for (int k = game.responseStart[o]; k < game.responseStart[o + 1]; k++) {
                    outside += put(game.landing[k], moves.share[k], target, share, values, lacks, i);
                }
                if (reads(o)) {
                    outside += put(game.landing[worst[o]], moves.worstShare[o], target, share, values, lacks, i);
                }
                if (outside > 0) {
                    target.add(n);
                    share.add(outside);
                }
                values.gained[i] += toll;
            }
            row[i + 1] = target.size();
        }
        row[n + 1] = target.size();
        AbsorbingChain chain = AbsorbingChain.of(row, target.toArray(), share.toArray(), budget);
        values.take(chain, members);
        if (!game.read.isNone()) {
            // The toll is left out: it would be a negative sum here, and which landing is worse hardly hangs on it.
            lacks.take(chain, members);
        }
    }

    /** Adds an arrow; where it leads outside, returns its share and counts what it gains. */
    private double put(int place, double share, IntList target, DoubleList shares, Ends values, Ends lacks, int i) {
        if (share <= 0) {
            return 0;
        }
        if (place < game.situations && local[place] >= 0) {
            target.add(local[place]);
            shares.add(share);
            return 0;
        }
        values.gained[i] += share * values.at[place];
        lacks.gained[i] += share * lacks.at[place];
        return share;
    }

    /** One quantity of the chain: what is gathered on the way out and where one stops; index member, then "outside". */
    private static final class Ends {

        private final double[] at;
        private final double[] gained;
        private final double[] atEnds;

        /** @param at what each place is worth in this quantity; those of the members are replaced by {@link #take} */
        private Ends(int n, double[] at) {
            this.at = at;
            this.gained = new double[n + 1];
            this.atEnds = new double[n + 1];
        }

        private void take(AbsorbingChain chain, int[] members) {
            double[] solved = chain.gathered(gained, atEnds);
            for (int i = 0; i < members.length; i++) {
                at[members[i]] = solved[i];
            }
        }
    }
}
