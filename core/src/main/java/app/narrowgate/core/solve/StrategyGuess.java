package app.narrowgate.core.solve;

import app.narrowgate.core.progress.Stopping;
import java.util.Arrays;

/**
 * Finishes a component on which sweeping is slow: guesses its values by improving both players' choices, solving the
 * chain of the choices each time, then proves bounds around the guess. A guess that cannot be proved changes nothing.
 *
 * <p>Two proofs, the tighter that holds is taken:
 * <ol>
 * <li><em>Exact choices.</em> What the bottom player's choices reach is a lower bound if no other landing could be
 * worse for
 *     him, and an upper bound if no other option could be better; the chain's values are known to
 *     {@link GthElimination#relativeError}, and "no other" must hold beyond that. No loop is too slow for this proof.
 * <li><em>A toll.</em> Let every exchange pay ε, and solve that game. If one sweep, rounded upwards, nowhere rises, the
 *     least fixed point lies below (Knaster and Tarski; used so by Hartmanns and Kaminski, "Optimistic value
 * iteration",
 *     2020), ways round in an end component being capped by the best way out. Let every exchange cost ε, and for λ &lt;
 * 1
 *     choices that lead out from everywhere have one fixed point, and what does not fall, rounded downwards, lies below
 * it.
 *     The bounds are apart by ε times the exchanges of a round, so this proves only loops of less than a thousand
 * million.
 * </ol>
 * For λ = 1 only upper bounds are tried, since there the partner may shut the way out.
 *
 * <p>Cost: that of {@link GthElimination} a solve, at most {@value #MOST_ROUNDS} solves each of {@value #MOST_ROUNDS}
 * rounds, and no more than {@value #MOST_WORK} entries looked at in all; what would take more is left alone.
 */
final class StrategyGuess {

    private static final int MOST_ROUNDS = 40;
    /** Entries looked at by the eliminations of a game: some seconds. */
    private static final long MOST_WORK = 1_000_000_000;
    /** The first proof's error grows with the members; above this the second is tried too, and the tighter taken. */
    private static final double FINE = 1e-8;
    /** The toll in units of what a sweep can lose by rounding. The first that can be proved is taken. */
    private static final double[] TOLLS = {4, 64, 1024};

    private final Moves moves;
    private final Game game;
    private final EndComponents endComponents;
    private final int[] local;
    private final ChosenChain chain;

    StrategyGuess(Moves moves, EndComponents endComponents) {
        this.moves = moves;
        this.game = moves.game;
        this.endComponents = endComponents;
        this.local = new int[game.situations];
        Arrays.fill(local, -1);
        this.chain = new ChosenChain(moves, local, MOST_ROUNDS, new WorkBudget(MOST_WORK));
    }

    /**
     * Narrows {@code lower} and {@code upper} on {@code members}, and with {@code lower} the {@code choice}, if it can.
     *
     * @return true when both bounds were proved
     */
    boolean narrow(int[] members, int[][] ends, double[] lower, double[] upper, int[] choice) {
        for (int i = 0; i < members.length; i++) {
            local[members[i]] = i;
        }
        try {
            return narrowed(members, ends, lower, upper, choice);
        } catch (TangledException e) {
            return false;
        } finally {
            for (int s : members) {
                local[s] = -1;
            }
        }
    }

    private boolean narrowed(int[] members, int[][] ends, double[] lower, double[] upper, int[] choice) {
        boolean[] circling = new boolean[game.situations];
        for (int[] end : ends) {
            for (int s : end) {
                circling[s] = true;
            }
        }
        double[] middle = lower.clone();
        for (int place = 0; place < game.places; place++) {
            middle[place] = 0.5 * (lower[place] + upper[place]);
        }
        int[] trial = choice.clone();
        leadOut(members, trial);
        settle(members, trial, middle, 0, new boolean[game.situations]);
        boolean above = proveUpper(members, ends, circling, trial, lower, upper);
        boolean below = !game.read.isWhole() && leadsOut(members, trial) && proveLower(members, trial, lower, choice);
        return above && below;
    }

    /**
     * Improves {@code trial} until no choice gains, every exchange paying {@code toll}; leaves its values in {@code
     * guess}.
     *
     * @param fixed situations whose choice stays as it is
     */
    private void settle(int[] members, int[] trial, double[] guess, double toll, boolean[] fixed) {
        for (int round = 0; round < MOST_ROUNDS; round++) {
            chain.evaluate(members, trial, guess, toll);
            if (!improve(members, trial, guess, toll, fixed)) {
                return;
            }
        }
        chain.evaluate(members, trial, guess, toll);
    }

    private boolean improve(int[] members, int[] trial, double[] guess, double toll, boolean[] fixed) {
        boolean changed = false;
        for (int s : members) {
            if (fixed[s] || Double.isInfinite(guess[s])) {
                continue;
            }
            double best = guess[s];
            if (game.worth[s] > best) {
                best = game.worth[s];
                trial[s] = IntervalIterationSolver.NONE;
                changed = true;
            }
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (moves.leaves[o] && o != trial[s]) {
                    double v = moves.valueDown(s, o, guess) + toll;
                    if (v > best * (1 + moves.error[o])) {
                        best = v;
                        trial[s] = o;
                        changed = true;
                    }
                }
            }
        }
        return changed;
    }

    private double lossOfASweep(int[] members) {
        double loss = 0;
        for (int s : members) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                loss = Math.max(loss, moves.error[o]);
            }
        }
        return loss;
    }

    /** {@code values} outside the members, what {@code trial} makes of them inside. */
    private double[] valuesOf(int[] members, int[] trial, double[] values, double toll) {
        double[] guess = values.clone();
        chain.evaluate(members, trial, guess, toll);
        return guess;
    }

    private double chainError(int[] members, double loss) {
        return GthElimination.relativeError(members.length) + 2 * members.length * loss;
    }

    private boolean proveUpper(int[] members, int[][] ends, boolean[] circling, int[] trial, double[] lower,
            double[] upper) {
        double loss = lossOfASweep(members);
        boolean proved = false;
        if (ends.length == 0) {
            double[] exact = valuesOf(members, trial, upper, 0);
            double error = chainError(members, loss);
            proved = noOtherIsBetter(members, trial, exact, error);
            if (proved) {
                take(members, exact, 1 + error, upper);
            }
            if (proved && error <= FINE) {
                return true;
            }
        }
        for (double times : TOLLS) {
            int[] tolled = trial.clone();
            double[] above = upper.clone();
            settle(members, tolled, above, times * loss, circling);
            for (int s : members) {
                above[s] = Math.min(1, above[s]);
            }
            if (nowhereRises(members, ends, lower, above)) {
                take(members, above, 1, upper);
                return true;
            }
        }
        return proved;
    }

    private static void take(int[] members, double[] values, double factor, double[] upper) {
        for (int s : members) {
            upper[s] = Math.min(upper[s], values[s] * factor);
        }
    }

    /** True when every option that is not chosen, and stopping, is worth less beyond {@code error}. */
    private boolean noOtherIsBetter(int[] members, int[] trial, double[] exact, double error) {
        double[] most = exact.clone();
        for (int s : members) {
            most[s] *= 1 + error;
        }
        for (int s : members) {
            double least = exact[s] * (1 - error);
            if (trial[s] != IntervalIterationSolver.NONE && game.worth[s] > 0 && !(game.worth[s] < least)) {
                return false;
            }
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (moves.leaves[o] && o != trial[s] && !(moves.valueUp(s, o, most) <= least)) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean nowhereRises(int[] members, int[][] ends, double[] lower, double[] above) {
        double[] cap = new double[game.situations];
        Arrays.fill(cap, 1);
        for (int[] end : ends) {
            double out = endComponents.bestWayOut(end, lower, above);
            for (int s : end) {
                cap[s] = out;
            }
        }
        for (int s : members) {
            if (!(Math.min(cap[s], moves.bestUp(s, above)) <= above[s])) {
                return false;
            }
        }
        return true;
    }

    private boolean proveLower(int[] members, int[] trial, double[] lower, int[] choice) {
        double loss = lossOfASweep(members);
        double[] exact = valuesOf(members, trial, lower, 0);
        double error = chainError(members, loss);
        boolean proved = noLandingIsWorse(members, trial, exact, error);
        if (proved) {
            raise(members, exact, 1 - error, trial, lower, choice);
        }
        if (proved && error <= FINE) {
            return true;
        }
        for (double times : TOLLS) {
            double[] below = valuesOf(members, trial, lower, -times * loss);
            for (int s : members) {
                below[s] = Math.max(0, below[s]);
            }
            if (nowhereFalls(members, trial, below)) {
                raise(members, below, 1, trial, lower, choice);
                return true;
            }
        }
        return proved;
    }

    private boolean noLandingIsWorse(int[] members, int[] trial, double[] exact, double error) {
        if (game.read.isNone()) {
            return true;
        }
        for (int s : members) {
            int o = trial[s];
            if (o == IntervalIterationSolver.NONE || moves.worstShare[o] <= 0) {
                continue;
            }
            int worst = game.landing[game.worstResponse(o, exact)];
            for (int k = game.responseStart[o]; k < game.responseStart[o + 1]; k++) {
                int other = game.landing[k];
                boolean fixed = other >= game.situations || local[other] < 0;
                boolean worstFixed = worst >= game.situations || local[worst] < 0;
                double least = fixed ? exact[other] : exact[other] * (1 - error);
                double most = worstFixed ? exact[worst] : exact[worst] * (1 + error);
                if (other != worst && !(most <= least)) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean nowhereFalls(int[] members, int[] trial, double[] below) {
        for (int s : members) {
            int o = trial[s];
            double held = o == IntervalIterationSolver.NONE ? game.worth[s] : moves.valueDown(s, o, below);
            if (!(held >= below[s])) {
                return false;
            }
        }
        return true;
    }

    private static void raise(int[] members, double[] values, double factor, int[] trial, double[] lower, int[] choice) {
        for (int s : members) {
            if (values[s] > 0) {
                lower[s] = Math.max(lower[s], values[s] * factor);
                choice[s] = trial[s];
            }
        }
    }

    /**
     * Gives those who have gained nothing yet a choice that comes nearer to a way out, where there is one: improving
     * would find it one exchange further back each round.
     */
    private void leadOut(int[] members, int[] trial) {
        boolean[] idle = new boolean[members.length];
        for (int i = 0; i < members.length; i++) {
            idle[i] = trial[members[i]] == IntervalIterationSolver.NONE && !game.rests[members[i]];
        }
        outward(members, trial, idle);
    }

    /** True when from every member the choices have a chance to stop or to leave the component. */
    private boolean leadsOut(int[] members, int[] trial) {
        return outward(members, trial, new boolean[members.length]) == members.length;
    }

    /**
     * How many members have a chance to stop or to leave the component by their choices; the {@code idle} take the
     * first option that has one.
     */
    private int outward(int[] members, int[] trial, boolean[] idle) {
        boolean[] out = new boolean[members.length];
        int count = 0;
        int before;
        do {
            Stopping.check();
            before = count;
            for (int i = 0; i < members.length; i++) {
                count += !out[i] && steps(members[i], trial, idle[i], out) ? 1 : 0;
            }
            // A chain that runs against the order is walked at once the other way.
            for (int i = members.length - 1; i >= 0; i--) {
                count += !out[i] && steps(members[i], trial, idle[i], out) ? 1 : 0;
            }
        } while (count > before);
        return count;
    }

    private boolean steps(int s, int[] trial, boolean idle, boolean[] out) {
        if (!idle) {
            out[local[s]] = trial[s] == IntervalIterationSolver.NONE || stepsOut(s, trial[s], out);
        }
        for (int o = game.optionStart[s]; idle && o < game.optionStart[s + 1] && !out[local[s]]; o++) {
            if (moves.leaves[o] && stepsOut(s, o, out)) {
                trial[s] = o;
                out[local[s]] = true;
            }
        }
        return out[local[s]];
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
