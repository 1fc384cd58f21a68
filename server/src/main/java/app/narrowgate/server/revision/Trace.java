package app.narrowgate.server.revision;

import java.time.Instant;
import java.util.UUID;

/** What somebody dropped, renamed or overwrote beside a map's revisions, in words. */
public record Trace(UUID id, String words, UUID author, String authorName, Instant at) {
}
