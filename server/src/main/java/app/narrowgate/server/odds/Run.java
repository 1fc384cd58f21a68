package app.narrowgate.server.odds;

import java.util.UUID;

/** A long computation of somebody: how far it is, and what came out. Written by one thread, read by others. */
final class Run {

    /** Where a run stands. */
    enum State {
        WAITING, RUNNING, DONE, STOPPED, FAILED
    }

    final UUID id = UUID.randomUUID();
    final UUID owner;
    final String kind;
    private State state = State.WAITING;
    private int done;
    private int of;
    private Object result;
    private String failure;
    private boolean stop;

    Run(UUID owner, String kind) {
        this.owner = owner;
        this.kind = kind;
    }

    synchronized void begin() {
        state = State.RUNNING;
    }

    synchronized void progress(int now, int all) {
        done = now;
        of = all;
    }

    synchronized void finish(Object outcome) {
        state = State.DONE;
        result = outcome;
        done = of;
    }

    synchronized void end(State how, String why) {
        state = how;
        failure = why;
    }

    synchronized void stop() {
        stop = true;
    }

    synchronized boolean isStopped() {
        return stop;
    }

    synchronized boolean isOver() {
        return state == State.DONE || state == State.STOPPED || state == State.FAILED;
    }

    synchronized RunView view() {
        return new RunView(id, kind, state.name().toLowerCase(java.util.Locale.ROOT), done, of, failure,
                result instanceof AnalysisViews.SimulationView simulation ? simulation : null,
                result instanceof AnalysisViews.GatesView gates ? gates : null,
                result instanceof AnalysisViews.CutView cut ? cut : null);
    }
}
