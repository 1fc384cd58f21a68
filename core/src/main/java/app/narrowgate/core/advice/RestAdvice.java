package app.narrowgate.core.advice;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.Game;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether to take a resting place or to go on from it.
 *
 * @param rest worth of stopping there
 * @param goOn worth of the best way on; 0 where nothing is taught
 */
public record RestAdvice(Id situation, double rest, double goOn) {

    /** True when stopping is worth at least as much. */
    public boolean stop() {
        return rest >= goOn;
    }

    /** The advice for every resting place, in the map's order. */
    public static List<RestAdvice> of(SolvedMap solved) {
        Game game = solved.converged().game();
        double[] values = solved.solution().values();
        List<RestAdvice> advice = new ArrayList<>();
        for (int s = 0; s < game.situations; s++) {
            if (solved.map().situations().get(s).rest().isPresent()) {
                double goOn = 0;
                for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                    goOn = Math.max(goOn, game.optionValue(s, o, values));
                }
                advice.add(new RestAdvice(solved.placeId(s), game.worth[s], goOn));
            }
        }
        return advice;
    }
}
