package app.narrowgate.server.audit;

import java.time.Instant;

/**
 * What was noted of a member, as they take it out: nobody else is named.
 *
 * @param deed the written form of what was done
 * @param detail what else there is to say, without a name of a person
 * @param own true for what they did themselves, false for what was done to them
 */
public record Told(Instant at, String deed, String detail, boolean own) {
}
