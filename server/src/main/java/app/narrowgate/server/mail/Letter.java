package app.narrowgate.server.mail;

import java.time.Instant;

/** A letter as it would be sent, in plain text. */
record Letter(long id, Instant at, String address, String subject, String body) {
}
