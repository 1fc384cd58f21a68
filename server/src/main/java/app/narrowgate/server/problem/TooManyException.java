package app.narrowgate.server.problem;

import java.time.Duration;

/** Somebody asks the same too often, or for too much at once; they must wait. */
public class TooManyException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final Duration comeBack;

    /**
     * With a sentence for the person.
     *
     * @param comeBack when it may be asked again
     */
    public TooManyException(String message, Duration comeBack) {
        super(message);
        this.comeBack = comeBack;
    }

    /** When it may be asked again. */
    public Duration comeBack() {
        return comeBack;
    }
}
