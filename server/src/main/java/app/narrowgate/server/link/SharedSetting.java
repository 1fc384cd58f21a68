package app.narrowgate.server.link;

import app.narrowgate.server.odds.OddsQuestion;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * Under what a shared card is reckoned. Who is on the roster is never among it: a stranger would read weights and injuries off
 * the odds.
 *
 * @param aim an aim of the map; null for its first one
 * @param read how well the partner reads, in [0,1]
 * @param late seconds by which the student starts too late
 * @param matchup a saved matchup of the map; null for the house's own
 * @param stances each written principle/stance
 */
@Schema(name = "SharedSetting")
record SharedSetting(@Nullable @Size(max = 64) String aim, @NotNull @DecimalMin("0") @DecimalMax("1") Double read,
        @NotNull @DecimalMin("0") @DecimalMax("30") Double late, @Nullable @Size(max = 64) String matchup,
        @NotNull @Size(max = 50) List<@NotNull @Size(max = 140) String> stances) {

    /** What is taken where a map has lost what a link was made with. */
    SharedSetting usual() {
        return new SharedSetting(null, read, late, null, List.of());
    }

    OddsQuestion toQuestion() {
        return OddsQuestion.ofNobody(aim, read, late, matchup, stances);
    }
}
