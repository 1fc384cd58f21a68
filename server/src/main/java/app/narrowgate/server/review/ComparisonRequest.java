package app.narrowgate.server.review;

import app.narrowgate.server.odds.OddsQuestion;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;

/** Two sides to compare: two revisions, two maps, two matchups, two stances, or any mix. */
record ComparisonRequest(@NotNull @Valid Side before, @NotNull @Valid Side after) {

    /**
     * One side.
     *
     * @param map the map in the address when missing
     * @param revision the newest when missing
     */
    @Schema(name = "ComparisonSide")
    record Side(@Nullable UUID map, @Nullable @Min(1) Integer revision, @NotNull @Valid OddsQuestion question) {
    }
}
