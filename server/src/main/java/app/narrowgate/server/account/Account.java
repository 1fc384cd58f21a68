package app.narrowgate.server.account;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Role;
import java.time.Instant;
import java.util.UUID;

/**
 * A person who may sign in.
 *
 * @param gym the gym whose member the person is
 * @param name what is typed to sign in, in lower case; nobody else in the house has it
 * @param displayName what others see
 * @param role the written form of what the person is there
 */
public record Account(UUID id, UUID gym, String name, String displayName, String passwordHash, String role,
        Instant createdAt) {

    /** What the person is in the gym. */
    public Role is() {
        return Coded.of(Role.class, role).orElseThrow();
    }
}
