package app.narrowgate.server.map;

import org.springframework.stereotype.Component;

/** Makes the client's view of a stored map, with what can be undone. */
@Component
public class MapViews {

    private final MapHistory history;

    MapViews(MapHistory history) {
        this.history = history;
    }

    /** The view of {@code stored}. */
    public MapView of(StoredMap stored) {
        return MapView.of(stored, history.undoable(stored.id(), stored.revision()).orElse(null),
                history.redoable(stored.id(), stored.revision()).orElse(null));
    }
}
