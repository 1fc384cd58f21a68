package app.narrowgate.server.map;

import app.narrowgate.server.problem.ConflictException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Refusals of a change that was made on an older state of a map. */
@Component
class Conflicts {

    private static final int MOST_TOLD = 20;

    private final MapMapper mapper;

    Conflicts(MapMapper mapper) {
        this.mapper = mapper;
    }

    /** Refuses with what has changed since {@code base}, and the parts that both touched. */
    ConflictException stale(UUID id, int base, String message, Set<PartKey> touched) {
        List<RevisionView> since = mapper.revisions(id, base, MOST_TOLD).stream().map(RevisionView::of).toList();
        return new ConflictException(message, Map.of("changed", since, "parts",
                touched.stream().map(key -> key.list() + "/" + key.partId()).sorted().toList()));
    }

    /** Nothing, where {@code base} is the newest revision of {@code row}; refuses otherwise. */
    void requireNewest(MapRow row, int base) {
        if (base != row.head()) {
            throw stale(row.id(), base, "The map has changed since you looked. Look at what changed, then try again.",
                    Set.of());
        }
    }
}
