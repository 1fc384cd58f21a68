package app.narrowgate.server.door;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** What stands behind the sign in a link. */
@Schema(name = "LinkToken")
public record LinkToken(@NotBlank @Size(max = 100) String token) {
}
