package app.narrowgate.server.run;

import java.time.Instant;
import java.util.UUID;

/**
 * A run in the database.
 *
 * @param about what it is about, in so few letters that nothing else has them
 * @param request the {@link RunRequest} as JSON
 * @param beforeRevision of the other map, in a comparison; null otherwise
 * @param state the written form of where it stands
 * @param result the {@link RunResult} as JSON; null before it is done
 * @param node which start of which server computes it
 * @param heardAt when that was last heard of
 */
record RunRow(UUID id, UUID mapId, UUID owner, String about, String kind, String request, int revision, Integer beforeRevision, String state, int done,
        int of, String result, String failure, boolean stop, Instant askedAt, UUID node, Instant heardAt) {
}
