package app.narrowgate.server.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.View;
import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.Side;
import app.narrowgate.core.weight.Change;
import app.narrowgate.core.weight.Sizes;
import app.narrowgate.core.weight.Weighing;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.picture.Pictures;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What rests on you at a place, and when they tip. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/weight")
@Tag(name = "weight")
class WeightController {

    @Schema(name = "PlaceWeight")
    record PlaceWeightView(String place, WeightFigures figures) {
    }

    private final MapStore maps;
    private final Pictures pictures;
    private final Weights weights;

    WeightController(MapStore maps, Pictures pictures, Weights weights) {
        this.maps = maps;
        this.pictures = pictures;
        this.weights = weights;
    }

    @Keepable
    @GetMapping
    @Operation(operationId = "weights", summary = "What rests on you at every place that is drawn, for two of average build")
    List<PlaceWeightView> weights(@PathVariable UUID mapId) {
        StoredMap map = maps.head(mapId);
        Postures postures = pictures.postures(map);
        return map.index().map().situations().parallelStream().map(Situation::id)
                .flatMap(place -> postures.ofPlace(place).stream().map(posture -> new PlaceWeightView(place.value(),
                        WeightFigures.of(weights.weighing(postures.get(posture).bodies(), Set.of()), Sizes.AVERAGE)))).toList();
    }

    @Keepable
    @GetMapping("/{place}")
    @Operation(operationId = "weight", summary = "A place weighed, with its picture")
    WeightView weight(@PathVariable UUID mapId, @PathVariable String place,
            @Valid @ModelAttribute @ParameterObject WeightQuestion question) {
        StoredMap map = maps.head(mapId);
        Id id = Id.of(place);
        Situation situation = map.index().situation(id).orElseThrow(() -> new NotFoundException("No situation is called “%s”.".formatted(place)));
        Postures postures = pictures.postures(map);
        Postures.Worked posture = postures.get(postures.ofPlace(id).orElseThrow(
                () -> new NotFoundException("Nobody has drawn “%s” yet; give it a posture first.".formatted(place))));
        Sizes sizes = question.toSizes();
        Bodies bodies = weights.sized(posture.bodies(), sizes);
        Weighing first = weights.weighing(bodies, Set.of());
        Set<Change> done = question.toDone();
        Weighing now = weights.weighing(bodies, done);
        View view = question.toSeen().from(posture.view());
        WeightView.DrawnWeight drawn = WeightView.drawn(now, first, view);
        List<WeightView.ChangeView> changes = Change.of(bodies).stream().map(change -> new WeightView.ChangeView(change.code(),
                done.contains(change), WeightFigures.of(done.contains(change) ? now
                        : weights.weighing(bodies, Change.toggled(done, change)), sizes))).toList();
        WeightView.TrapView best = weights.best(bodies).map(trap -> new WeightView.TrapView(
                trap.changes().stream().map(Coded::code).toList(),
                WeightFigures.of(weights.weighing(bodies, trap.changes()), sizes))).orElse(null);
        return new WeightView(posture.says(), posture.near().map(Side::code).orElse(null), drawn.drawing(), drawn.marks(),
                WeightFigures.of(now, sizes), WeightFigures.of(first, sizes), changes, best,
                WeightView.SaidView.of(map.index(), situation, posture.bodies()), WeightView.rose(now, first, view, sizes));
    }
}
