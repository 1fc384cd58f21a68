package app.narrowgate.server.revision;

import jakarta.annotation.Nullable;
import java.time.Instant;

/** One step of a map's history, as the client sees it. */
public record RevisionView(int number, String kind, @Nullable Integer target, String author, Instant at, String summary) {

    /** The row without what is nobody's business. */
    public static RevisionView of(Revision row) {
        return new RevisionView(row.number(), row.kind(), row.target(), row.authorName(), row.at(), row.summary());
    }
}
