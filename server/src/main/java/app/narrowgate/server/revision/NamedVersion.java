package app.narrowgate.server.revision;

import java.time.Instant;
import java.util.UUID;

/** A name that somebody gave to a revision. */
public record NamedVersion(UUID id, int revision, String name, UUID author, String authorName, Instant at) {
}
