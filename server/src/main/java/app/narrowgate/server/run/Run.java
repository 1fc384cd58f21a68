package app.narrowgate.server.run;

import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;

/**
 * A long computation that somebody waits for: how far it is, and what came out. Written by one thread, read by others.
 * It stops when it is told to, or when nobody has asked for it for {@link #PATIENCE}.
 */
final class Run {

    /** A client asks several times a second; one that has gone does not. */
    static final Duration PATIENCE = Duration.ofSeconds(15);

    /** Where a run stands. */
    enum State {
        WAITING, RUNNING, DONE, STOPPED, FAILED;

        boolean isOver() {
            return this == DONE || this == STOPPED || this == FAILED;
        }
    }

    /** What a run is about: two of the same for one person are one run. */
    record Key(UUID owner, UUID map, int revision, Object question) {
    }

    final UUID id;
    final Key key;
    final String kind;
    private final CountDownLatch over = new CountDownLatch(1);
    private State state = State.WAITING;
    private int done;
    private int of;
    private RunResult result;
    private String failure;
    private boolean stop;
    private Thread worker;
    private Instant lastAsked;
    private boolean shared;

    Run(Key key, String kind, Instant now) {
        this(UUID.randomUUID(), key, kind, now);
    }

    /** One that goes by an id already. */
    Run(UUID id, Key key, String kind, Instant now) {
        this.id = id;
        this.key = key;
        this.kind = kind;
        this.lastAsked = now;
    }

    /** Somebody still waits. */
    synchronized void asked(Instant now) {
        lastAsked = now.isAfter(lastAsked) ? now : lastAsked;
    }

    /** From now on other nodes know of it. */
    synchronized void share() {
        shared = true;
    }

    synchronized boolean isShared() {
        return shared;
    }

    /** What came out; nothing before it is done. */
    synchronized RunResult result() {
        return Optional.ofNullable(result).orElse(RunResult.NONE);
    }

    /** Whoever computes it is interrupted and hears of it at once. */
    synchronized void stop() {
        stop = true;
        if (worker != null) {
            worker.interrupt();
        }
    }

    /** This thread computes it from now on. */
    synchronized void begin() {
        worker = Thread.currentThread();
        if (stop) {
            worker.interrupt();
        }
    }

    /** This thread computes it no more, and may be given other work. */
    synchronized void leave() {
        worker = null;
        Thread.interrupted();
    }

    /** True once it has been told to stop, though it may not have heard of it yet. */
    synchronized boolean isStopping() {
        return stop;
    }

    synchronized boolean isWanted(Instant now) {
        return !stop && Duration.between(lastAsked, now).compareTo(PATIENCE) <= 0;
    }

    synchronized State state() {
        return state;
    }

    /** Hears how far the computation is, and stops it once nobody wants it. */
    Progress progress(Supplier<Instant> clock) {
        return (now, all) -> {
            if (!isWanted(clock.get())) {
                throw new StoppedException();
            }
            at(now, all);
        };
    }

    private synchronized void at(int now, int all) {
        state = State.RUNNING;
        done = now;
        of = all;
    }

    synchronized void finish(RunResult outcome) {
        result = outcome;
        done = of;
        end(State.DONE, null);
    }

    synchronized void end(State how, String why) {
        state = how;
        failure = why;
        over.countDown();
    }

    /** Waits until it is over, but no longer than {@code most}. */
    void await(Duration most) {
        try {
            over.await(most.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    synchronized RunView view() {
        RunResult came = result();
        return new RunView(id, kind, state.name().toLowerCase(java.util.Locale.ROOT), done, of, failure, came.simulation(),
                came.gates(), came.cut(), came.findings(), came.comparison());
    }
}
