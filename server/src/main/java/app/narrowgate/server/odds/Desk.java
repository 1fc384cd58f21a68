package app.narrowgate.server.odds;

import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.BusyException;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Computes what requests wait for, aside from their threads: a few at once, few waiting behind them, and none longer
 * than {@code narrowgate.answer-time}; whoever comes beyond is told when to come back. What is about a large map, and what takes long
 * about any, has a queue of its own and one thread, so that it never stands in the way of what is quick. A request cannot see that its client has gone,
 * so what it waits for is given up when its patience ends; what may take longer is a run.
 */
@Component
public class Desk {

    private static final Duration LONGEST = Duration.ofMinutes(10);
    private static final Duration COME_BACK = Duration.ofSeconds(3);

    /** In situations, reactions and responses: below this a solve takes milliseconds. */
    private static final int LARGE = 2_000;
    private static final ThreadLocal<Boolean> COMPUTING = ThreadLocal.withInitial(() -> false);

    private final Limits limits;
    private final Duration patience;
    private final ThreadPoolExecutor small = pool("answer", 2, 64);
    private final ThreadPoolExecutor lengthy = pool("lengthy-answer", 1, 16);
    private final ThreadPoolExecutor large = pool("large-answer", 1, 8);

    /**
     * A desk.
     *
     * @param patience how long a request is computed at most, up to ten minutes; what takes longer than the usual 15 s helps
     *     nobody at the mat's edge
     * @throws IllegalArgumentException when it is no time at all, or longer
     */
    Desk(Limits limits, @Value("${narrowgate.answer-time:15s}") Duration patience) {
        if (patience.isNegative() || patience.isZero() || patience.compareTo(LONGEST) > 0) {
            throw new IllegalArgumentException("narrowgate.answer-time is %s; it must be a time up to 10m, such as 15s.".formatted(patience));
        }
        this.limits = limits;
        this.patience = patience;
    }

    private static ThreadPoolExecutor pool(String name, int threads, int waiting) {
        AtomicInteger count = new AtomicInteger();
        return new ThreadPoolExecutor(threads, threads, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(waiting), task -> {
            Thread thread = new Thread(() -> here(() -> {
                task.run();
                return null;
            }), name + "-" + count.incrementAndGet());
            thread.setDaemon(true);
            return thread;
        });
    }

    /**
     * Marks this thread as one that computes: whatever {@code work} asks for is computed in it. Interrupting it stops the
     * work.
     */
    public static <T> T here(Supplier<T> work) {
        boolean before = COMPUTING.get();
        COMPUTING.set(true);
        try {
            return work.get();
        } finally {
            COMPUTING.set(before);
        }
    }

    /**
     * What {@code work} gives, computed at the desk, or here if this thread computes already.
     *
     * @param weight size of the map it is about, in situations, reactions and responses
     * @throws BusyException when too many wait already, or when it takes too long
     */
    public <T> T compute(int weight, Supplier<T> work) {
        return compute(weight, false, work);
    }

    /**
     * The same.
     *
     * @param takesTime true where it takes long on a small map, too
     * @throws BusyException when too many wait already, or when it takes too long
     */
    <T> T compute(int weight, boolean takesTime, Supplier<T> work) {
        if (COMPUTING.get()) {
            return work.get();
        }
        GymScope scope = GymScope.current();
        Future<T> answer;
        try {
            answer = (weight > LARGE ? large : takesTime ? lengthy : small).submit(() -> scope.get(work));
        } catch (RejectedExecutionException e) {
            limits.met(Limit.ANSWERS_AT_ONCE);
            throw new BusyException("Much is being computed at this moment. Try again in a few seconds.", COME_BACK);
        }
        return waitFor(answer);
    }

    private <T> T waitFor(Future<T> answer) {
        try {
            return answer.get(patience.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            limits.met(Limit.ANSWER_TIME);
            throw new BusyException("This took longer than %d seconds and was given up. Try again when less is going on; on a "
                    .formatted(patience.toSeconds()) + "very large map, ask about a smaller part.", COME_BACK);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new StoppedException();
        } catch (CancellationException e) {
            throw new StoppedException();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw e.getCause() instanceof RuntimeException cause ? cause : new IllegalStateException(e.getCause());
        } finally {
            answer.cancel(true);
        }
    }

    @PreDestroy
    void close() {
        small.shutdownNow();
        lengthy.shutdownNow();
        large.shutdownNow();
    }
}
