package app.narrowgate.server.map;

import jakarta.annotation.Nullable;
import java.time.Instant;

/** One step of a map's history, as the client sees it. */
record RevisionView(int number, String kind, @Nullable Integer target, String author, Instant at, String summary) {

    static RevisionView of(RevisionRow row) {
        return new RevisionView(row.number(), row.kind(), row.target(), row.authorName(), row.at(), row.summary());
    }
}
