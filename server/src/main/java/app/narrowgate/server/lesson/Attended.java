package app.narrowgate.server.lesson;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Who came on days of which the gym has no class: as it was kept elsewhere before. */
public interface Attended {

    /** Somebody came. */
    record Came(UUID person, Instant at) {
    }

    /** All who came between two instants, in order. */
    List<Came> came(UUID mapId, Instant from, Instant until);
}
