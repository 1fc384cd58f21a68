package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.revision.Conflicts;
import app.narrowgate.server.revision.Parts;
import app.narrowgate.server.revision.Revisions;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Going back in a map's history: taking changes back, bringing them back, an old revision made the newest. */
@Service
public class MapHistory {

    private final MapStore store;
    private final Revisions revisions;
    private final Conflicts conflicts;

    MapHistory(MapStore store, Revisions revisions, Conflicts conflicts) {
        this.store = store;
        this.revisions = revisions;
        this.conflicts = conflicts;
    }

    /** A step back that has been written as a revision. */
    private interface Back {
        Parts.Step step(MapStore.Head head);
    }

    /** Takes the last change back. */
    @Transactional
    public StoredMap undo(UUID id, int base, SignedIn author) {
        return back(id, base, head -> revisions.undo(id, base, author.id()));
    }

    /** Brings back what was taken back last. */
    @Transactional
    public StoredMap redo(UUID id, int base, SignedIn author) {
        return back(id, base, head -> revisions.redo(id, base, author.id()));
    }

    /** Makes the map as it was at revision {@code to} the newest one; nothing between is lost. */
    @Transactional
    public StoredMap restore(UUID id, int base, SignedIn author, int to) {
        return back(id, base, head -> {
            store.requireRevision(id, to);
            return revisions.restore(id, base, head.parts(), to, author.id());
        });
    }

    private StoredMap back(UUID id, int base, Back back) {
        MapRow row = store.lockForChange(id);
        conflicts.requireNewest(id, row.head(), base);
        MapStore.Head head = store.headOf(row);
        Parts.Step step = back.step(head);
        if (step.isEmpty()) {
            return head.map();
        }
        EscapeMap changed = MapParts.toMap(head.parts().after(step));
        return store.advance(head.next(step, changed));
    }
}
