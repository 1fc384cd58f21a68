package app.narrowgate.server.standing;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.ledger.Ledger;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.movingup.GateList;
import app.narrowgate.core.trait.Level;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.revision.Traces;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a gym asks of those who train: gates for moving up, and repetitions in a year. */
@Service
public class GymAsks {

    private final StandingMapper mapper;
    private final MapStore maps;
    private final Traces traces;

    GymAsks(StandingMapper mapper, MapStore maps, Traces traces) {
        this.mapper = mapper;
        this.maps = maps;
        this.traces = traces;
    }

    /** The gates from a level on, those that are still on the map; empty where nobody asks for any, or nobody moves up from it. */
    List<Id> gates(StoredMap map, Level from) {
        return mapper.places(map.id(), from.code()).stream().map(Id::of).filter(id -> isOpen(map.index(), id)).toList();
    }

    private static boolean isOpen(MapIndex index, Id place) {
        return index.situation(place).isPresent();
    }

    /**
     * Asks for other gates.
     *
     * @throws RefusedException where the map has no such place
     */
    @Transactional
    public void ask(StoredMap map, GateList list, SignedIn by) {
        maps.requireChangeable(map.id());
        List<String> missing = list.places().stream().filter(id -> !isOpen(map.index(), id)).map(Id::value).toList();
        if (!missing.isEmpty()) {
            throw new RefusedException("The map has no place “%s”; choose another.".formatted(String.join("”, “", missing)));
        }
        mapper.clear(map.id(), list.from().code());
        for (int i = 0; i < list.places().size(); i++) {
            mapper.insert(map.id(), list.from().code(), i, list.places().get(i).value());
        }
        traces.leave(map.id(), by, "Changed the gates for moving up from “%s”".formatted(list.from().code()));
    }

    /** Another word whenever other gates are asked for. */
    String state(UUID mapId) {
        return mapper.every(mapId);
    }

    /** Repetitions of one technique in a year. */
    int goal(UUID mapId) {
        return mapper.goal(mapId).orElse(Ledger.USUAL_GOAL);
    }

    /** True where the gym has said so itself. */
    boolean hasGoal(UUID mapId) {
        return mapper.goal(mapId).isPresent();
    }

    /** Asks for so many repetitions. */
    @Transactional
    public void ask(UUID mapId, int many) {
        maps.requireChangeable(mapId);
        Ledger.GOAL.require("The repetitions in a year", many);
        mapper.ask(mapId, many);
    }
}
