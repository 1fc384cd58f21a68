package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What an instructor is after.
 *
 * @param worth the worth in [0,1] of each kind of place; a kind that is missing is worth 0
 * @param places single situations or outcomes with a worth of their own in [0,1]: whoever comes to one has ended the
 *     round there, as in "anywhere but the mount"
 */
public record Aim(Id id, String title, Map<PlaceKind, Double> worth, Map<Id, Double> places) implements Part {
    public Aim {
        Text.TITLE.require("An aim's title", title);
        EnumMap<PlaceKind, Double> ordered = new EnumMap<>(PlaceKind.class);
        worth.forEach((kind, value) -> ordered.put(kind, Range.CHANCE.require("The worth of " + kind.code(), value)));
        worth = Collections.unmodifiableMap(ordered);
        places.forEach((place, value) -> Range.CHANCE.require("The worth of “" + place + "”", value));
        places = Collections.unmodifiableMap(new LinkedHashMap<>(places));
    }

    /** The same aim with other single places. */
    Aim withPlaces(Map<Id, Double> others) {
        return new Aim(id, title, worth, others);
    }

    /** The worth of a kind of place, in [0,1]. */
    public double worthOf(PlaceKind kind) {
        return worth.getOrDefault(kind, 0.0);
    }

    /** True when a round ends with coming to {@code place}, whatever could be done from there. */
    public boolean endsAt(Id place) {
        return places.containsKey(place);
    }

    /** The worth of ending at a situation, in [0,1]; 0 where nobody rests and no round ends. */
    public double worthOf(Situation situation) {
        return places.getOrDefault(situation.id(), situation.rest().map(this::worthOf).orElse(0.0));
    }

    /** The worth of an outcome, in [0,1]. */
    public double worthOf(Outcome outcome) {
        return places.getOrDefault(outcome.id(), worthOf(outcome.kind()));
    }

    /** True when every worth is 0 or 1, so that the odds under this aim are plain chances. */
    public boolean isChance() {
        return worth.values().stream().allMatch(w -> w == 0 || w == 1)
                && places.values().stream().allMatch(w -> w == 0 || w == 1);
    }
}
