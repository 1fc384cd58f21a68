package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import java.util.Optional;

/**
 * How a round ended.
 *
 * @param kind what kind of place it ended in; empty where they were still held when the time was up
 * @param place which one, where that was noted
 */
public record Ending(Optional<PlaceKind> kind, Optional<Id> place) {

    /** Still held when the time was up. */
    public static final Ending STILL_HELD = new Ending(Optional.empty(), Optional.empty());

    /** True for a guard or better: they got out. */
    public static boolean isOut(PlaceKind kind) {
        return switch (kind) {
            case REVERSAL, COUNTER, STANDING, GUARD -> true;
            case HALF, NEUTRAL, TURTLE, TAP -> false;
        };
    }

    /** True where they got out. */
    public boolean isOut() {
        return kind.filter(Ending::isOut).isPresent();
    }

    /** In a place of that kind. */
    public static Ending in(PlaceKind kind) {
        return new Ending(Optional.of(kind), Optional.empty());
    }
}
