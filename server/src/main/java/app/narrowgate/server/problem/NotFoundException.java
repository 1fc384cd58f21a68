package app.narrowgate.server.problem;

/** Something was asked for by a name that nothing has. The message names it. */
public class NotFoundException extends RuntimeException {

    /** With a sentence for the person who asked. */
    public NotFoundException(String message) {
        super(message);
    }
}
