package app.narrowgate.server.problem;

import java.time.Duration;

/** Too much is asked of the server at this moment; the same may be asked again a little later. */
public class BusyException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final Duration comeBack;

    /**
     * With a sentence for the person.
     *
     * @param comeBack when it is worth asking again
     */
    public BusyException(String message, Duration comeBack) {
        super(message);
        this.comeBack = comeBack;
    }

    /** When it is worth asking again. */
    public Duration comeBack() {
        return comeBack;
    }
}
