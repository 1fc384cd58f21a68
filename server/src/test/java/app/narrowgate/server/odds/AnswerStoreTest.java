package app.narrowgate.server.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.server.limit.Limits;
import io.micrometer.core.instrument.simple.SimpleMeterRegistry;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class AnswerStoreTest {

    private static final UUID MAP = UUID.randomUUID();
    private final AnswerStore answers = new AnswerStore(new Desk(new Limits(new SimpleMeterRegistry()), Duration.ofMinutes(1)));

    private static AnswerStore.Question question(String about) {
        return new AnswerStore.Question(MAP, 3, Setting.of(Id.of("even")), about, 10, false);
    }

    @Test
    void anUpgradeAsksAnew() {
        AnswerStore.Question asked = question("odds");
        assertThat(asked.tag("one")).isEqualTo(question("odds").tag("one")).isNotEqualTo(asked.tag("two"))
                .isNotEqualTo(question("overview").tag("one")).startsWith("W/");
    }

    @Test
    void ofSeveralWhoAskAtOnceOneComputes() throws InterruptedException {
        AtomicInteger computed = new AtomicInteger();
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        CompletableFuture<Integer> first = CompletableFuture.supplyAsync(() -> answers.answer(question("odds"), () -> {
            begun.countDown();
            await(goOn);
            return computed.incrementAndGet();
        }));
        begun.await();
        CompletableFuture<Integer> second = CompletableFuture.supplyAsync(
                () -> answers.answer(question("odds"), computed::incrementAndGet));
        goOn.countDown();
        assertThat(first.join()).isEqualTo(1);
        assertThat(second.join()).isEqualTo(1);
        assertThat(answers.<Integer>answer(question("odds"), computed::incrementAndGet)).isEqualTo(1);
    }

    @Test
    void whoWaitsForSomebodyWhoIsStoppedComputesForHimself() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        CompletableFuture<Object> stopped = CompletableFuture.supplyAsync(() -> answers.answer(question("gates"), () -> {
            begun.countDown();
            await(goOn);
            throw new StoppedException();
        }));
        begun.await();
        CompletableFuture<Object> patient = CompletableFuture.supplyAsync(
                () -> answers.answer(question("gates"), () -> "mine"));
        goOn.countDown();
        assertThat(patient.join()).isEqualTo("mine");
        assertThatThrownBy(stopped::join).hasCauseInstanceOf(StoppedException.class);
    }

    @Test
    void whatFailedIsNotKept() {
        assertThatThrownBy(() -> answers.answer(question("odds"), () -> {
            throw new IllegalStateException("once");
        })).hasMessage("once");
        assertThat(answers.<String>answer(question("odds"), () -> "twice")).isEqualTo("twice");
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
