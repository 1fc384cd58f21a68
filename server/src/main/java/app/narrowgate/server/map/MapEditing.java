package app.narrowgate.server.map;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.revision.UndoState;
import app.narrowgate.exchange.tree.TreeMerge;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.problem.ConflictException;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes of a map. Every change is a revision that stores only the parts it touches. Two edits that touch different parts
 * are merged; an edit of a part that has changed since it was read is refused with what changed.
 */
@Service
public class MapEditing {

    private final MapStore store;
    private final RevisionWriter writer;
    private final Conflicts conflicts;

    MapEditing(MapStore store, RevisionWriter writer, Conflicts conflicts) {
        this.store = store;
        this.writer = writer;
        this.conflicts = conflicts;
    }

    /**
     * Changes a map.
     *
     * @param base the revision that the change was made on
     * @param summary what was done, for the history
     * @throws ConflictException when a part that the change touches has changed since {@code base}
     * @throws ProblemsException when the parts would no longer fit together
     */
    @Transactional
    public StoredMap edit(UUID id, int base, SignedIn author, String summary, UnaryOperator<EscapeMap> change) {
        MapRow row = store.lock(id);
        if (base < 1 || base > row.head()) {
            throw new RefusedException(
                    "The revision is %d; it must lie between 1 and %d.".formatted(base, row.head()));
        }
        Map<PartKey, PartRow> before = store.headOf(row).parts();
        EscapeMap changed = base == row.head() ? change.apply(store.headOf(row).map().index().map()) : merged(row, base, before, change);
        Soundness.require(changed);
        int next = row.head() + 1;
        Map<PartKey, PartRow> after = MapParts.of(changed, next);
        List<PartRow> begun = MapParts.begun(before, after);
        List<PartKey> ended = MapParts.ended(before, after);
        if (begun.isEmpty() && ended.isEmpty()) {
            return store.headOf(row).map();
        }
        writer.next(row, new RevisionRow(next, "edit", null, author.id(), null, writer.now(), summary), UndoState.edited(next),
                begun, ended);
        StoredMap stored = new StoredMap(id, next, MapIndex.of(changed));
        store.written(new MapStore.Head(stored, MapParts.after(before, begun, ended)));
        return stored;
    }

    /** A change made on an older revision, brought together with what has happened since. */
    private EscapeMap merged(MapRow row, int base, Map<PartKey, PartRow> head, UnaryOperator<EscapeMap> change) {
        Map<PartKey, PartRow> then = store.partsAt(row.id(), base);
        Map<PartKey, PartRow> mine = MapParts.of(change.apply(MapParts.toMap(List.copyOf(then.values()))), base);
        Map<PartKey, PartRow> merged = new LinkedHashMap<>(head);
        Set<PartKey> keys = new LinkedHashSet<>(then.keySet());
        keys.addAll(mine.keySet());
        Set<PartKey> touched = new LinkedHashSet<>();
        for (PartKey key : keys) {
            Optional<TreeMerge.Merged> part = TreeMerge.merge(MapParts.json(then.get(key)), MapParts.json(mine.get(key)),
                    MapParts.json(head.get(key)));
            if (part.isEmpty()) {
                touched.add(key);
            } else if (part.get().node() == null) {
                merged.remove(key);
            } else {
                merged.put(key, new PartRow(key.list(), key.partId(), base, null, 0, part.get().node().toString()));
            }
        }
        if (touched.isEmpty()) {
            try {
                return MapParts.toMap(List.copyOf(merged.values()));
            } catch (ProblemsException e) {
                throw conflicts.stale(row.id(), base, "What you changed no longer fits what somebody else changed: "
                        + e.problems().get(0).message() + " Nothing was overwritten.", Set.of());
            }
        }
        throw conflicts.stale(row.id(), base, "Somebody changed the same part while you were editing. Nothing was overwritten. "
                + "Look at what changed, then save yours over it or take theirs.", touched);
    }
}
