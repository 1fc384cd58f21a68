package app.narrowgate.core.progress;

/** A long computation was stopped on request; nothing is wrong. */
public final class StoppedException extends RuntimeException {

    private static final long serialVersionUID = 1;

    /** Without a stack, since nothing is wrong. */
    public StoppedException() {
        super("Stopped on request.", null, false, false);
    }
}
