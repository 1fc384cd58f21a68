package app.narrowgate.server.mat;

import app.narrowgate.core.check.Coded;
import java.time.Instant;
import java.util.UUID;
import jakarta.annotation.Nullable;

/**
 * A link by which somebody without a sign-in follows one class.
 *
 * @param madeBy the name of whoever made it
 */
record MatLink(UUID id, UUID gym, UUID lesson, Kind kind, String madeBy, Instant madeAt, Instant expiresAt, @Nullable Instant withdrawnAt) {

    /** What a link is for. */
    enum Kind implements Coded {
        /** Shows the class to the room. */
        SCREEN,
        /** Goes on, back, stops and goes on. */
        CLICKER,
        /** Shows whoever feeds what to do. */
        FEEDER
    }

    boolean isOpen(Instant now) {
        return withdrawnAt == null && now.isBefore(expiresAt);
    }
}
