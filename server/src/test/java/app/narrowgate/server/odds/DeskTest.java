package app.narrowgate.server.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.progress.Stopping;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.BusyException;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.simple.SimpleMeterRegistry;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** How many may wait at the desk, and for how long. */
class DeskTest {

    private static final int SMALL = 500;
    private static final int LARGE = 50_000;

    private final MeterRegistry meters = new SimpleMeterRegistry();
    private final Desk desk = new Desk(new Limits(meters), Duration.ofMinutes(1));
    private final Desk impatient = new Desk(new Limits(meters), Duration.ofMillis(1));
    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch goOn = new CountDownLatch(1);

    @AfterEach
    void close() {
        goOn.countDown();
        desk.close();
        impatient.close();
    }

    private double met(String limit) {
        return meters.get("narrowgate.limit.met").tag("limit", limit).counter().count();
    }

    private String slow() {
        begun.countDown();
        try {
            goOn.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return "slow";
    }

    @Test
    void itsPatienceIsATime() {
        for (Duration wrong : List.of(Duration.ZERO, Duration.ofSeconds(-1), Duration.ofMinutes(11))) {
            assertThatThrownBy(() -> new Desk(new Limits(meters), wrong)).isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("narrowgate.answer-time");
        }
    }

    @Test
    void whatIsAskedOnTheWayIsComputedOnTheWay() {
        Thread outer = desk.compute(LARGE, () -> desk.compute(LARGE, Thread::currentThread));
        assertThat(outer.getName()).startsWith("large-answer");
        assertThat(Desk.<Thread>here(() -> desk.compute(SMALL, Thread::currentThread))).isSameAs(Thread.currentThread());
    }

    @Test
    void whatIsRefusedIsRefusedToWhoAsked() {
        assertThatThrownBy(() -> desk.compute(SMALL, () -> {
            throw new IllegalStateException("no");
        })).isInstanceOf(IllegalStateException.class).hasMessage("no");
    }

    /** One is computed and eight wait; the next is told when to come back, and small maps are not in its way. */
    @Test
    void largeMapsWaitInAQueueOfTheirOwn() throws InterruptedException {
        List<CompletableFuture<String>> asked = new ArrayList<>();
        asked.add(CompletableFuture.supplyAsync(() -> desk.compute(LARGE, this::slow), task -> new Thread(task).start()));
        begun.await();
        List<RuntimeException> refused = new ArrayList<>();
        CountDownLatch turnedAway = new CountDownLatch(2);
        for (int i = 0; i < 10; i++) {
            asked.add(CompletableFuture.supplyAsync(() -> desk.compute(LARGE, this::slow), task -> new Thread(task).start())
                    .whenComplete((answer, e) -> {
                        if (e != null) {
                            turnedAway.countDown();
                        }
                    }));
        }
        turnedAway.await();
        assertThat(desk.<String>compute(SMALL, () -> "small")).isEqualTo("small");
        goOn.countDown();
        for (CompletableFuture<String> one : asked) {
            one.exceptionally(e -> {
                refused.add((RuntimeException) e.getCause());
                return null;
            }).join();
        }
        assertThat(refused).hasSize(2).allSatisfy(e -> assertThat(e).isInstanceOf(BusyException.class)
                .hasMessageContaining("Try again in a few seconds"));
        assertThat(met("answers-at-once")).isEqualTo(2);
    }

    /** What is quick is answered while as much that takes long is asked for as there are threads for anything else. */
    @Test
    void whatTakesLongWaitsInAQueueOfItsOwn() throws InterruptedException {
        List<CompletableFuture<String>> asked = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            asked.add(CompletableFuture.supplyAsync(() -> desk.compute(SMALL, true, this::slow), task -> new Thread(task).start()));
        }
        begun.await();
        assertThat(desk.<String>compute(SMALL, () -> Thread.currentThread().getName())).startsWith("answer-");
        goOn.countDown();
        assertThat(asked).allSatisfy(one -> assertThat(one.join()).isEqualTo("slow"));
    }

    @Test
    void whatTakesTooLongIsGivenUp() {
        CompletableFuture<Boolean> stopped = new CompletableFuture<>();
        AtomicBoolean begun = new AtomicBoolean();
        assertThatThrownBy(() -> impatient.compute(SMALL, () -> {
            begun.set(true);
            try {
                while (true) {
                    Stopping.check();
                }
            } catch (StoppedException e) {
                stopped.complete(true);
                throw e;
            }
        })).isInstanceOf(BusyException.class).hasMessageContaining("took longer");
        // On a machine that is busy the patience may end before its turn comes; then it never begins.
        assertThat(!begun.get() || stopped.join()).isTrue();
        assertThat(met("answer-time")).isEqualTo(1);
    }
}
