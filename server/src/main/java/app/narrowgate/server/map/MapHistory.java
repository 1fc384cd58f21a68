package app.narrowgate.server.map;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.revision.UndoState;
import app.narrowgate.server.account.SignedIn;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A map's history: who changed what, taking changes back and bringing them back, going back to an old revision. */
@Service
public class MapHistory {

    private final MapMapper mapper;
    private final MapStore store;
    private final RevisionWriter writer;
    private final Conflicts conflicts;

    MapHistory(MapMapper mapper, MapStore store, RevisionWriter writer, Conflicts conflicts) {
        this.mapper = mapper;
        this.store = store;
        this.writer = writer;
        this.conflicts = conflicts;
    }

    /** Newest first, at most {@code most}. */
    List<RevisionRow> history(UUID id, int most) {
        store.row(id);
        return mapper.revisions(id, 0, most);
    }

    /** What an undo would take back while {@code revision} is the newest; empty when nothing is left to undo. */
    Optional<RevisionRow> undoable(UUID id, int revision) {
        return mapper.undoTarget(id, revision);
    }

    /** The undo that a redo would bring back while {@code revision} is the newest. */
    Optional<RevisionRow> redoable(UUID id, int revision) {
        return mapper.redoTarget(id, revision);
    }

    private UndoState undoState(UUID id, int revision) {
        return mapper.undoState(id, revision).map(UndoRow::state).orElse(UndoState.NONE);
    }

    /** Takes the last change back. */
    @Transactional
    public StoredMap undo(UUID id, int base, SignedIn author) {
        MapRow row = store.lock(id);
        conflicts.requireNewest(row, base);
        RevisionRow target = undoable(id, base)
                .orElseThrow(() -> new RefusedException("There is nothing left to undo."));
        UndoState undo = UndoState.undone(row.head() + 1, undoState(id, target.number() - 1));
        return turnBack(row, target, "undo", target.number(), undo, author);
    }

    /** Brings back what was taken back last. */
    @Transactional
    public StoredMap redo(UUID id, int base, SignedIn author) {
        MapRow row = store.lock(id);
        conflicts.requireNewest(row, base);
        RevisionRow target = redoable(id, base).orElseThrow(() -> new RefusedException("There is nothing to redo."));
        UndoState undo = UndoState.redone(row.head() + 1, undoState(id, target.number() - 1));
        return turnBack(row, target, "redo", target.target(), undo, author);
    }

    /** What {@code target} touched goes back to the state before it; for a redo that revision is the undo itself. */
    private StoredMap turnBack(MapRow row, RevisionRow target, String kind, int shown, UndoState undo, SignedIn author) {
        Map<PartKey, PartRow> before = store.headOf(row).parts();
        int next = row.head() + 1;
        List<PartKey> touched = mapper.changedIn(row.id(), target.number());
        Map<PartKey, PartRow> then = store.partsAt(row.id(), target.number() - 1);
        List<PartRow> begun = touched.stream().map(then::get).filter(Objects::nonNull).map(old -> old.since(next)).toList();
        return write(row, new RevisionRow(next, kind, shown, author.id(), null, writer.now(), target.summary()), undo, before,
                begun, touched);
    }

    private StoredMap write(MapRow row, RevisionRow revision, UndoState undo, Map<PartKey, PartRow> before,
            List<PartRow> begun, List<PartKey> ended) {
        writer.next(row, revision, undo, begun, ended);
        Map<PartKey, PartRow> after = MapParts.after(before, begun, ended);
        StoredMap stored = new StoredMap(row.id(), revision.number(), MapIndex.of(MapParts.toMap(MapParts.ordered(after))));
        store.written(new MapStore.Head(stored, after));
        return stored;
    }

    /** Makes the map as it was at revision {@code to} the newest one; nothing between is lost. */
    @Transactional
    public StoredMap restore(UUID id, int base, SignedIn author, int to) {
        MapRow row = store.lock(id);
        conflicts.requireNewest(row, base);
        MapStore.requireRevision(row, to);
        Map<PartKey, PartRow> before = store.headOf(row).parts();
        Map<PartKey, PartRow> then = store.partsAt(id, to);
        int next = row.head() + 1;
        List<PartRow> begun = then.values().stream()
                .filter(part -> !before.containsKey(part.key()) || !before.get(part.key()).body().equals(part.body()))
                .map(part -> part.since(next)).toList();
        List<PartKey> ended = MapParts.ended(before, then);
        if (begun.isEmpty() && ended.isEmpty()) {
            return store.headOf(row).map();
        }
        return write(row, new RevisionRow(next, "restore", to, author.id(), null, writer.now(), "Went back to revision " + to),
                UndoState.edited(next), before, begun, ended);
    }

    /** What differs between two revisions, in the map's words. */
    List<MapDifference.Change> difference(UUID id, int from, int to) {
        return MapDifference.between(store.at(id, from), store.at(id, to));
    }
}
