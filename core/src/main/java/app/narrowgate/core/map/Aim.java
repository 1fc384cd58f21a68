package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * What an instructor is after: the worth in [0,1] of each kind of place. A kind that is missing is worth 0.
 */
public record Aim(Id id, String title, Map<PlaceKind, Double> worth) implements Part {
    public Aim {
        Text.TITLE.require("An aim's title", title);
        EnumMap<PlaceKind, Double> ordered = new EnumMap<>(PlaceKind.class);
        worth.forEach((kind, value) -> ordered.put(kind, Range.CHANCE.require("The worth of " + kind.code(), value)));
        worth = Collections.unmodifiableMap(ordered);
    }

    /** The worth of a kind of place, in [0,1]. */
    public double worthOf(PlaceKind kind) {
        return worth.getOrDefault(kind, 0.0);
    }

    /** True when every worth is 0 or 1, so that the odds under this aim are plain chances. */
    public boolean isChance() {
        return worth.values().stream().allMatch(w -> w == 0 || w == 1);
    }
}
