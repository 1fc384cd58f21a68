package app.narrowgate.core.odds;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A map, solved under one setting.
 *
 * @param situations every situation in the map's order
 * @param start worth in [0,1] over the entry situations, weighted by how often students start there
 * @param converged false when some bounds are further apart than a millionth; the values are then not to be shown
 */
public record Odds(Setting setting, Map<Id, SituationOdds> situations, double start, boolean converged) {

    public Odds {
        situations = Collections.unmodifiableMap(new LinkedHashMap<>(situations));
    }

    /**
     * The odds of one situation.
     *
     * @throws RefusedException when the map has no such situation
     */
    public SituationOdds at(Id situation) {
        SituationOdds odds = situations.get(situation);
        if (odds == null) {
            throw new RefusedException("No situation is called “%s”.".formatted(situation));
        }
        return odds;
    }
}
