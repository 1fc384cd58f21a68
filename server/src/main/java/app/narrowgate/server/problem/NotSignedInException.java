package app.narrowgate.server.problem;

/** Whoever asks is not who they say, as far as can be seen. */
public class NotSignedInException extends RuntimeException {

    private static final long serialVersionUID = 1;

    /** With a sentence for the person who asked. */
    public NotSignedInException(String message) {
        super(message);
    }
}
