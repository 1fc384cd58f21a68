package app.narrowgate.server.run;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.odds.Desk;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Computes runs, two at a time, in the order they were asked for, and looks every second whether somebody still wants
 * them. However one ends, it is told so.
 */
@Component
class RunWorker {

    private static final Logger LOG = LoggerFactory.getLogger(RunWorker.class);
    static final int AT_ONCE = 2;
    private static final long LOOK_EVERY_MS = 1000;

    /** Who is told how far runs are. */
    interface Told {

        /** How far it is, or what came of it; hears in return whether it is wanted. */
        void tell(Run run);

        /** Now and then. */
        void tidy();
    }

    private final Clock clock;
    private final Told told;
    private final AtomicInteger threads = new AtomicInteger();
    private final ExecutorService pool = Executors.newFixedThreadPool(AT_ONCE, task -> {
        Thread thread = new Thread(task, "run-" + threads.incrementAndGet());
        thread.setDaemon(true);
        return thread;
    });
    private final Set<Run> going = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "run-watch");
        thread.setDaemon(true);
        return thread;
    });

    RunWorker(Clock clock, Told told) {
        this.clock = clock;
        this.told = told;
        watch.scheduleWithFixedDelay(this::look, LOOK_EVERY_MS, LOOK_EVERY_MS, TimeUnit.MILLISECONDS);
    }

    /** Tells how far each is, and stops what nobody wants any more. */
    void look() {
        try {
            going.forEach(this::tell);
            told.tidy();
        } catch (RuntimeException e) {
            LOG.warn("Other nodes are not told how far runs are: {}", e.getMessage());
        }
        going.stream().filter(run -> !run.isWanted(clock.instant())).forEach(Run::stop);
    }

    /** One that is over is told until it was heard. */
    private void tell(Run run) {
        boolean over = run.state().isOver();
        told.tell(run);
        if (over) {
            going.remove(run);
        }
    }

    /** Computes {@code run} when its turn comes. */
    void work(Run run, Function<Progress, RunResult> compute) {
        going.add(run);
        pool.execute(GymScope.carried(() -> execute(run, compute)));
    }

    private void execute(Run run, Function<Progress, RunResult> compute) {
        Progress progress = run.progress(clock::instant);
        run.begin();
        try {
            progress.at(0, 0);
            run.finish(Desk.here(() -> compute.apply(progress)));
        } catch (StoppedException e) {
            run.end(Run.State.STOPPED, null);
        } catch (RefusedException e) {
            run.end(Run.State.FAILED, e.getMessage());
        } catch (RuntimeException | Error e) {
            UUID incident = UUID.randomUUID();
            LOG.error("Run {} of kind {} failed, {}", run.id, run.kind, incident, e);
            run.end(Run.State.FAILED, "Something went wrong on the server (%s). Try again.".formatted(incident));
        } finally {
            run.leave();
            try {
                tell(run);
            } catch (RuntimeException e) {
                LOG.warn("Other nodes are not told yet that run {} is over: {}", run.id, e.getMessage());
            }
        }
    }

    @PreDestroy
    void close() {
        watch.shutdownNow();
        pool.shutdownNow();
    }
}
