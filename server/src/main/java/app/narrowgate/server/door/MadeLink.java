package app.narrowgate.server.door;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.UUID;

/** A link that was made; what opens it is told this once. */
@Schema(name = "MadeLink")
public record MadeLink(UUID id, @Schema(description = "What opens the door; told this once") String token, Instant expiresAt) {
}
