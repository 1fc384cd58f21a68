package app.narrowgate.server.run;

import app.narrowgate.server.door.Secrets;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs as every node of the house sees them. One that outlasts the request that began it is kept in the database, where the node that computes it
 * tells every second how far it is; any other node answers from there. One of which nothing is heard any more belongs to a node that has died: whichever
 * node is asked for it next computes it from the beginning, under the same id.
 */
@Service
class SharedRuns implements RunWorker.Told {

    /** A node tells every second; one of which nothing is heard for so long has died, or has lost the database, and others go on without it. */
    static final Duration ALIVE = Duration.ofSeconds(6);
    /** Whoever asked may still look at what came out for so long. */
    private static final Duration KEPT = Duration.ofMinutes(10);
    /** No need to write more often that somebody still waits. */
    private static final Duration ASKED = Duration.ofSeconds(3);

    private final RunMapper mapper;
    private final JsonMapper json;
    private final Clock clock;
    /** This start of this server. */
    private final UUID node = UUID.randomUUID();
    private Instant thrownAway = Instant.EPOCH;

    SharedRuns(RunMapper mapper, JsonMapper json, Clock clock) {
        this.mapper = mapper;
        this.json = json;
        this.clock = clock;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** Lets every node know of a run that this one computes. */
    void keep(Run run, RunRequest request, Integer beforeRevision) {
        Instant now = now();
        RunView view = run.view();
        mapper.insert(new RunRow(run.id, run.key.map(), run.key.owner(), about(run.key), run.kind, json.writeValueAsString(request), run.key.revision(),
                beforeRevision, view.state(), view.done(), view.of(), null, null, false, now, node, now));
        run.share();
        if (run.state().isOver()) {
            tell(run);
        }
    }

    /** One that goes on or is done on any node. */
    Optional<RunRow> same(Run.Key key) {
        return mapper.same(key.owner(), about(key)).filter(row -> isOver(row) || isAlive(row));
    }

    /** How many of somebody's go on on other nodes. */
    int goingElsewhere(UUID owner) {
        return mapper.goingElsewhere(owner, node, now().minus(ALIVE));
    }

    /**
     * Somebody's run about a map, on whatever node.
     *
     * @throws NotFoundException when they have none of that id
     */
    RunRow find(UUID id, UUID map, UUID owner) {
        return mapper.find(id, map, owner).orElseThrow(() -> new NotFoundException("There is no such computation of yours; it may be long over."));
    }

    /** Somebody waits for it still. */
    void asked(RunRow row) {
        Instant now = now();
        if (row.askedAt().plus(ASKED).isBefore(now)) {
            mapper.asked(row.id(), now);
        }
    }

    /** Whoever computes it hears of it within a second. */
    void stop(UUID id) {
        mapper.stop(id);
    }

    static boolean isOver(RunRow row) {
        return state(row).isOver();
    }

    private boolean isAlive(RunRow row) {
        return row.heardAt().plus(ALIVE).isAfter(now());
    }

    /** True where the node that computed it has died and this one computes it from now on. */
    boolean adopt(RunRow row) {
        return !isOver(row) && !row.stop() && !isAlive(row) && mapper.adopt(row.id(), node, row.heardAt(), now()) == 1;
    }

    RunRequest request(RunRow row) {
        return json.readValue(row.request(), RunRequest.class);
    }

    /** As the client sees it. */
    RunView view(RunRow row) {
        RunResult came = row.result() == null ? RunResult.NONE : json.readValue(row.result(), RunResult.class);
        return new RunView(row.id(), row.kind(), row.state(), row.done(), row.of(), row.failure(), came.simulation(), came.gates(), came.cut(),
                came.findings(), came.comparison());
    }

    private static Run.State state(RunRow row) {
        return Run.State.valueOf(row.state().toUpperCase(java.util.Locale.ROOT));
    }

    @Override
    public void tell(Run run) {
        if (!run.isShared()) {
            return;
        }
        RunView view = run.view();
        GymScope.HOUSE.run(() -> {
            if (run.state().isOver()) {
                mapper.end(run.id, node, view.state(), view.done(), view.of(), view.state().equals("done") ? json.writeValueAsString(run.result()) : null,
                        view.failure(), now());
            } else {
                hear(run, mapper.beat(run.id, node, view.state(), view.done(), view.of(), now()));
            }
        });
    }

    /** What was said about it on other nodes; nothing where it is another one's by now. */
    private static void hear(Run run, Optional<RunRow> row) {
        if (row.isEmpty() || row.get().stop()) {
            run.stop();
        } else {
            run.asked(row.get().askedAt());
        }
    }

    @Override
    public void tidy() {
        Instant now = now();
        if (thrownAway.plus(KEPT).isBefore(now)) {
            thrownAway = now;
            GymScope.HOUSE.run(() -> mapper.throwAway(now.minus(KEPT)));
        }
    }

    private static String about(Run.Key key) {
        return Secrets.hash(key.toString());
    }
}
