package app.narrowgate.server.member;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Role;
import java.time.Instant;
import java.util.UUID;

/**
 * A link by which somebody comes in, or gets a new password.
 *
 * @param kind the written form of what it is for
 * @param role the written form of what somebody becomes who comes in by it
 * @param account who came in by it, or whose password it is about; null before somebody came in
 * @param displayName what that account is called
 * @param whom for whom it was made, in the words of whoever made it; empty once it is used
 * @param madeBy the name of whoever made it
 */
record Invitation(UUID id, UUID gym, String kind, String role, UUID account, String displayName, String whom, String madeBy,
        Instant madeAt, Instant expiresAt, Instant usedAt, Instant withdrawnAt) {

    /** What a link is for. */
    enum Kind implements Coded {
        JOIN, PASSWORD
    }

    boolean is(Kind one) {
        return kind.equals(one.code());
    }

    Role becomes() {
        return Coded.of(Role.class, role).orElseThrow();
    }

    boolean isOpen(Instant now) {
        return usedAt == null && withdrawnAt == null && now.isBefore(expiresAt);
    }
}
