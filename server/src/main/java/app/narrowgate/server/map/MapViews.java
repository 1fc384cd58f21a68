package app.narrowgate.server.map;

import org.springframework.stereotype.Component;

/** Makes the client's view of a stored map, with what can be undone. */
@Component
public class MapViews {

    private final MapStore store;

    MapViews(MapStore store) {
        this.store = store;
    }

    /** The view of {@code stored}. */
    public MapView of(StoredMap stored) {
        return MapView.of(stored, store.undoable(stored.id()).orElse(null), store.redoable(stored.id()).orElse(null));
    }
}
