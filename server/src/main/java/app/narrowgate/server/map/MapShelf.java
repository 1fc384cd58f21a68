package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.revision.Revisions;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The maps there are: begun, copied, put away and taken out again. */
@Service
public class MapShelf {

    private final MapMapper mapper;
    private final MapStore store;
    private final Revisions revisions;
    private final Audit audit;

    MapShelf(MapMapper mapper, MapStore store, Revisions revisions, Audit audit) {
        this.mapper = mapper;
        this.store = store;
        this.revisions = revisions;
        this.audit = audit;
    }

    /** The map that was there first, if there is any. */
    public Optional<UUID> first() {
        return mapper.all().stream().map(MapRow::id).findFirst();
    }

    List<MapRow> all() {
        return mapper.all();
    }

    /** Stores a new map. */
    @Transactional
    public StoredMap create(EscapeMap map, UUID author, String summary) {
        Soundness.require(map);
        MapRow row = new MapRow(UUID.randomUUID(), map.title(), 1, revisions.now(), null, null, false);
        mapper.insert(row);
        revisions.first(row.id(), MapParts.of(map, 1), author, summary);
        return new StoredMap(row.id(), 1, MapIndex.of(map), RetiredIds.NONE);
    }

    /** A new map that begins as another one is now. */
    @Transactional
    public StoredMap copy(UUID from, String title, SignedIn author) {
        StoredMap source = store.head(from);
        StoredMap copy = create(source.index().map().titled(title), author.id(),
                "Copied from “%s”".formatted(source.index().map().title()));
        mapper.copied(copy.id(), from);
        return copy;
    }

    /** Lets students read a map as well, or no longer. */
    @Transactional
    public void share(UUID id, boolean shared, UUID by) {
        MapRow row = store.lock(id);
        mapper.share(id, shared);
        audit.note(by, shared ? Deed.SHARE_MAP : Deed.UNSHARE_MAP, "“%s”".formatted(row.title()));
    }

    /** Puts a map away, or takes it out again. */
    @Transactional
    public void archive(UUID id, boolean away) {
        store.lock(id);
        mapper.archive(id, away ? revisions.now() : null);
    }
}
