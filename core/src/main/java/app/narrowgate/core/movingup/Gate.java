package app.narrowgate.core.movingup;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * One place on one side that somebody shows before they move up.
 *
 * @param decision what a coach decided of it last
 */
public record Gate(Id place, Side side, Evidence evidence, Optional<Decision> decision) {

    /**
     * What a coach decided.
     *
     * @param shown true where it was shown; false for not yet
     */
    public record Decision(boolean shown, String reason) {
    }

    /** True where a coach said that it was shown. */
    public boolean isShown() {
        return decision.filter(Decision::shown).isPresent();
    }

    /**
     * Where a gate evening would spend its time: places with gates that somebody who is here has not shown, those of most first, and of these those
     * that need the fewest rounds more.
     */
    public static List<Id> open(Map<UUID, List<Gate>> here) {
        Map<Id, Integer> many = new LinkedHashMap<>();
        Map<Id, Integer> missing = new LinkedHashMap<>();
        here.values().forEach(gates -> gates.stream().filter(gate -> !gate.isShown()).forEach(gate -> {
            many.merge(gate.place(), 1, Integer::sum);
            missing.merge(gate.place(), gate.evidence().missing(), Integer::sum);
        }));
        List<Id> places = new ArrayList<>(many.keySet());
        places.sort(Comparator.comparing((Id place) -> -many.get(place)).thenComparing(missing::get).thenComparing(place -> place));
        return places;
    }
}
