package app.narrowgate.server.gym;

import java.time.Instant;
import java.util.UUID;

/** A gym, which owns everything that is kept in its name. */
public record Gym(UUID id, String name, Instant createdAt) {
}
