package app.narrowgate.server.map;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * A response as it is typed.
 *
 * @param revision the map's revision that was on screen
 * @param leads where it leads; nothing while nobody has answered it
 */
record ResponseEdit(@Min(1) int revision, @NotBlank @Size(max = 400) String cue, @NotNull @Valid LikelihoodView often,
        @Nullable @Size(max = 64) String leads) {
}
