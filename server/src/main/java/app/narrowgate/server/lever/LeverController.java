package app.narrowgate.server.lever;

import app.narrowgate.core.lever.Claim;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Levers, and which checkpoints of a map speak of them. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@Tag(name = "lever")
class LeverController {

    @Schema(name = "LeverClaim", description = "A checkpoint that speaks of a lever")
    record ClaimView(String technique, @Schema(description = "Which of its checkpoints, from 0") int checkpoint,
            @Schema(allowableValues = {"hip", "grip", "frame", "press", "arm"}) String lever) {
    }

    private final MapStore maps;

    LeverController(MapStore maps) {
        this.maps = maps;
    }

    @Keepable
    @GetMapping("/api/levers")
    @Operation(operationId = "levers", summary = "What levers that instructors feel come to")
    LeverView levers(@Valid @ModelAttribute @ParameterObject LeverQuestion question) {
        return LeverView.of(question);
    }

    @Keepable
    @GetMapping("/api/maps/{mapId}/levers")
    @Operation(operationId = "leverClaims", summary = "Which checkpoints of a map speak of a lever")
    List<ClaimView> claims(@PathVariable UUID mapId) {
        return maps.head(mapId).index().map().techniques().stream().flatMap(LeverController::claims).toList();
    }

    private static Stream<ClaimView> claims(Technique technique) {
        return IntStream.range(0, technique.checkpoints().size()).boxed()
                .flatMap(i -> Claim.of(technique.checkpoints().get(i)).map(claim ->
                        new ClaimView(technique.id().value(), i, claim.code())).stream());
    }
}
