package app.narrowgate.server.account;

import java.time.Instant;
import java.util.UUID;

/**
 * A person who may sign in.
 *
 * @param name what is typed to sign in, in lower case
 * @param displayName what others see
 */
public record Account(UUID id, String name, String displayName, String passwordHash, Instant createdAt) {
}
