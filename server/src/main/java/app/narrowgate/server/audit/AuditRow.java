package app.narrowgate.server.audit;

import java.time.Instant;
import java.util.UUID;

/**
 * Something that somebody did.
 *
 * @param actor what the person is called who did it; missing once that person is forgotten
 * @param deed the written form of what they did
 * @param subject what the person is called to whom they did it; missing where it was nobody, or somebody who is forgotten
 * @param detail what else there is to say, without a name of a person
 */
record AuditRow(long id, Instant at, String actor, String deed, UUID subjectId, String subject, String detail) {
}
