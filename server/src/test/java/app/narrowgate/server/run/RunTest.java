package app.narrowgate.server.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.progress.Stopping;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.TooManyException;
import io.micrometer.core.instrument.simple.SimpleMeterRegistry;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** How a run ends, on a clock that is moved by hand. */
class RunTest {

    private static final Instant NOON = Instant.parse("2026-01-05T12:00:00Z");
    private static final Duration LONG = Duration.ofMinutes(1);
    private final AtomicReference<Instant> now = new AtomicReference<>(NOON);
    private final RunWorker worker = new RunWorker(new Clock() {
        @Override
        public Instant instant() {
            return now.get();
        }

        @Override
        public java.time.ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(java.time.ZoneId zone) {
            return this;
        }
    }, new RunWorker.Told() {
        @Override
        public void tell(Run run) {
            // Nobody else is there.
        }

        @Override
        public void tidy() {
            // Nothing is kept.
        }
    });

    @AfterEach
    void close() {
        worker.close();
    }

    private static Run run() {
        return new Run(new Run.Key(UUID.randomUUID(), UUID.randomUUID(), 1, "all"), "review", NOON);
    }

    private Run.State end(Run run) {
        run.await(LONG);
        return run.state();
    }

    @Test
    void whatComesOutIsTold() {
        Run run = run();
        worker.work(run, progress -> {
            progress.at(1, 2);
            return RunResult.of(List.of());
        });
        assertThat(end(run)).isEqualTo(Run.State.DONE);
        assertThat(run.view().findings()).isEmpty();
        assertThat(run.view().done()).isEqualTo(2);
    }

    @Test
    void oneThatNobodyAsksForAnyMoreStops() {
        Run run = run();
        worker.work(run, progress -> {
            now.set(NOON.plus(Run.PATIENCE).plusMillis(1));
            progress.at(1, 2);
            return RunResult.of(List.of());
        });
        assertThat(end(run)).isEqualTo(Run.State.STOPPED);
    }

    @Test
    void oneThatIsStillAskedForGoesOn() {
        Run run = run();
        worker.work(run, progress -> {
            now.set(NOON.plus(Run.PATIENCE));
            run.asked(now.get());
            now.set(now.get().plus(Run.PATIENCE));
            progress.at(1, 2);
            return RunResult.of(List.of());
        });
        assertThat(end(run)).isEqualTo(Run.State.DONE);
    }

    @Test
    void stoppingRefusingAndFailingAreToldApart() {
        Run stopped = run();
        worker.work(stopped, progress -> {
            throw new StoppedException();
        });
        assertThat(end(stopped)).isEqualTo(Run.State.STOPPED);
        Run refused = run();
        worker.work(refused, progress -> {
            throw new RefusedException("Nobody starts anywhere.");
        });
        assertThat(end(refused)).isEqualTo(Run.State.FAILED);
        assertThat(refused.view().failure()).isEqualTo("Nobody starts anywhere.");
    }

    /** Whatever goes wrong, and however badly, whoever waits is told; a library's own words are for the log. */
    @Test
    void anErrorEndsARun() {
        for (Throwable thrown : List.of(new StackOverflowError(), new IllegalArgumentException("array length"))) {
            Run run = run();
            worker.work(run, progress -> {
                if (thrown instanceof Error error) {
                    throw error;
                }
                throw (RuntimeException) thrown;
            });
            assertThat(end(run)).isEqualTo(Run.State.FAILED);
            assertThat(run.view().failure()).contains("Something went wrong").doesNotContain("array");
        }
    }

    /** In the middle of a step, where nobody tells how far it is. */
    @Test
    void stoppingIsHeardInTheMiddleOfAStep() throws InterruptedException {
        Run run = inTheMiddleOfAStep();
        run.stop();
        assertThat(end(run)).isEqualTo(Run.State.STOPPED);
        Run next = run();
        worker.work(next, progress -> RunResult.of(List.of()));
        assertThat(end(next)).as("the same thread is not stopped again").isEqualTo(Run.State.DONE);
    }

    @Test
    void oneThatNobodyAsksForIsStoppedInTheMiddleOfAStep() throws InterruptedException {
        Run run = inTheMiddleOfAStep();
        worker.look();
        assertThat(run.isStopping()).isFalse();
        now.set(NOON.plus(Run.PATIENCE).plusMillis(1));
        worker.look();
        assertThat(end(run)).isEqualTo(Run.State.STOPPED);
    }

    private Run inTheMiddleOfAStep() throws InterruptedException {
        Run run = run();
        CountDownLatch begun = new CountDownLatch(1);
        worker.work(run, progress -> {
            while (true) {
                begun.countDown();
                Stopping.check();
            }
        });
        begun.await();
        return run;
    }

    @Test
    void onePersonCannotTakeEveryPlace() {
        SimpleMeterRegistry meters = new SimpleMeterRegistry();
        RunRegistry registry = new RunRegistry(new Limits(meters));
        UUID one = UUID.randomUUID();
        Run first = null;
        for (int i = 0; i < RunRegistry.MOST_OF_A_PERSON; i++) {
            first = registry.keep(one, 0, () -> new Run(new Run.Key(one, UUID.randomUUID(), 1, "all"), "review", NOON));
        }
        assertThatThrownBy(() -> registry.keep(one, 0, RunTest::run)).isInstanceOf(TooManyException.class)
                .hasMessageContaining("You have 6 computations");
        assertThat(meters.get("narrowgate.limit.met").tag("limit", "runs-of-a-person").counter().count()).isEqualTo(1);
        assertThat(registry.keep(UUID.randomUUID(), 0, RunTest::run)).as("somebody else").isNotNull();
        assertThatThrownBy(() -> registry.keep(UUID.randomUUID(), RunRegistry.MOST_OF_A_PERSON, RunTest::run)).as("all of them on other nodes")
                .isInstanceOf(TooManyException.class);
        first.end(Run.State.DONE, null);
        assertThat(registry.keep(one, 0, RunTest::run)).as("one is over").isNotNull();
    }

    @Test
    void aRunBelongsToItsMapAndItsOwner() {
        RunRegistry registry = new RunRegistry(new Limits(new SimpleMeterRegistry()));
        Run run = registry.keep(UUID.randomUUID(), 0, RunTest::run);
        assertThat(registry.find(run.id, run.key.map(), run.key.owner())).containsSame(run);
        assertThat(registry.find(run.id, UUID.randomUUID(), run.key.owner())).isEmpty();
        assertThat(registry.find(run.id, run.key.map(), UUID.randomUUID())).isEmpty();
    }
}
