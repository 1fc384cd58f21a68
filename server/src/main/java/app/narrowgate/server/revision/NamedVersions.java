package app.narrowgate.server.revision;

import app.narrowgate.core.check.Text;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.problem.NotFoundException;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Names that somebody gave to revisions. Whether there is such a map and revision has been looked at before. */
@Service
public class NamedVersions {

    private final RevisionMapper mapper;
    private final Revisions revisions;
    private final Traces traces;

    NamedVersions(RevisionMapper mapper, Revisions revisions, Traces traces) {
        this.mapper = mapper;
        this.traces = traces;
        this.revisions = revisions;
    }

    /** Gives a revision a name. */
    @Transactional
    public NamedVersion name(UUID map, int revision, String name, SignedIn author) {
        Text.TITLE.require("The version's name", name.strip());
        NamedVersion version = new NamedVersion(UUID.randomUUID(), revision, name.strip(), author.id(), author.displayName(),
                revisions.now());
        mapper.insertVersion(map, version);
        return version;
    }

    /** Every name of a revision of a map, newest first. */
    public List<NamedVersion> of(UUID map) {
        return mapper.versions(map);
    }

    /**
     * Takes a name away and leaves a trace of it; the revision stays.
     *
     * @throws NotFoundException when there is no such name
     */
    @Transactional
    public void unname(UUID map, UUID version, SignedIn who) {
        NamedVersion named = mapper.deleteVersion(map, version).orElseThrow(() -> new NotFoundException(
                "There is no such named version; it may have been taken out meanwhile."));
        traces.leave(map, who, "Took the name “%s” off change %d".formatted(named.name(), named.revision()));
    }
}
