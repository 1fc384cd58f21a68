package app.narrowgate.server.revision;

import app.narrowgate.server.problem.ConflictException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Refusals of a change that was made on an older state of a map. */
@Component
public class Conflicts {

    private static final int MOST_TOLD = 20;

    private final Revisions revisions;

    Conflicts(Revisions revisions) {
        this.revisions = revisions;
    }

    /** Refuses with what has changed since {@code base}, and the parts that both touched. */
    public ConflictException stale(UUID map, int base, String message, Set<PartKey> touched) {
        List<RevisionView> since = revisions.since(map, base, MOST_TOLD).stream().map(RevisionView::of).toList();
        return new ConflictException(message, Map.of("changed", since, "parts",
                touched.stream().map(key -> key.list() + "/" + key.partId()).sorted().toList()));
    }

    /** Nothing, where {@code base} is the newest revision; refuses otherwise. */
    public void requireNewest(UUID map, int head, int base) {
        if (base != head) {
            throw stale(map, base, "The map has changed since you looked. Look at what changed, then try again.", Set.of());
        }
    }
}
