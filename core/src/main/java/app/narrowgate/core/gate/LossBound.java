package app.narrowgate.core.gate;

import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.ComingBound;
import app.narrowgate.core.solve.Game;

/**
 * Proves, without solving anew, that a solved map without one more reaction is still worth some threshold.
 *
 * <p>Let {@code x} be the worths, {@code Δ} what the best that is left loses in the reaction's own situation at once,
 * {@code g} a bound on the chance of ever coming there and {@code r} of coming back. Then {@code x - g·Δ/(1-r)} falls
 * nowhere under the choices that are left, so it lies below their worth; at a read of 0 and with exact {@code g} it is
 * their worth (the rank-one update of Sherman and Morrison). Where one might go round for ever, nothing is proved.
 * Cost: some sweeps of {@link ComingBound}.
 */
final class LossBound {

    private static final int MOST_SWEEPS = 24;
    /** Less than this of a round is not trusted to be left over. */
    private static final double SLACK = 1e-9;

    private final SolvedMap solved;
    private final Game game;
    private final double[] lower;
    private final double[] starts;
    private final ComingBound coming;
    private final double startLower;

    LossBound(SolvedMap solved) {
        this.solved = solved;
        this.game = solved.game();
        this.lower = solved.solution().lower();
        this.starts = solved.starts();
        this.coming = new ComingBound(game, solved.solution());
        double sum = 0;
        for (int s = 0; s < game.situations; s++) {
            sum += starts[s] * lower[s];
        }
        this.startLower = sum;
    }

    /** True when the starts are surely worth {@code threshold} without option {@code taken} of situation {@code s}. */
    boolean keeps(int s, int taken, double threshold) {
        Left left = left(s, taken);
        double loss = Math.max(0, lower[s] - left.value);
        double[] bound = coming.first(s);
        for (int sweep = 1; sweep <= MOST_SWEEPS; sweep++) {
            coming.sweep(s, bound);
            if (sweep % 4 == 0) {
                double out = 1 - comingBack(s, left, bound);
                if (out > SLACK && startLower - loss / out * fromTheStarts(bound) >= threshold + SLACK) {
                    return true;
                }
            }
        }
        return false;
    }

    private double fromTheStarts(double[] bound) {
        double sum = 0;
        for (int s = 0; s < game.situations; s++) {
            sum += starts[s] * bound[s];
        }
        return sum;
    }

    /**
     * The best that is left in a situation.
     *
     * @param option what is then chosen, or below 0: {@link #RESTS} or {@link #WAITS}
     * @param inTime chance that it is in time, among fewer answers
     */
    private record Left(int option, double inTime, double value) {
    }

    private static final int RESTS = -1;
    private static final int WAITS = -2;

    private Left left(int s, int taken) {
        Left best = new Left(RESTS, 1, game.worth[s]);
        int answers = game.options(s) - 1;
        boolean clock = game.becomes[s] != s;
        if (answers == 0 && clock && lower[game.becomes[s]] > best.value) {
            return new Left(WAITS, 0, lower[game.becomes[s]]);
        }
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (o != taken) {
                double inTime = solved.inTimeAmong(solved.reaction(o), answers);
                double value = inTime * done(o) + (1 - inTime) * lower[game.becomes[s]];
                best = value > best.value ? new Left(o, inTime, value) : best;
            }
        }
        return best;
    }

    private double works(int o) {
        Reaction reaction = solved.reaction(o);
        return reaction.responses().isEmpty() ? 0 : solved.conditions().works(reaction);
    }

    /** Worth of option {@code o} once it is in time. */
    private double done(int o) {
        double works = works(o);
        return (works > 0 ? works * game.underWay(o, lower) : 0) + (1 - works) * lower[game.stuffed[o]];
    }

    private double comingBack(int s, Left left, double[] bound) {
        if (left.option == RESTS) {
            return 0;
        }
        double late = bound[game.becomes[s]];
        if (left.option == WAITS) {
            return late;
        }
        int o = left.option;
        double works = works(o);
        double going = 0;
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            going += game.chance[i] * bound[game.landing[i]];
        }
        going = game.read.habit() * going + game.read.share() * coming.most(o, bound);
        double done = works * going + (1 - works) * bound[game.stuffed[o]];
        return left.inTime * done + (1 - left.inTime) * late;
    }
}
