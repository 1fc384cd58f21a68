package app.narrowgate.server.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.DrillRequest;
import app.narrowgate.core.drill.DrillSheetMaker;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Drill sheets from situations. */
@RestController
@RequestMapping("/api/maps/{mapId}/situations/{situation}/drill")
@Tag(name = "drills")
class DrillController {

    private final MapStore maps;
    private final SolvedMaps solved;

    DrillController(MapStore maps, SolvedMaps solved) {
        this.maps = maps;
        this.solved = solved;
    }

    @GetMapping
    @Operation(operationId = "drillSheet", summary = "A called drill from a situation, for a pair of partners",
            description = "Both roles on both sides, weak side first; the same seed gives the same order of calls.")
    DrillSheetView sheet(@PathVariable UUID mapId, @PathVariable String situation,
            @ParameterObject OddsQuestion question,
            @RequestParam(defaultValue = "8") @DecimalMin("1") @DecimalMax("60") double minutes,
            @RequestParam(defaultValue = "3") @Min(1) @Max(6) int links,
            @RequestParam(defaultValue = "left") String weakSide,
            @RequestParam(defaultValue = "1") @Min(0) @Max(999_999) long seed) {
        StoredMap map = maps.head(mapId);
        Id id = Id.of(situation);
        map.index().situation(id)
                .orElseThrow(() -> new NotFoundException("No situation is called “%s”.".formatted(id)));
        Side side = Coded.require(Side.class, "The weak side", weakSide);
        return DrillSheetView.of(map.index(), DrillSheetMaker.make(map.index(),
                solved.odds(map, question.toSetting(map.index())), new DrillRequest(id, minutes, links, side, seed)));
    }
}
