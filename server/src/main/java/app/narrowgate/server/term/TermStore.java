package app.narrowgate.server.term;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.term.Term;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.problem.NotFoundException;
import app.narrowgate.server.revision.Traces;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps a gym's terms; a stale change is refused. Classes stay where they are when their term is removed. */
@Service
public class TermStore {

    private static final int MOST = 100;

    private final TermMapper mapper;
    private final MapStore maps;
    private final Traces traces;
    private final Clock clock;

    TermStore(TermMapper mapper, MapStore maps, Traces traces, Clock clock) {
        this.mapper = mapper;
        this.maps = maps;
        this.traces = traces;
        this.clock = clock;
    }

    /** All terms of a map, the first first. */
    List<TermRow> all(UUID mapId) {
        return mapper.all(mapId);
    }

    /**
     * One term.
     *
     * @throws NotFoundException when there is none of that id
     */
    TermRow one(UUID mapId, UUID id) {
        return mapper.byId(mapId, id).orElseThrow(TermStore::gone);
    }

    /**
     * Keeps a new term; sending the same one again, by its id, changes nothing.
     *
     * @throws ConflictException when the id is that of a term of another map
     */
    @Transactional
    public UUID keep(UUID mapId, UUID id, Term term, UUID author) {
        maps.requireChangeable(mapId);
        if (mapper.all(mapId).size() >= MOST) {
            throw new RefusedException("There are %d terms on this map already; remove old ones that nobody looks at.".formatted(MOST));
        }
        mapper.insert(row(mapId, id, 1, term, author));
        return mapper.byId(mapId, id).map(TermRow::id)
                .orElseThrow(() -> new ConflictException("The term's id is taken by another one; keep this one under a new id.", Map.of()));
    }

    /**
     * Changes a term.
     *
     * @param version the state that was on screen
     * @throws ConflictException when somebody has changed it meanwhile
     */
    @Transactional
    void change(UUID mapId, UUID id, int version, Term term, UUID author) {
        maps.requireChangeable(mapId);
        TermRow there = one(mapId, id);
        if (mapper.update(row(mapId, id, version, term, author)) == 0) {
            throw new ConflictException("Somebody has changed this term meanwhile; look at theirs before you go on.", Map.of("version", there.version()));
        }
    }

    /** Takes a term out; sent again under its id it is there once more. */
    @Transactional
    void remove(UUID mapId, UUID id, SignedIn who) {
        maps.requireChangeable(mapId);
        Term term = one(mapId, id).term();
        mapper.remove(mapId, id);
        traces.leave(mapId, who, "Removed the term “%s”".formatted(term.title()));
    }

    private TermRow row(UUID mapId, UUID id, int version, Term term, UUID author) {
        return new TermRow(id, mapId, version, term.title(), term.first(), term.last(), author, clock.instant().truncatedTo(ChronoUnit.MICROS));
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such term; somebody may have removed it meanwhile.");
    }
}
