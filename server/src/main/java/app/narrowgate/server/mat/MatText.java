package app.narrowgate.server.mat;

import app.narrowgate.core.mat.MatRun;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * How a running class stands in the database: its records as they are, for the hours that it runs. No format to pass on; what came of
 * it is kept with the class.
 */
final class MatText {

    private static final Logger LOG = LoggerFactory.getLogger(MatText.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private MatText() {
    }

    /**
     * A running class with the presses that it has heard.
     *
     * @param heard ids of the last presses, so that one that is sent twice counts once
     * @param from the state of the class from which it was laid out
     */
    record Running(MatRun run, List<UUID> heard, int from) {
        Running {
            heard = List.copyOf(heard);
        }
    }

    static String write(Running running) {
        return JSON.writeValueAsString(running);
    }

    /** What was written; empty where another version of the program wrote it that this one does not understand. */
    static Optional<Running> read(String text) {
        try {
            return Optional.of(JSON.readValue(text, Running.class));
        } catch (JacksonException e) {
            LOG.warn("A class that was on the mat cannot be read any more: {}", e.getOriginalMessage());
            return Optional.empty();
        }
    }
}
