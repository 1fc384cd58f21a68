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

    /** In a place of that kind. */
    public static Ending in(PlaceKind kind) {
        return new Ending(Optional.of(kind), Optional.empty());
    }
}
