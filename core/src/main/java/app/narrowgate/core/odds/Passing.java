package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.util.LinkedHashMap;
import java.util.Map;

/** How often a round passes through each situation. */
public final class Passing {

    private Passing() {
    }

    /**
     * Expected number of times that a round begun at the starts is in each situation, in the map's order; above 1 where
     * rounds come back. Cost: one solve and one walk of the chain.
     */
    public static Map<Id, Double> of(MapIndex index, Setting setting) {
        Solved solved = Solved.converged(index, setting);
        RoundChain chain = RoundChain.of(solved.game(), solved.solution());
        double[] visits = chain.visits(solved.starts());
        double[] here = solved.starts();
        Map<Id, Double> passing = new LinkedHashMap<>();
        for (int s = 0; s < solved.game().situations; s++) {
            passing.put(solved.placeId(s), Math.max(visits[s], here[s]));
        }
        return passing;
    }
}
