package app.narrowgate.server.mat;

import java.time.Instant;
import java.util.UUID;

/**
 * A running class as it is stored.
 *
 * @param body as {@link MatText} writes it
 */
record MatRow(UUID lesson, UUID gym, UUID map, int version, String body, Instant at) {
}
