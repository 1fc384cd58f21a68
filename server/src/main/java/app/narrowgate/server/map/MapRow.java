package app.narrowgate.server.map;

import java.time.Instant;
import java.util.UUID;

/** A map in the database; {@code head} is its newest revision. */
record MapRow(UUID id, String title, int head, Instant createdAt) {
}
