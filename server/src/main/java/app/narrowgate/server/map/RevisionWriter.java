package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.revision.UndoState;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Writes revisions: which parts end, which begin, and what an undo and a redo would be about from then on. */
@Component
class RevisionWriter {

    private static final int ROWS_AT_ONCE = 1000;

    private final MapMapper mapper;
    private final Clock clock;

    RevisionWriter(MapMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** The first revision of a new map. */
    void first(UUID id, EscapeMap map, UUID author, String summary) {
        mapper.insertRevision(id, new RevisionRow(1, "edit", null, author, null, now(), summary), UndoRow.of(UndoState.NONE));
        insert(id, MapParts.begun(Map.of(), MapParts.of(map, 1)));
    }

    /** The next revision of {@code row}. */
    void next(MapRow row, RevisionRow revision, UndoState undo, List<PartRow> begun, List<PartKey> ended) {
        mapper.insertRevision(row.id(), revision, UndoRow.of(undo));
        if (!ended.isEmpty()) {
            mapper.endParts(row.id(), ended, revision.number());
        }
        insert(row.id(), begun);
        String title = begun.stream().filter(part -> part.list().equals(MapParts.HEAD))
                .findFirst().map(part -> MapParts.titleOf(part)).orElse(row.title());
        mapper.advance(row.id(), revision.number(), title);
    }

    private void insert(UUID id, List<PartRow> rows) {
        for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
            mapper.insertParts(id, rows.subList(from, Math.min(rows.size(), from + ROWS_AT_ONCE)));
        }
    }
}
