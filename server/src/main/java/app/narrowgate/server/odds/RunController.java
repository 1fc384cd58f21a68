package app.narrowgate.server.odds;

import app.narrowgate.core.gate.CutSearch;
import app.narrowgate.core.gate.GateSweep;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.round.RoundSimulation;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.PreDestroy;
import jakarta.validation.Valid;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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

/** Long computations: started, watched and stopped. One runs at a time; the last few results are kept for their owner. */
@RestController
@RequestMapping("/api/maps/{mapId}/runs")
@Tag(name = "odds")
class RunController {

    private static final Logger LOG = LoggerFactory.getLogger(RunController.class);
    private static final int MOST_KEPT = 50;

    private final MapStore maps;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "runs");
        thread.setDaemon(true);
        return thread;
    });
    private final Map<UUID, Run> runs = new LinkedHashMap<>();

    RunController(MapStore maps) {
        this.maps = maps;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    @Operation(operationId = "startRun", summary = "Start a long computation")
    RunView start(@PathVariable UUID mapId, @Valid @RequestBody RunRequest request,
            @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Setting setting = request.question().toSetting(map.index());
        if (request.kind().equals("cut") && request.threshold() == null) {
            throw new IllegalArgumentException("A cut needs a threshold from 0 to 1.");
        }
        Run run = new Run(who.id(), request.kind());
        keep(run);
        worker.submit(() -> execute(run, map, setting, request));
        return run.view();
    }

    @GetMapping("/{run}")
    @Operation(operationId = "run", summary = "How far a long computation is, and its result once it is done")
    RunView run(@PathVariable UUID mapId, @PathVariable UUID run, @AuthenticationPrincipal SignedIn who) {
        return find(run, who).view();
    }

    @DeleteMapping("/{run}")
    @Operation(operationId = "stopRun", summary = "Stop a long computation")
    RunView stop(@PathVariable UUID mapId, @PathVariable UUID run, @AuthenticationPrincipal SignedIn who) {
        Run found = find(run, who);
        found.stop();
        return found.view();
    }

    @PreDestroy
    void close() {
        synchronized (runs) {
            runs.values().forEach(Run::stop);
        }
        worker.shutdownNow();
    }

    private void keep(Run run) {
        synchronized (runs) {
            if (runs.size() >= MOST_KEPT) {
                runs.values().removeIf(Run::isOver);
            }
            if (runs.size() >= MOST_KEPT) {
                throw new IllegalArgumentException("Too many computations are waiting. Stop one or wait a little.");
            }
            runs.put(run.id, run);
        }
    }

    private Run find(UUID id, SignedIn who) {
        synchronized (runs) {
            Run run = runs.get(id);
            if (run == null || !run.owner.equals(who.id())) {
                throw new NotFoundException("There is no such computation of yours; it may be long over.");
            }
            return run;
        }
    }

    private static void execute(Run run, StoredMap map, Setting setting, RunRequest request) {
        Progress stop = Progress.until(run::isStopped);
        Progress progress = (done, of) -> {
            stop.at(done, of);
            run.progress(done, of);
        };
        try {
            progress.at(0, 0);
            run.begin();
            run.finish(compute(map, setting, request, progress));
        } catch (StoppedException e) {
            run.end(Run.State.STOPPED, null);
        } catch (IllegalArgumentException e) {
            run.end(Run.State.FAILED, e.getMessage());
        } catch (RuntimeException e) {
            LOG.error("A run failed", e);
            run.end(Run.State.FAILED, "Something went wrong on the server.");
        }
    }

    private static Object compute(StoredMap map, Setting setting, RunRequest request, Progress progress) {
        return switch (request.kind()) {
            case "gates" -> AnalysisViews.GatesView.of(GateSweep.sweep(map.index(), setting, progress));
            case "cut" -> AnalysisViews.CutView.of(
                    CutSearch.search(map.index(), setting, request.threshold(), progress));
            default -> AnalysisViews.SimulationView.of(map.index(), RoundSimulation.run(map.index(), setting,
                    Optional.ofNullable(request.from()).map(Id::of),
                    request.rounds() == null ? 100_000 : request.rounds(), 3,
                    request.seed() == null ? 1 : request.seed(), progress));
        };
    }
}
