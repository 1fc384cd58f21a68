package app.narrowgate.server.run;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Computes runs, two at a time, in the order they were asked for. However one ends, it is told so. */
@Component
class RunWorker {

    private static final Logger LOG = LoggerFactory.getLogger(RunWorker.class);
    private static final int AT_ONCE = 2;

    private final Clock clock;
    private final AtomicInteger threads = new AtomicInteger();
    private final ExecutorService pool = Executors.newFixedThreadPool(AT_ONCE, task -> {
        Thread thread = new Thread(task, "run-" + threads.incrementAndGet());
        thread.setDaemon(true);
        return thread;
    });

    RunWorker(Clock clock) {
        this.clock = clock;
    }

    /** Computes {@code run} when its turn comes. */
    void work(Run run, Function<Progress, RunResult> compute) {
        pool.execute(() -> execute(run, compute));
    }

    private void execute(Run run, Function<Progress, RunResult> compute) {
        Progress progress = run.progress(clock::instant);
        try {
            progress.at(0, 0);
            run.finish(compute.apply(progress));
        } catch (StoppedException e) {
            run.end(Run.State.STOPPED, null);
        } catch (RefusedException e) {
            run.end(Run.State.FAILED, e.getMessage());
        } catch (RuntimeException | Error e) {
            UUID incident = UUID.randomUUID();
            LOG.error("Run {} of kind {} failed, {}", run.id, run.kind, incident, e);
            run.end(Run.State.FAILED, "Something went wrong on the server (%s). Try again.".formatted(incident));
        }
    }

    @PreDestroy
    void close() {
        pool.shutdownNow();
    }
}
