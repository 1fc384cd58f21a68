package app.narrowgate.server.map;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.PartUse;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.map.PartJson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ObjectNode;

/** Any part of a map, as it stands in the open format: reading it, what names it, taking it out. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/parts/{list}")
@Tag(name = "parts")
class PartController {

    /** Something that refers to a part. */
    @Schema(name = "PartUse")
    record UseView(@Schema(ref = PartListSchema.REF) String list, String id, String field) {
        static UseView of(PartUse use) {
            return new UseView(use.kind().list(), use.id().value(), use.field());
        }
    }

    private final MapStore store;
    private final MapEditing editing;
    private final MapViews views;

    PartController(MapStore store, MapEditing editing, MapViews views) {
        this.store = store;
        this.editing = editing;
        this.views = views;
    }

    @GetMapping("/{part}")
    @Operation(operationId = "part", summary = "A part as it stands in the open format")
    @io.swagger.v3.oas.annotations.responses.ApiResponse(content = @io.swagger.v3.oas.annotations.media.Content(
            schema = @Schema(implementation = Object.class)))
    ObjectNode part(@PathVariable UUID mapId, @Parameter(schema = @Schema(ref = PartListSchema.REF)) @PathVariable String list,
            @PathVariable String part) {
        return PartJson.get(store.head(mapId).index().map(), PartKind.ofList(list), Id.of(part)).orElseThrow(() -> notThere(list, part));
    }

    @Needs(Right.EDIT_MAPS)
    @GetMapping("/{part}/uses")
    @Operation(operationId = "partUses", summary = "What would hang if the part were taken out")
    List<UseView> uses(@PathVariable UUID mapId,
            @Parameter(schema = @Schema(ref = PartListSchema.REF)) @PathVariable String list, @PathVariable String part) {
        return store.head(mapId).index().map().uses(PartKind.ofList(list), Id.of(part)).stream().map(UseView::of).toList();
    }

    @Needs(Right.EDIT_MAPS)
    @DeleteMapping("/{part}")
    @Operation(operationId = "removePart", summary = "Take a part out",
            description = "With redirect, whatever referred to it refers to that instead; without, those references go: "
                    + "landings stay unanswered, and the reactions of a situation go with it.")
    MapView remove(@PathVariable UUID mapId,
            @Parameter(schema = @Schema(ref = PartListSchema.REF)) @PathVariable String list, @PathVariable String part,
            @RequestParam @Min(1) int revision, @RequestParam(required = false) String redirect,
            @AuthenticationPrincipal SignedIn who) {
        PartKind<?> kind = PartKind.ofList(list);
        Id id = Id.of(part);
        Optional<Id> instead = Optional.ofNullable(redirect).filter(r -> !r.isBlank()).map(Id::of);
        return views.of(editing.edit(mapId, revision, who,
                "Took out “%s”".formatted(store.head(mapId).index().title(kind, id)),
                map -> PartJson.remove(map, kind, id, instead)));
    }

    private static NotFoundException notThere(String list, String part) {
        return new NotFoundException(
                "Nothing in %s is called “%s”; it may have been taken out meanwhile.".formatted(list, part));
    }
}
