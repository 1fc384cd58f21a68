package app.narrowgate.server.account;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/** Who is signed in; nothing when nobody is. */
@Schema(name = "Session")
public record SessionView(boolean signedIn, @Nullable String name, @Nullable String displayName,
        @Schema(description = "False on a first visit, until the person has begun") boolean begun,
        @Nullable @Schema(description = "What the gym is called") String gym,
        @Nullable @Schema(description = "What the person is there") String role,
        @Schema(description = "What the person may do") List<String> rights,
        @Schema(description = "True where the house has no gym yet") boolean houseIsEmpty) {
}
