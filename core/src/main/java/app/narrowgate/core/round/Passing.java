package app.narrowgate.core.round;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.SolvedMap;
import java.util.LinkedHashMap;
import java.util.Map;

/** How often a round passes through each situation. */
public final class Passing {

    private Passing() {
    }

    /**
     * Expected number of times that a round begun at the starts is in each situation, in the map's order; above 1 where
     * rounds come back; in a loop for ever the chance of coming into it.
     */
    public static Map<Id, Double> of(SolvedMap solved) {
        double[] arrivals = solved.converged().chain().arrivals(solved.starts());
        Map<Id, Double> passing = new LinkedHashMap<>();
        for (int s = 0; s < solved.game().situations; s++) {
            passing.put(solved.placeId(s), arrivals[s]);
        }
        return passing;
    }
}
