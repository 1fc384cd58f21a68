package app.narrowgate.core.gate;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.Game;
import java.util.Optional;

/**
 * Estimates what is lost without each reaction from the one solution of the whole map, for maps on which a solve a
 * reaction would take too long.
 *
 * <p>Without a reaction its situation falls to the best of its other options, which are then chosen among one fewer and
 * so in a little less time; everything else keeps its worth. The starts lose that fall times the visits to the
 * situation. First order: exact where a round does not come back to the situation, else an estimate. Cost O(options² +
 * responses) for all situations together, with the options of one situation at a time.
 */
final class GateEstimate {

    private final SolvedMap whole;
    private final double[] visits;
    private final double[] values;

    GateEstimate(SolvedMap whole) {
        this.whole = whole;
        this.visits = whole.chain().visits(whole.starts());
        this.values = whole.solution().values();
    }

    /** Worth that situation {@code s} loses without option {@code taken}; below 0 where it gains. */
    double localLoss(int s, int taken) {
        Game game = whole.game();
        Situation situation = whole.map().situations().get(s);
        int first = game.optionStart[s];
        int left = game.optionStart[s + 1] - first - 1;
        double best = game.worth[s];
        if (left == 0) {
            best = Math.max(best, situation.clock().isPresent() ? values[game.becomes[s]] : 0);
        }
        for (int o = first; o < game.optionStart[s + 1]; o++) {
            if (o != taken) {
                best = Math.max(best, amongFewer(situation, s, o, left));
            }
        }
        return values[s] - best;
    }

    /** The worth of an option when it is chosen among {@code answers}. */
    private double amongFewer(Situation situation, int s, int o, int answers) {
        Game game = whole.game();
        double value = game.optionValue(s, o, values);
        Optional<Clock> clock = situation.clock();
        double inTime = game.going[o] + game.stuffedShare[o];
        if (clock.isEmpty() || inTime <= 0) {
            return value;
        }
        double late = values[game.becomes[s]];
        double done = (value - (1 - inTime) * late) / inTime;
        double sooner = whole.inTimeAmong(whole.reaction(o), answers);
        return sooner * done + (1 - sooner) * late;
    }

    /** Worth that the starts lose when situation {@code s} loses {@code local}. */
    double startLoss(int s, double local) {
        return visits[s] * local;
    }
}
