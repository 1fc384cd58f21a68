package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.exchange.map.PartJson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.node.ObjectNode;

/** Any part of a map, as it stands in the open format: reading, adding, changing, taking out. */
@RestController
@RequestMapping("/api/maps/{mapId}/parts/{list}")
@Tag(name = "parts")
class PartController {

    /** A part as it is typed. */
    @Schema(name = "PartEdit")
    record PartEdit(@Min(1) int revision, @NotNull @Schema(implementation = Object.class) ObjectNode part) {
    }

    /** A new part; its id is made from {@code name}. */
    @Schema(name = "NewPart")
    record NewPart(@Min(1) int revision, @NotBlank @Size(max = 200) String name,
            @NotNull @Schema(implementation = Object.class) ObjectNode part) {
    }

    /** Something that refers to a part. */
    @Schema(name = "PartUse")
    record UseView(String list, String id, String field) {
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
    ObjectNode part(@PathVariable UUID mapId, @Parameter(example = "situations") @PathVariable String list,
            @PathVariable String part) {
        return PartJson.get(store.head(mapId).index().map(), list, Id.of(part)).orElseThrow(() -> notThere(list, part));
    }

    @GetMapping("/{part}/uses")
    @Operation(operationId = "partUses", summary = "What would hang if the part were taken out")
    List<UseView> uses(@PathVariable UUID mapId, @PathVariable String list, @PathVariable String part) {
        return PartJson.uses(store.head(mapId).index().map(), list, Id.of(part)).stream()
                .map(use -> new UseView(use.list(), use.id().value(), use.field())).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "addPart", summary = "Add a part")
    MapView add(@PathVariable UUID mapId, @PathVariable String list, @Valid @RequestBody NewPart edit,
            @AuthenticationPrincipal SignedIn who) {
        return views.of(editing.edit(mapId, edit.revision(), who, "Added “%s”".formatted(edit.name().strip()),
                map -> PartJson.put(map, list, freeId(map, list, edit.name()), edit.part())));
    }

    private static Id freeId(EscapeMap map, String list, String name) {
        List<Id> taken = PartJson.ids(map, list);
        if (list.equals("situations") || list.equals("outcomes")) {
            taken = new java.util.ArrayList<>(PartJson.ids(map, "situations"));
            taken.addAll(PartJson.ids(map, "outcomes"));
        }
        return EscapeMap.freeId(name, taken, id -> id);
    }

    @PutMapping("/{part}")
    @Operation(operationId = "putPart", summary = "Change a part")
    MapView put(@PathVariable UUID mapId, @PathVariable String list, @PathVariable String part,
            @Valid @RequestBody PartEdit edit, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(part);
        return views.of(editing.edit(mapId, edit.revision(), who, "Changed “%s”".formatted(title(mapId, list, id)), map -> {
            if (PartJson.get(map, list, id).isEmpty() && !list.equals("rules")) {
                throw notThere(list, part);
            }
            return PartJson.put(map, list, id, edit.part());
        }));
    }

    @DeleteMapping("/{part}")
    @Operation(operationId = "removePart", summary = "Take a part out",
            description = "With redirect, whatever referred to it refers to that instead; without, those references go: "
                    + "landings stay unanswered, and the reactions of a situation go with it.")
    MapView remove(@PathVariable UUID mapId, @PathVariable String list, @PathVariable String part,
            @RequestParam @Min(1) int revision, @RequestParam(required = false) String redirect,
            @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(part);
        Optional<Id> instead = Optional.ofNullable(redirect).filter(r -> !r.isBlank()).map(Id::of);
        return views.of(editing.edit(mapId, revision, who, "Took out “%s”".formatted(title(mapId, list, id)),
                map -> PartJson.remove(map, list, id, instead)));
    }

    private String title(UUID mapId, String list, Id id) {
        return PartJson.title(store.head(mapId).index(), list, id);
    }

    private static NotFoundException notThere(String list, String part) {
        return new NotFoundException(
                "Nothing in %s is called “%s”; it may have been taken out meanwhile.".formatted(list, part));
    }
}
