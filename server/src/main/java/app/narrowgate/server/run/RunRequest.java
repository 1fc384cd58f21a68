package app.narrowgate.server.run;

import app.narrowgate.server.odds.OddsQuestion;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import java.util.UUID;

/**
 * What a run is to compute.
 *
 * @param rounds for a simulation
 * @param threshold for a cut
 * @param before for a comparison: the map that this one is compared with
 */
record RunRequest(@NotNull @Pattern(regexp = "simulation|gates|cut|review|comparison",
        message = "must be simulation, gates, cut, review or comparison")
        @Schema(example = "simulation") String kind, @NotNull @Valid OddsQuestion question,
        @Nullable @Min(1) @Max(1_000_000) Integer rounds, @Nullable Long seed, @Nullable String from,
        @Nullable @DecimalMin("0") @DecimalMax("1") Double threshold, @Nullable UUID before) {

    /** The same about another question. */
    RunRequest about(OddsQuestion other) {
        return new RunRequest(kind, other, rounds, seed, from, threshold, before);
    }
}
