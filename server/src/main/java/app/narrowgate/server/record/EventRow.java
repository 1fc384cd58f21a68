package app.narrowgate.server.record;

import java.time.Instant;
import java.util.UUID;

/**
 * An event as it is stored; what it does not have is null.
 *
 * @param author who logged it; null once they are forgotten
 * @param situation where a round began
 * @param reaction the last answer that got going in a round; or the one of which is kept what the map says
 * @param ending the kind of place in which it ended, or {@link #HELD}
 * @param endedIn the place in which it ended
 * @param voids the event that is taken out
 */
record EventRow(UUID id, String kind, Instant at, Instant keptAt, UUID author, UUID person, UUID partner, String situation, String side, String ending,
        String endedIn, Integer seconds, String reaction, String response, boolean nothing, Double gap, UUID voids) {

    static final String ROUND = "round";
    static final String VOID = "void";
    static final String KEEP = "keep";
    /** Still held when the time was up. */
    static final String HELD = "held";
}
