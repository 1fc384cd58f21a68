package app.narrowgate.server.account;

import java.util.UUID;

/** A member is to be forgotten, now, in this transaction: whoever keeps something by which they could be told takes it away. */
public record Forgotten(UUID account) {
}
