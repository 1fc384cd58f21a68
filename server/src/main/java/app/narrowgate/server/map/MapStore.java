package app.narrowgate.server.map;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.server.problem.NotFoundException;
import app.narrowgate.server.revision.Parts;
import app.narrowgate.server.revision.Revisions;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Maps as they are and as they were. The newest state of a map is remembered once it is surely stored; nothing that a
 * transaction may still take back is ever remembered.
 */
@Service
public class MapStore {

    /** In parts of the maps remembered, some kilobytes each: two hundred maps like the demo's, or a few very large. */
    private static final long MOST_WEIGHT = 50_000;

    private final MapMapper mapper;
    private final Revisions revisions;
    private final Cache<UUID, Head> heads = Caffeine.newBuilder().maximumWeight(MOST_WEIGHT)
            .weigher((UUID id, Head head) -> head.parts().rows().size()).build();

    /** A map's newest state as far as it is known here, with the parts as they are stored. */
    record Head(StoredMap map, Parts parts) {

        /** The state after a step, in which the map is {@code changed}. */
        Head next(Parts.Step step, EscapeMap changed) {
            return new Head(map.next(changed), parts.after(step));
        }
    }

    MapStore(MapMapper mapper, Revisions revisions) {
        this.mapper = mapper;
        this.revisions = revisions;
    }

    /**
     * The map's newest revision, from memory when nothing changed.
     *
     * @throws NotFoundException when there is no such map
     */
    public StoredMap head(UUID id) {
        return headOf(row(mapper.byId(id), id)).map();
    }

    /**
     * The map as it was at a revision.
     *
     * @throws NotFoundException when there is no such map or revision
     */
    public StoredMap at(UUID id, int revision) {
        MapRow row = row(mapper.byId(id), id);
        if (revision == row.head()) {
            return headOf(row).map();
        }
        requireRevision(row, revision);
        return new StoredMap(id, revision, MapIndex.of(MapParts.toMap(revisions.partsAt(id, revision))), RetiredIds.NONE);
    }

    /** The map's row, locked until the transaction ends, so that changes come one after the other. */
    MapRow lock(UUID id) {
        return row(mapper.lock(id), id);
    }

    /**
     * The same, for a change of the map.
     *
     * @throws RefusedException when the map has been put away
     */
    MapRow lockForChange(UUID id) {
        return changeable(lock(id));
    }

    /**
     * Nothing, where the map, and what is kept beside it, may be changed.
     *
     * @throws NotFoundException when there is no such map
     * @throws RefusedException when it has been put away
     */
    public void requireChangeable(UUID id) {
        changeable(row(id));
    }

    private static MapRow changeable(MapRow row) {
        if (row.archivedAt() != null) {
            throw new RefusedException(
                    "“%s” has been put away, so nothing about it is changed. Take it out again, or copy it.".formatted(row.title()));
        }
        return row;
    }

    private MapRow row(UUID id) {
        return row(mapper.byId(id), id);
    }

    /**
     * The newest state of a row that is read or locked. Inside a transaction it is remembered only if that transaction
     * has not written a revision of its own, which {@link #advance} does instead.
     */
    Head headOf(MapRow row) {
        Head known = heads.getIfPresent(row.id());
        if (known != null && known.map().revision() == row.head()) {
            return known;
        }
        Head loaded = load(row.id(), row.head());
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            remember(loaded);
        }
        return loaded;
    }

    private Head load(UUID id, int revision) {
        Parts parts = revisions.partsAt(id, revision);
        EscapeMap map = MapParts.toMap(parts);
        Set<String> once = new HashSet<>();
        revisions.onceThere(id).forEach(part -> once.add(part.list() + "/" + part.partId()));
        String reactions = PartKind.REACTIONS.list();
        revisions.onceWithin(id, reactions, "responses").forEach(
                response -> once.add(reactions + "/" + response.list() + "/" + response.partId()));
        once.removeAll(RetiredIds.inUse(map));
        return new Head(new StoredMap(id, revision, MapIndex.of(map), new RetiredIds(once)), parts);
    }

    /**
     * Moves the map's row on to a state of which this transaction has written the revision. It is remembered when and
     * if the transaction commits.
     */
    StoredMap advance(Head head) {
        StoredMap map = head.map();
        mapper.advance(map.id(), map.revision(), map.index().map().title());
        rememberOnceCommitted(head);
        return map;
    }

    private void rememberOnceCommitted(Head head) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                remember(head);
            }
        });
    }

    private void remember(Head head) {
        heads.asMap().merge(head.map().id(), head,
                (known, next) -> known.map().revision() > next.map().revision() ? known : next);
    }

    /**
     * Nothing, where there is such a map.
     *
     * @throws NotFoundException otherwise
     */
    public void require(UUID id) {
        row(id);
    }

    /**
     * Nothing, where the map has that revision.
     *
     * @throws NotFoundException otherwise
     */
    public void requireRevision(UUID id, int revision) {
        requireRevision(row(id), revision);
    }

    static void requireRevision(MapRow row, int revision) {
        if (revision < 1 || revision > row.head()) {
            throw new NotFoundException("The map has no change %d; the newest is %d.".formatted(revision, row.head()));
        }
    }

    private static MapRow row(Optional<MapRow> row, UUID id) {
        return row.orElseThrow(() -> new NotFoundException("There is no map with the id " + id + "."));
    }
}
