package app.narrowgate.server.drill;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.UUID;

/**
 * A state of a drill as it is stored.
 *
 * @param head the number of the newest state
 * @param body in the format {@code narrowgate-drill/1}
 */
record DrillRow(UUID id, UUID mapId, int head, int version, String body, UUID author, @Nullable String authorName, Instant at) {
}
