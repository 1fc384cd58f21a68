package app.narrowgate.server.mat;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.UUID;

/**
 * Something that whoever steers does.
 *
 * @param id made where it was pressed, so that sending it twice does it once
 * @param step the number of the step that was on screen; where the class has gone on, what is meant for a step does nothing
 * @param ago milliseconds since it was pressed, such as while the network was away
 */
@Schema(name = "MatPress")
record Press(@NotNull UUID id,
        @NotNull @Schema(allowableValues = {"start", "forward", "back", "stop", "go", "toggle", "longer", "skip", "look", "insert", "break", "drop", "come",
            "leave", "finish"}) String deed,
        @Min(0) @Max(1_000_000) int step, @Min(0) @Max(86_400_000) long ago,
        @Nullable @Min(-600) @Max(600) @Schema(description = "By how much longer, or shorter") Integer seconds,
        @Nullable @Min(1) @Max(180) @Schema(description = "How long what is put in lasts") Integer minutes,
        @Nullable @Size(min = 1, max = 140) @Schema(description = "What is put in") String unit,
        @Nullable @Schema(description = "Who comes or goes") UUID person,
        @Nullable @Size(max = 64) @Schema(description = "What all look at") String place,
        @Nullable @Size(max = 64) @Schema(description = "Whose mistake is put right") String technique,
        @Nullable @Min(0) @Max(100) Integer mistake) {

    /** What can be done. */
    enum Deed implements Coded {
        START, FORWARD, BACK, STOP, GO, TOGGLE, LONGER, SKIP, LOOK, INSERT, BREAK, DROP, COME, LEAVE, FINISH;

        /** True for what a clicker does. */
        boolean clicks() {
            return this == FORWARD || this == BACK || this == TOGGLE;
        }
    }

    Deed what() {
        return Coded.require(Deed.class, "What is done", deed);
    }

    Duration since() {
        return Duration.ofMillis(ago);
    }

    /**
     * What must be there for this deed.
     *
     * @throws RefusedException where it is not
     */
    static <T> T need(@Nullable T value, String what) {
        if (value == null) {
            throw new RefusedException("It is not said " + what + ".");
        }
        return value;
    }
}
