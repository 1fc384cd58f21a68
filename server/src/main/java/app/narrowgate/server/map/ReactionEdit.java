package app.narrowgate.server.map;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;

/**
 * A reaction as it is typed.
 *
 * @param revision the map's revision that was on screen
 * @param technique a technique that exists, or
 * @param newTechnique the title of one that is made on the spot
 * @param stuffed where a failed attempt lands; nothing for the same situation
 */
record ReactionEdit(@Min(1) int revision, @Nullable @Size(max = 64) String technique, @Nullable @Size(max = 200) String newTechnique,
        @NotNull @Size(max = 50) Map<String, @NotNull Boolean> needs, @Min(0) @Max(120) double seconds,
        @NotNull @Valid LikelihoodView works, @Nullable @Size(max = 64) String stuffed) {
}
