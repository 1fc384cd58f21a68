package app.narrowgate.server.odds;

import app.narrowgate.core.odds.Odds;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The odds of a map. */
@RestController
@RequestMapping("/api/maps/{mapId}/odds")
@Tag(name = "odds")
class OddsController {

    private final MapStore maps;
    private final OddsStore odds;

    OddsController(MapStore maps, OddsStore odds) {
        this.maps = maps;
        this.odds = odds;
    }

    @GetMapping
    @Operation(operationId = "odds", summary = "Every situation's odds",
            description = "Worths carry certified bounds; where converged is false they are not to be shown.")
    OddsView odds(@PathVariable UUID mapId, @Valid @ModelAttribute @ParameterObject OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        Odds solved = odds.odds(map, question.toSetting(map.index()));
        return OddsView.of(map.revision(), solved);
    }
}
