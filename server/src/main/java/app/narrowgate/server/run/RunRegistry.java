package app.narrowgate.server.run;

import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.BusyException;
import app.narrowgate.server.problem.TooManyException;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Who waits for what: the runs that go on, and the last few that are over. */
@Component
class RunRegistry {

    /** Runs of everybody that go on or wait, and those over that somebody may still ask for. */
    private static final int MOST_KEPT = 50;
    /** Runs of one person that go on or wait: a view asks for one or two, and more than one may be open. */
    static final int MOST_OF_A_PERSON = 6;
    private static final Duration COME_BACK = Duration.ofSeconds(5);

    private final Limits limits;
    private final Map<UUID, Run> runs = new LinkedHashMap<>();

    RunRegistry(Limits limits) {
        this.limits = limits;
    }

    /** The run of that key that goes on or is done. */
    synchronized Optional<Run> same(Run.Key key) {
        return runs.values().stream().filter(run -> run.key.equals(key) && !run.isStopping()
                && run.state() != Run.State.STOPPED && run.state() != Run.State.FAILED).findFirst();
    }

    /**
     * Keeps a new run.
     *
     * @param elsewhere how many of the owner's go on on other nodes
     * @throws TooManyException when {@code owner} has too many already
     * @throws BusyException when everybody together has
     */
    synchronized Run keep(UUID owner, int elsewhere, Supplier<Run> begin) {
        long own = elsewhere + runs.values().stream().filter(run -> run.key.owner().equals(owner) && !run.state().isOver()).count();
        if (own >= MOST_OF_A_PERSON) {
            limits.met(Limit.RUNS_OF_A_PERSON);
            throw new TooManyException("You have %d computations going already. Stop one, or wait for one to end."
                    .formatted(own), COME_BACK);
        }
        if (runs.size() >= MOST_KEPT) {
            runs.values().removeIf(run -> run.state().isOver());
        }
        if (runs.size() >= MOST_KEPT) {
            limits.met(Limit.RUNS_AT_ONCE);
            throw new BusyException("Many computations are waiting. Try again in a few seconds.", COME_BACK);
        }
        Run run = begin.get();
        runs.put(run.id, run);
        return run;
    }

    /** Somebody's run about a map, where this node computes or computed it. */
    synchronized Optional<Run> find(UUID id, UUID map, UUID owner) {
        return Optional.ofNullable(runs.get(id)).filter(run -> run.key.owner().equals(owner) && run.key.map().equals(map));
    }

    synchronized void stopAll() {
        runs.values().forEach(Run::stop);
    }
}
