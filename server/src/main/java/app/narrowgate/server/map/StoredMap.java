package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.RetiredIds;
import java.util.UUID;

/**
 * A map at one revision.
 *
 * @param retired ids that are never given to anything else; for an old revision none, as nothing is built on it
 */
public record StoredMap(UUID id, int revision, MapIndex index, RetiredIds retired) {

    /** The next revision, in which the map is {@code changed}. */
    StoredMap next(EscapeMap changed) {
        return new StoredMap(id, revision + 1, MapIndex.of(changed), retired.next(index.map(), changed));
    }
}
