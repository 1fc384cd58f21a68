package app.narrowgate.server.drill;

import java.time.Instant;
import java.util.UUID;

/**
 * A cue that somebody read, as it is stored.
 *
 * @param reaction the right answer
 * @param chosen the technique that was chosen
 * @param answers how many there were to choose among
 */
record ReadingRow(UUID id, String situation, String reaction, String chosen, boolean correct, int answers, int milliseconds,
        Instant at) {
}
