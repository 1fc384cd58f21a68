package app.narrowgate.server.revision;

import java.time.Instant;
import java.util.UUID;

/**
 * One step in a map's history.
 *
 * @param kind edit, undo or redo
 * @param target the revision that an undo takes back or a redo brings back; null for an edit
 */
public record Revision(int number, String kind, Integer target, UUID author, String authorName, Instant at,
        String summary) {
}
