package app.narrowgate.server.map;

import java.time.Instant;
import java.util.UUID;

/**
 * A map in the database; {@code head} is its newest revision.
 *
 * @param archivedAt when it was put away; null while it is in use
 * @param copiedFrom the map it began as a copy of; null otherwise
 * @param shared true where students may read it as well
 */
record MapRow(UUID id, String title, int head, Instant createdAt, Instant archivedAt, UUID copiedFrom, boolean shared) {
}
