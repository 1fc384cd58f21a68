package app.narrowgate.server.map;

import app.narrowgate.core.map.MapIndex;
import java.util.UUID;

/** A map at one revision. */
public record StoredMap(UUID id, int revision, MapIndex index) {
}
