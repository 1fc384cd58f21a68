package app.narrowgate.server.finish;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.finish.ArmsCompared;
import app.narrowgate.core.finish.Denials;
import app.narrowgate.core.finish.Ladder;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.PartInput;
import app.narrowgate.server.map.PreviewRequest;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Holds and how they are denied. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/holds")
@Tag(name = "finish")
class HoldController {

    @Schema(name = "Hold")
    record HoldView(String id, String title, @Schema(allowableValues = {"pin", "finish"}) String kind, List<String> at,
            List<NeedView> needs, List<DenialView> denials) {
        static HoldView of(Denials denials) {
            Hold hold = denials.hold();
            return new HoldView(hold.id().value(), hold.title(), hold.kind().code(), values(hold.at()),
                    hold.requirement().needs().stream().map(need -> NeedView.of(need, denials)).toList(),
                    denials.denials().stream().map(d -> new DenialView(d.needs().stream().map(Id::value).toList(),
                            d.work(), d.stages().stream().map(Coded::code).toList())).toList());
        }
    }

    @Schema(name = "HoldNeed")
    record NeedView(String id, String title, double work,
            @Schema(description = "Stage to the reactions taught against it there") Map<String, List<String>> taught) {
        static NeedView of(Requirement.Need need, Denials denials) {
            Map<String, List<String>> taught = new LinkedHashMap<>();
            for (Stage stage : Stage.values()) {
                List<Id> reactions = denials.taught().getOrDefault(stage, Map.of()).get(need.id());
                if (reactions != null) {
                    taught.put(stage.code(), values(reactions));
                }
            }
            return new NeedView(need.id().value(), need.title(), need.work(), taught);
        }
    }

    @Schema(name = "Denial", description = "Needs that together make the hold fall when they are denied")
    record DenialView(List<String> needs, double work, List<String> stages) {
    }

    private final MapStore maps;
    private final SolvedMaps solved;

    HoldController(MapStore maps, SolvedMaps solved) {
        this.maps = maps;
        this.solved = solved;
    }

    @Keepable
    @GetMapping
    @Operation(operationId = "holds", summary = "What pins and finishes need, and the least work that stops each")
    List<HoldView> holds(@PathVariable UUID mapId) {
        return views(maps.head(mapId).index(), hold -> true);
    }

    @Keepable
    @GetMapping("/ladders")
    @Operation(operationId = "ladders", summary = "How likely each pin and finish closes, stage by stage")
    List<LadderView.LineView> ladders(@PathVariable UUID mapId, @ParameterObject OddsQuestion question) {
        SolvedMap map = solved(mapId, question);
        return map.map().holds().stream().map(hold -> LadderView.LineView.of(Ladder.of(map, hold))).toList();
    }

    @Keepable
    @GetMapping("/{hold}/ladder")
    @Operation(operationId = "ladder", summary = "What a pin or a finish needs in the order in which it is built, and what denies it")
    LadderView ladder(@PathVariable UUID mapId, @PathVariable String hold, @ParameterObject OddsQuestion question) {
        SolvedMap map = solved(mapId, question);
        Hold found = map.index().part(PartKind.HOLDS, Id.of(hold))
                .orElseThrow(() -> new NotFoundException("No pin or finish is called “%s”.".formatted(hold)));
        return LadderView.of(Ladder.of(map, found), ArmsCompared.of(map, found));
    }

    private SolvedMap solved(UUID mapId, OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        return solved.solved(map, question.toSetting(map.index()));
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/preview")
    @Operation(operationId = "previewHolds",
            summary = "What stops the pins and finishes among the parts, if these were added or changed; nothing is stored")
    List<HoldView> preview(@PathVariable UUID mapId, @Valid @RequestBody PreviewRequest request) {
        Set<String> asked = request.parts().stream().filter(part -> part.list().equals("holds")).map(PartInput::id)
                .collect(Collectors.toSet());
        return views(request.in(maps.head(mapId)), hold -> asked.contains(hold.id().value()));
    }

    private static List<HoldView> views(MapIndex index, Predicate<Hold> asked) {
        return index.map().holds().stream().filter(asked).map(hold -> HoldView.of(Denials.of(index, hold))).toList();
    }

    private static List<String> values(List<Id> ids) {
        return ids.stream().map(Id::value).toList();
    }
}
