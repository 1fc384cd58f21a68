package app.narrowgate.server.problem;

import java.util.Map;

/** An edit made on a stale state, with what has changed since. */
public class ConflictException extends RuntimeException {

    private final transient Map<String, Object> properties;

    /** With a sentence for the person and fields for the client. */
    public ConflictException(String message, Map<String, Object> properties) {
        super(message);
        this.properties = Map.copyOf(properties);
    }

    /** Extra fields of the problem. */
    public Map<String, Object> properties() {
        return properties;
    }
}
