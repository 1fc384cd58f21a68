package app.narrowgate.server.map;

import java.time.Instant;
import java.util.UUID;

/**
 * One step in a map's history.
 *
 * @param kind edit, undo or redo
 * @param target the revision that an undo takes back or a redo brings back; null for an edit
 */
record RevisionRow(int number, String kind, Integer target, UUID author, String authorName, Instant at,
        String summary) {
}
