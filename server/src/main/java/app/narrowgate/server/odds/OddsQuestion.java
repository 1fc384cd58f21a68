package app.narrowgate.server.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.ThinkingTime;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;

/**
 * What odds are asked for; whatever is missing takes its usual value.
 *
 * @param aim an aim of the map; the first one when missing
 * @param read how well the partner reads you, 0 to 1
 * @param late seconds by which the student starts too late
 */
public record OddsQuestion(
        @Parameter(description = "An aim of the map; the first one when missing") String aim,
        @Parameter(description = "How well the partner reads you, 0 by habit to 1 always the worst for you",
                example = "0.25") @DecimalMin("0") @DecimalMax("1") Double read,
        @Parameter(description = "Seconds by which the student starts too late", example = "0.5")
        @DecimalMin("0") @DecimalMax("30") Double late) {

    /** The setting for a map. */
    public Setting toSetting(MapIndex index) {
        Id aimId = aim == null || aim.isBlank() ? index.map().aims().get(0).id() : Id.of(aim);
        return new Setting(aimId, read == null ? 0 : read, late == null ? 0 : late, ThinkingTime.USUAL);
    }
}
