package app.narrowgate.server.drill;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillRules;
import app.narrowgate.exchange.drill.DrillJson;
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

/** Keeps a gym's drills. Every state that was kept stays; a stale change is refused with what stands there now. */
@Service
public class DrillStore {

    /** Drills of one map that a library holds. */
    static final int MOST = 500;

    private final DrillMapper mapper;
    private final MapStore maps;
    private final Traces traces;
    private final Clock clock;

    DrillStore(DrillMapper mapper, MapStore maps, Traces traces, Clock clock) {
        this.mapper = mapper;
        this.maps = maps;
        this.traces = traces;
        this.clock = clock;
    }

    /** The newest state of every drill, the one changed last first. */
    List<DrillRow> all(UUID mapId) {
        return mapper.all(mapId);
    }

    /**
     * Every state of a drill, the newest first.
     *
     * @throws NotFoundException when there is no such drill
     */
    List<DrillRow> versions(UUID mapId, UUID id) {
        List<DrillRow> rows = mapper.versions(mapId, id);
        if (rows.isEmpty()) {
            throw gone();
        }
        return rows;
    }

    /**
     * Keeps a new drill; sending the same one again, by its id, changes nothing.
     *
     * @throws ProblemsException when it names what the map does not have
     * @throws ConflictException when the id is that of another drill
     */
    @Transactional
    public void keep(UUID mapId, UUID id, Drill drill, UUID author) {
        requireFits(mapId, drill);
        if (mapper.count(mapId) >= MOST) {
            throw new RefusedException("The library holds %d drills already; remove one that nobody uses.".formatted(MOST));
        }
        if (mapper.insert(mapId, id) == 1) {
            put(mapId, id, 1, drill, author);
            return;
        }
        List<DrillRow> there = mapper.versions(mapId, id);
        if (there.isEmpty() || !DrillJson.read(there.get(there.size() - 1).body()).equals(drill)) {
            throw new ConflictException("The drill's id is taken by another drill; keep this one under a new id.", Map.of());
        }
    }

    /**
     * Keeps a drill's next state.
     *
     * @param version the state that was on screen
     * @throws ConflictException when somebody kept another one meanwhile
     */
    @Transactional
    public void change(UUID mapId, UUID id, int version, Drill drill, SignedIn who) {
        requireFits(mapId, drill);
        int head = mapper.lock(mapId, id).orElseThrow(DrillStore::gone);
        if (head != version) {
            DrillRow now = mapper.versions(mapId, id).get(0);
            throw new ConflictException("%s has changed this drill meanwhile; look at theirs, or keep yours as a new drill."
                    .formatted(now.authorName()), Map.of("version", head));
        }
        mapper.advance(id, head + 1);
        put(mapId, id, head + 1, drill, who.id());
    }

    /** Takes a drill out of the library; it can be taken back. */
    @Transactional
    public void remove(UUID mapId, UUID id, SignedIn who) {
        maps.requireChangeable(mapId);
        String title = DrillJson.read(versions(mapId, id).get(0).body()).title();
        mapper.remove(mapId, id, clock.instant().truncatedTo(ChronoUnit.MICROS));
        traces.leave(mapId, who, "Removed the drill “%s”".formatted(title));
    }

    /** Puts a drill back that was taken out. */
    @Transactional
    public void restore(UUID mapId, UUID id, SignedIn who) {
        maps.requireChangeable(mapId);
        if (mapper.restore(mapId, id) == 0) {
            throw gone();
        }
        traces.leave(mapId, who, "Put the drill “%s” back".formatted(DrillJson.read(versions(mapId, id).get(0).body()).title()));
    }

    /** True where {@code drill} fits the map as it is. */
    public boolean fits(UUID mapId, Drill drill) {
        return DrillRules.problems(maps.head(mapId).index(), drill).isEmpty();
    }

    private void requireFits(UUID mapId, Drill drill) {
        maps.requireChangeable(mapId);
        DrillRules.require(maps.head(mapId).index(), drill);
    }

    private void put(UUID mapId, UUID id, int version, Drill drill, UUID author) {
        mapper.insertVersion(new DrillRow(id, mapId, version, version, DrillJson.writeText(drill), author, null,
                clock.instant().truncatedTo(ChronoUnit.MICROS)));
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such drill; somebody may have removed it meanwhile.");
    }
}
