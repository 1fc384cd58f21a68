package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Situation;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What each situation is worth and nothing beside it, for a second reading laid next to the {@link Odds}: how a round
 * ends, how long it takes and what each reaction is worth are not computed.
 *
 * @param at worth in [0,1] of every situation
 * @param start worth in [0,1] over the entry situations, weighted by how often students start there
 * @param converged false when some bounds are further apart than a millionth; the values are then not to be shown
 */
public record Worths(Map<Id, Double> at, double start, boolean converged) {

    public Worths {
        at = Collections.unmodifiableMap(at);
    }

    /** The worths of a solved map; the same as {@link OddsSolver#of} finds. */
    public static Worths of(SolvedMap solved) {
        List<Situation> situations = solved.map().situations();
        Map<Id, Double> at = new HashMap<>();
        for (int s = 0; s < situations.size(); s++) {
            at.put(situations.get(s).id(), solved.solution().value(s));
        }
        return new Worths(at, solved.startWorth(), solved.solution().converged());
    }
}
