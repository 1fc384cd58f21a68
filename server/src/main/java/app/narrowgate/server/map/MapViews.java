package app.narrowgate.server.map;

import app.narrowgate.server.revision.Revisions;
import org.springframework.stereotype.Component;

/** Makes the client's view of a stored map, with what can be undone. */
@Component
public class MapViews {

    private final Revisions revisions;

    MapViews(Revisions revisions) {
        this.revisions = revisions;
    }

    /** The view of {@code stored}. */
    public MapView of(StoredMap stored) {
        return MapView.of(stored, revisions.undoable(stored.id(), stored.revision()).orElse(null),
                revisions.redoable(stored.id(), stored.revision()).orElse(null));
    }
}
