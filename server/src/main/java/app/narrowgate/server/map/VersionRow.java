package app.narrowgate.server.map;

import java.time.Instant;
import java.util.UUID;

/** A name that somebody gave to a revision. */
record VersionRow(UUID id, int revision, String name, UUID author, String authorName, Instant at) {
}
