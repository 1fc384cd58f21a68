package app.narrowgate.server.map;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.GripGrade;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Maps: reading, importing, editing. */
@RestController
@Needs(Right.EDIT_MAPS)
@RequestMapping("/api/maps")
@Tag(name = "maps")
class MapController {

    /** A map in the list of maps. */
    record MapSummary(UUID id, String title, int revision, boolean archived,
            @Schema(description = "The map it began as a copy of") @Nullable UUID copiedFrom,
            @Schema(description = "True where students may read it as well") boolean shared) {
        static MapSummary of(MapRow row) {
            return new MapSummary(row.id(), row.title(), row.head(), row.archivedAt() != null, row.copiedFrom(), row.shared());
        }

        static MapSummary of(StoredMap stored, UUID copiedFrom) {
            return new MapSummary(stored.id(), stored.index().map().title(), stored.revision(), false, copiedFrom, false);
        }
    }

    /**
     * What the house takes for granted.
     *
     * @param matchup a saved matchup; the map's first one when missing
     * @param thinkBase seconds to react at all
     * @param thinkPerBit seconds for each doubling of the choices
     */
    @Schema(name = "HouseEdit")
    record HouseEdit(@Min(1) int revision, @Nullable @Size(max = 64) String matchup, double thinkBase, double thinkPerBit) {
    }

    /** A ladder of grips, the weakest first. */
    @Schema(name = "GripsEdit")
    record GripsEdit(@Min(1) int revision, @NotNull @Size(max = GripGrade.MOST) List<@Valid @NotNull GripEdit> grips) {
    }

    /** A grip with its grade. */
    @Schema(name = "GripEdit")
    record GripEdit(@NotBlank @Size(max = 90) String title, double grade) {
    }

    /** A map to begin. */
    @Schema(name = "NewMap")
    record NewMap(@NotBlank @Size(max = 90) String title,
            @Schema(allowableValues = {"reference", "empty", "copy"}) @NotBlank String source,
            @Schema(description = "The map to copy") @Nullable UUID from) {
    }

    /** What stands over a map. */
    @Schema(name = "MapHeadEdit")
    record MapHeadEdit(@Min(1) int revision, @NotBlank @Size(max = 90) String title,
            @NotNull @Size(max = 1000) String about) {
    }

    /** Several parts at once; the summary stands in the history. */
    @Schema(name = "PartsEdit")
    record PartsEdit(@Min(1) int revision, @NotBlank @Size(max = 200) String summary,
            @NotEmpty @Size(max = 200) List<@NotNull @Valid PartInput> parts) {
    }

    private final MapStore store;
    private final MapShelf shelf;
    private final MapEditing editing;
    private final MapViews views;

    MapController(MapStore store, MapShelf shelf, MapEditing editing, MapViews views) {
        this.store = store;
        this.shelf = shelf;
        this.editing = editing;
        this.views = views;
    }

    @Needs(Right.READ_SHARED_MAPS)
    @Keepable
    @GetMapping
    @Operation(operationId = "maps", summary = "All maps, oldest first")
    List<MapSummary> maps() {
        return shelf.all().stream().map(MapSummary::of).toList();
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "importMap", summary = "Store a map file as a new map")
    MapSummary importMap(@RequestBody String file, @AuthenticationPrincipal SignedIn who) {
        StoredMap stored = shelf.create(MapJson.read(file), who.id(), "Read from a file");
        return MapSummary.of(stored, null);
    }

    @PostMapping("/new")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "newMap", summary = "Begin a map from the reference map, from another map, or from empty")
    MapSummary newMap(@Valid @RequestBody NewMap request, @AuthenticationPrincipal SignedIn who) {
        return switch (request.source()) {
            case "reference" -> MapSummary.of(shelf.create(ReferenceMap.read().titled(request.title().strip()), who.id(),
                    "Began from the reference map"), null);
            case "empty" -> MapSummary.of(shelf.create(ReferenceMap.empty(request.title().strip()), who.id(),
                    "Began empty"), null);
            case "copy" -> {
                if (request.from() == null) {
                    throw new RefusedException("Say which map to copy.");
                }
                yield MapSummary.of(shelf.copy(request.from(), request.title().strip(), who), request.from());
            }
            default -> throw new RefusedException(
                    "A map begins from reference, empty or copy, not from “%s”.".formatted(request.source()));
        };
    }

    @PutMapping("/{mapId}")
    @Operation(operationId = "changeHead", summary = "Rename a map, or change the note about it")
    MapView changeHead(@PathVariable UUID mapId, @Valid @RequestBody MapHeadEdit edit,
            @AuthenticationPrincipal SignedIn who) {
        return views.of(editing.edit(mapId, edit.revision(), who, "Named the map “%s”".formatted(edit.title().strip()),
                map -> map.titled(edit.title().strip()).about(edit.about().strip())));
    }

    @PutMapping("/{mapId}/house")
    @Operation(operationId = "changeHouse", summary = "Say which matchup and thinking time hold where nobody names others")
    MapView changeHouse(@PathVariable UUID mapId, @Valid @RequestBody HouseEdit edit,
            @AuthenticationPrincipal SignedIn who) {
        Optional<Id> matchup = Optional.ofNullable(edit.matchup()).filter(m -> !m.isBlank()).map(Id::of);
        ThinkingTime thinking = new ThinkingTime(edit.thinkBase(), edit.thinkPerBit());
        return views.of(editing.edit(mapId, edit.revision(), who, "Changed what the house takes for granted",
                map -> map.of(map.house().with(matchup).with(thinking))));
    }

    @PutMapping("/{mapId}/house/grips")
    @Operation(operationId = "changeGrips", summary = "Say how the house grades its grips")
    MapView changeGrips(@PathVariable UUID mapId, @Valid @RequestBody GripsEdit edit, @AuthenticationPrincipal SignedIn who) {
        List<GripGrade> grips = edit.grips().stream().map(grip -> new GripGrade(grip.title(), grip.grade())).toList();
        return views.of(editing.edit(mapId, edit.revision(), who, "Graded the grips", map -> map.of(map.house().with(grips))));
    }

    @PutMapping("/{mapId}/archived")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "archive", summary = "Put a map away, or take it out again")
    void archive(@PathVariable UUID mapId, @RequestParam boolean away) {
        shelf.archive(mapId, away);
    }

    @Needs(Right.SHARE)
    @PutMapping("/{mapId}/shared")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "shareMap", summary = "Let students read a map as well, or no longer")
    void share(@PathVariable UUID mapId, @RequestParam boolean shared, @AuthenticationPrincipal SignedIn who) {
        shelf.share(mapId, shared, who.id());
    }

    @PutMapping("/{mapId}/principles/{principle}/house")
    @Operation(operationId = "takeStance", summary = "Take a stance for the house, or go by the condition")
    MapView takeStance(@PathVariable UUID mapId, @PathVariable String principle, @RequestParam @Min(1) int revision,
            @RequestParam(required = false) String stance, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(principle);
        Optional<Id> taken = Optional.ofNullable(stance).filter(s -> !s.isBlank()).map(Id::of);
        return views.of(editing.edit(mapId, revision, who, "Took a stance on “%s”".formatted(
                MapEdits.principle(store.head(mapId).index().map(), id).title()),
                map -> map.with(MapEdits.principle(map, id).withHouse(taken))));
    }

    @Needs(Right.READ_SHARED_MAPS)
    @Keepable
    @GetMapping("/{mapId}")
    @Operation(operationId = "map", summary = "A map with everything in it")
    MapView map(@PathVariable UUID mapId, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = store.head(mapId);
        return who.may(Right.READ_MAPS) ? views.of(map) : views.toRead(map);
    }

    @Needs(Right.READ_SHARED_MAPS)
    @Keepable
    @GetMapping("/{mapId}/carried")
    @Operation(operationId = "carriedMap", summary = "A map as a browser needs it to solve it by itself")
    CarriedMapView carried(@PathVariable UUID mapId) {
        return views.carried(store.head(mapId));
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/{mapId}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "mapFile", summary = "A map as a file in the open format")
    ResponseEntity<String> file(@PathVariable UUID mapId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"map.json\"")
                .body(MapJson.writeText(store.head(mapId).index().map()));
    }

    @PostMapping("/{mapId}/parts")
    @Operation(operationId = "putParts", summary = "Add or change several parts in one step",
            description = "They may refer to each other. Faults of the last part are placed within it.")
    MapView putParts(@PathVariable UUID mapId, @Valid @RequestBody PartsEdit edit, @AuthenticationPrincipal SignedIn who) {
        String summary = edit.summary().strip();
        return views.of(editing.put(mapId, edit.revision(), who, summary,
                edit.parts().stream().map(PartInput::toPut).toList()));
    }
}
