package app.narrowgate.server.map;

import app.narrowgate.core.map.Excerpt;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.server.account.NamesChanged;
import app.narrowgate.server.revision.Revisions;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Makes the client's view of a stored map, with what can be undone. */
@Component
public class MapViews {

    private final Revisions revisions;
    /** A view changes with its revision only, and is rendered once if it is one object. */
    private final Cache<StoredMap, MapView> views = Caffeine.newBuilder().weakKeys().build();
    private final Cache<StoredMap, MapView> readings = Caffeine.newBuilder().weakKeys().build();

    private final Cache<StoredMap, CarriedMapView> carried = Caffeine.newBuilder().weakKeys().build();

    MapViews(Revisions revisions) {
        this.revisions = revisions;
    }

    /** The same for whoever only reads: without who changed what. */
    MapView toRead(StoredMap stored) {
        return readings.get(stored, map -> MapView.of(map, null, null));
    }

    /** What a browser needs to solve it. */
    CarriedMapView carried(StoredMap stored) {
        return carried.get(stored, CarriedMapView::of);
    }

    /** What is called otherwise is shown so. */
    @EventListener(NamesChanged.class)
    void forget() {
        views.invalidateAll();
    }

    /**
     * What of a map tells of one of its situations, for whoever is not to have the rest.
     *
     * @throws java.util.NoSuchElementException when the map has no such situation
     */
    public MapView excerpt(StoredMap stored, Id situation) {
        MapIndex told = MapIndex.of(Excerpt.of(stored.index(), situation));
        return MapView.of(new StoredMap(stored.id(), stored.revision(), told, RetiredIds.NONE), null, null);
    }

    /** The view of {@code stored}. */
    public MapView of(StoredMap stored) {
        return views.get(stored, map -> MapView.of(map, revisions.undoable(map.id(), map.revision()).orElse(null),
                revisions.redoable(map.id(), map.revision()).orElse(null)));
    }
}
