package app.narrowgate.server.run;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.gate.CutSearch;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.round.RoundSimulation;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnalysisViews;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.Pairs;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.review.Reviews;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.PreDestroy;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Long computations: started, watched and stopped. */
@RestController
@Needs(Right.READ_MAPS)
@RequestMapping("/api/maps/{mapId}/runs")
@Tag(name = "runs")
class RunController {

    /** On a usual map most are over by then, and asking again is saved. */
    private static final Duration AT_ONCE = Duration.ofMillis(400);

    private final MapStore maps;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final Pairs pairs;
    private final Reviews reviews;
    private final RunRegistry registry;
    private final SharedRuns shared;
    private final RunWorker worker;
    private final Clock clock;

    RunController(MapStore maps, SolvedMaps solved, AnswerStore answers, Pairs pairs, Reviews reviews, RunRegistry registry,
            SharedRuns shared, RunWorker worker, Clock clock) {
        this.maps = maps;
        this.solved = solved;
        this.answers = answers;
        this.pairs = pairs;
        this.reviews = reviews;
        this.registry = registry;
        this.shared = shared;
        this.worker = worker;
        this.clock = clock;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    @Operation(operationId = "startRun", summary = "Start a long computation, or join the same one",
            description = "What is soon over comes back done. One that nobody asks for any more is stopped.")
    RunView start(@PathVariable UUID mapId, @Valid @RequestBody RunRequest asked,
            @AuthenticationPrincipal SignedIn who) {
        RunRequest request = asked.about(pairs.put(asked.question()));
        StoredMap map = maps.head(mapId);
        // What cannot be set is told at once.
        request.question().toSetting(map.index());
        if (request.kind().equals("cut") && request.threshold() == null) {
            throw new RefusedException("A cut needs a threshold from 0 to 1.");
        }
        Optional<StoredMap> before = before(request);
        // The other map as it is now, too: a comparison with what it was then is another run.
        Run.Key key = new Run.Key(who.id(), mapId, map.revision(),
                List.of(request, before.map(StoredMap::revision).orElse(0)));
        Optional<Run> here = registry.same(key);
        Optional<RunRow> elsewhere = here.isPresent() ? Optional.empty() : shared.same(key);
        if (elsewhere.isPresent()) {
            shared.asked(elsewhere.get());
            return dismissing(shared.view(elsewhere.get()), mapId);
        }
        Run run = here.orElseGet(() -> begin(new Run(key, request.kind(), clock.instant()), map, before, request));
        run.asked(clock.instant());
        run.await(AT_ONCE);
        if (!run.state().isOver() && !run.isShared()) {
            shared.keep(run, request, before.map(StoredMap::revision).orElse(null));
        }
        return dismissing(run.view(), mapId);
    }

    private Run begin(Run run, StoredMap map, Optional<StoredMap> before, RunRequest request) {
        Setting setting = request.question().toSetting(map.index());
        Run begun = registry.keep(run.key.owner(), shared.goingElsewhere(run.key.owner()), () -> run);
        worker.work(begun, progress -> compute(map, before, setting, request, progress));
        return begun;
    }

    @GetMapping("/{run}")
    @Operation(operationId = "run", summary = "How far a long computation is, and its result once it is done")
    RunView run(@PathVariable UUID mapId, @PathVariable UUID run, @AuthenticationPrincipal SignedIn who) {
        // One that stops here because another node took it goes on there.
        Optional<Run> here = registry.find(run, mapId, who.id()).filter(one -> !(one.isShared() && one.isStopping()));
        if (here.isPresent()) {
            here.get().asked(clock.instant());
            return dismissing(here.get().view(), mapId);
        }
        RunRow row = shared.find(run, mapId, who.id());
        if (shared.adopt(row)) {
            return dismissing(adopted(row).view(), mapId);
        }
        shared.asked(row);
        return dismissing(shared.view(row), mapId);
    }

    /** From the beginning, on the maps as they were. */
    private Run adopted(RunRow row) {
        RunRequest request = shared.request(row);
        Optional<StoredMap> before = Optional.ofNullable(row.beforeRevision()).map(revision -> maps.at(request.before(), revision));
        Run run = new Run(row.id(), new Run.Key(row.owner(), row.mapId(), row.revision(), List.of(request, before.map(StoredMap::revision).orElse(0))),
                row.kind(), clock.instant());
        run.share();
        return begin(run, maps.at(row.mapId(), row.revision()), before, request);
    }

    @DeleteMapping("/{run}")
    @Operation(operationId = "stopRun", summary = "Stop a long computation")
    RunView stop(@PathVariable UUID mapId, @PathVariable UUID run, @AuthenticationPrincipal SignedIn who) {
        Optional<Run> here = registry.find(run, mapId, who.id());
        if (here.isPresent()) {
            here.get().stop();
            return dismissing(here.get().view(), mapId);
        }
        RunRow row = shared.find(run, mapId, who.id());
        shared.stop(row.id());
        return dismissing(shared.view(row), mapId);
    }

    @PreDestroy
    void close() {
        registry.stopAll();
    }

    /** Only now: somebody may have dismissed a finding while it was computed. */
    private RunView dismissing(RunView view, UUID mapId) {
        return view.findings() == null ? view : view.withFindings(reviews.dismissed(mapId, view.findings()));
    }

    /** The map that a comparison begins from; empty for what needs none. */
    private Optional<StoredMap> before(RunRequest request) {
        if (!request.kind().equals("comparison")) {
            return Optional.empty();
        }
        if (request.before() == null) {
            throw new RefusedException("A comparison needs the map to compare with.");
        }
        return Optional.of(maps.head(request.before()));
    }

    private RunResult compute(StoredMap map, Optional<StoredMap> before, Setting setting, RunRequest request,
            Progress progress) {
        return switch (request.kind()) {
            case "gates" -> RunResult.of(AnalysisViews.GatesView.of(solved.gates(map, setting, progress)));
            case "review" -> RunResult.of(reviews.views(map, setting, progress));
            case "comparison" -> RunResult.of(reviews.compared(before.orElseThrow(),
                    request.question().toSetting(before.orElseThrow().index()), map, setting, progress));
            case "cut" -> RunResult.of(AnalysisViews.CutView.of(answers.answer(
                    AnswerStore.Question.of(map, setting, "cut " + request.threshold()),
                    () -> CutSearch.search(solved.solved(map, setting), request.threshold(), progress))));
            default -> RunResult.of(AnalysisViews.SimulationView.of(map.index(), RoundSimulation.run(
                    solved.solved(map, setting), Optional.ofNullable(request.from()).map(Id::of),
                    request.rounds() == null ? 100_000 : request.rounds(), 3,
                    request.seed() == null ? 1 : request.seed(), progress)));
        };
    }
}
