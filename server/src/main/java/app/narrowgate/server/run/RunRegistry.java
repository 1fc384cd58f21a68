package app.narrowgate.server.run;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.problem.NotFoundException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Who waits for what: the runs that go on, and the last few that are over. */
@Component
class RunRegistry {

    private static final int MOST_KEPT = 50;

    private final Map<UUID, Run> runs = new LinkedHashMap<>();

    /** The run of that key that goes on or is done. */
    synchronized Optional<Run> same(Run.Key key) {
        return runs.values().stream().filter(run -> run.key.equals(key) && !run.isStopping()
                && run.state() != Run.State.STOPPED && run.state() != Run.State.FAILED).findFirst();
    }

    /**
     * Keeps a new run.
     *
     * @throws RefusedException when too many wait already
     */
    synchronized Run keep(Supplier<Run> begin) {
        if (runs.size() >= MOST_KEPT) {
            runs.values().removeIf(run -> run.state().isOver());
        }
        if (runs.size() >= MOST_KEPT) {
            throw new RefusedException("Too many computations are waiting. Stop one or wait a little.");
        }
        Run run = begin.get();
        runs.put(run.id, run);
        return run;
    }

    /**
     * Somebody's run.
     *
     * @throws NotFoundException when they have none of that id
     */
    synchronized Run find(UUID id, UUID owner) {
        Run run = runs.get(id);
        if (run == null || !run.key.owner().equals(owner)) {
            throw new NotFoundException("There is no such computation of yours; it may be long over.");
        }
        return run;
    }

    synchronized void stopAll() {
        runs.values().forEach(Run::stop);
    }
}
