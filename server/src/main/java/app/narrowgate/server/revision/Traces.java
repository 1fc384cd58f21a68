package app.narrowgate.server.revision;

import app.narrowgate.server.account.SignedIn;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What happens to things that are kept beside a map and have no revisions: questions, names of versions, dismissals. Who
 * drops or overwrites one leaves a sentence that holds what was there.
 */
@Service
public class Traces {

    private final TraceMapper mapper;
    private final Revisions revisions;

    Traces(TraceMapper mapper, Revisions revisions) {
        this.mapper = mapper;
        this.revisions = revisions;
    }

    /** Leaves a sentence, stored with what it is about or not at all. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void leave(UUID map, SignedIn who, String words) {
        mapper.insert(map, new Trace(UUID.randomUUID(), words, who.id(), who.displayName(), revisions.now()));
    }

    /** The newest first, at most {@code most}. */
    public List<Trace> newest(UUID map, int most) {
        return mapper.newest(map, most);
    }
}
