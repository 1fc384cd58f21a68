package app.narrowgate.server.map;

import app.narrowgate.core.check.Text;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.problem.NotFoundException;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Names that somebody gave to revisions. */
@Service
class MapVersions {

    private final MapMapper mapper;
    private final MapStore store;
    private final RevisionWriter writer;

    MapVersions(MapMapper mapper, MapStore store, RevisionWriter writer) {
        this.mapper = mapper;
        this.store = store;
        this.writer = writer;
    }

    @Transactional
    VersionRow name(UUID id, int revision, String name, SignedIn author) {
        MapStore.requireRevision(store.row(id), revision);
        Text.TITLE.require("The version's name", name.strip());
        VersionRow version = new VersionRow(UUID.randomUUID(), revision, name.strip(), author.id(), author.displayName(),
                writer.now());
        mapper.insertVersion(id, version);
        return version;
    }

    List<VersionRow> versions(UUID id) {
        store.row(id);
        return mapper.versions(id);
    }

    @Transactional
    void unname(UUID id, UUID version) {
        if (mapper.deleteVersion(id, version) == 0) {
            throw new NotFoundException("There is no such named version; it may have been taken out meanwhile.");
        }
    }
}
