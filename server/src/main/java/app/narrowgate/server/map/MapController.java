package app.narrowgate.server.map;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.account.SignedIn;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

/** Maps: reading, importing, editing, undoing. */
@RestController
@RequestMapping("/api/maps")
@Tag(name = "maps")
class MapController {

    /** A map in the list of maps. */
    record MapSummary(UUID id, String title, int revision) {
    }

    private final MapStore store;

    MapController(MapStore store) {
        this.store = store;
    }

    @GetMapping
    @Operation(operationId = "maps", summary = "All maps, oldest first")
    List<MapSummary> maps() {
        return store.all().stream().map(row -> new MapSummary(row.id(), row.title(), row.head())).toList();
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "importMap", summary = "Store a map file as a new map")
    MapSummary importMap(@RequestBody String file, @AuthenticationPrincipal SignedIn who) {
        StoredMap stored = store.create(MapJson.read(file), who.id(), "Read from a file");
        return new MapSummary(stored.id(), stored.index().map().title(), stored.revision());
    }

    @GetMapping("/{mapId}")
    @Operation(operationId = "map", summary = "A map with everything in it")
    MapView map(@PathVariable UUID mapId) {
        return view(store.head(mapId));
    }

    @GetMapping(path = "/{mapId}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "mapFile", summary = "A map as a file in the open format")
    ResponseEntity<String> file(@PathVariable UUID mapId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"map.json\"")
                .body(MapJson.writeText(store.head(mapId).index().map()));
    }

    @GetMapping("/{mapId}/history")
    @Operation(operationId = "mapHistory", summary = "Who changed what, newest first")
    List<RevisionView> history(@PathVariable UUID mapId,
            @RequestParam(defaultValue = "50") @Min(1) @Max(500) int most) {
        return store.history(mapId, most).stream().map(RevisionView::of).toList();
    }

    @PostMapping("/{mapId}/undo")
    @Operation(operationId = "undo", summary = "Take the last change back")
    MapView undo(@PathVariable UUID mapId, @RequestParam @Min(1) int revision,
            @AuthenticationPrincipal SignedIn who) {
        return view(store.undo(mapId, revision, who));
    }

    @PostMapping("/{mapId}/redo")
    @Operation(operationId = "redo", summary = "Bring back what was taken back last")
    MapView redo(@PathVariable UUID mapId, @RequestParam @Min(1) int revision,
            @AuthenticationPrincipal SignedIn who) {
        return view(store.redo(mapId, revision, who));
    }

    @PostMapping("/{mapId}/situations/{situation}/reactions")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "addReaction", summary = "Teach a reaction in a situation")
    MapView addReaction(@PathVariable UUID mapId, @PathVariable String situation,
            @Valid @RequestBody ReactionEdit edit, @AuthenticationPrincipal SignedIn who) {
        Id from = Id.of(situation);
        return view(store.edit(mapId, edit.revision(), who, "Added a reaction in " + title(mapId, from),
                map -> MapEdits.addReaction(map, from, edit)));
    }

    @PutMapping("/{mapId}/reactions/{reaction}")
    @Operation(operationId = "changeReaction", summary = "Change a reaction, keeping its responses")
    MapView changeReaction(@PathVariable UUID mapId, @PathVariable String reaction,
            @Valid @RequestBody ReactionEdit edit, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        return view(store.edit(mapId, edit.revision(), who, "Changed “%s”".formatted(reactionTitle(mapId, id)),
                map -> MapEdits.changeReaction(map, id, edit)));
    }

    @DeleteMapping("/{mapId}/reactions/{reaction}")
    @Operation(operationId = "removeReaction", summary = "Take a reaction and its responses out")
    MapView removeReaction(@PathVariable UUID mapId, @PathVariable String reaction,
            @RequestParam @Min(1) int revision, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        return view(store.edit(mapId, revision, who, "Took out “%s”".formatted(reactionTitle(mapId, id)),
                map -> MapEdits.removeReaction(map, id)));
    }

    @PostMapping("/{mapId}/reactions/{reaction}/responses")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "addResponse", summary = "Add what they do about a reaction",
            description = "Without a landing it is kept as a question that nobody has answered yet.")
    MapView addResponse(@PathVariable UUID mapId, @PathVariable String reaction,
            @Valid @RequestBody ResponseEdit edit, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        return view(store.edit(mapId, edit.revision(), who, "Added “%s”".formatted(edit.cue().strip()),
                map -> MapEdits.addResponse(map, id, edit)));
    }

    @PutMapping("/{mapId}/reactions/{reaction}/responses/{response}")
    @Operation(operationId = "changeResponse", summary = "Change a response")
    MapView changeResponse(@PathVariable UUID mapId, @PathVariable String reaction, @PathVariable String response,
            @Valid @RequestBody ResponseEdit edit, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        Id responseId = Id.of(response);
        return view(store.edit(mapId, edit.revision(), who, "Changed “%s”".formatted(edit.cue().strip()),
                map -> MapEdits.changeResponse(map, id, responseId, edit)));
    }

    @DeleteMapping("/{mapId}/reactions/{reaction}/responses/{response}")
    @Operation(operationId = "removeResponse", summary = "Take a response out")
    MapView removeResponse(@PathVariable UUID mapId, @PathVariable String reaction, @PathVariable String response,
            @RequestParam @Min(1) int revision, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        Id responseId = Id.of(response);
        String cue = MapEdits.response(MapEdits.reaction(store.head(mapId).index().map(), id), responseId).cue();
        return view(store.edit(mapId, revision, who, "Took out “%s”".formatted(cue),
                map -> MapEdits.removeResponse(map, id, responseId)));
    }

    @PutMapping("/{mapId}/rules/{rule}")
    @Operation(operationId = "changeRule", summary = "Change how a matchup shifts a rate",
            description = "A map that used the usual table gets a table of its own, with this rule changed.")
    MapView changeRule(@PathVariable UUID mapId, @PathVariable String rule, @Valid @RequestBody RuleEdit edit,
            @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(rule);
        return view(store.edit(mapId, edit.revision(), who, "Changed the rule “%s”".formatted(id),
                map -> MapEdits.changeRule(map, id, edit)));
    }

    @PutMapping("/{mapId}/matchups/{matchup}")
    @Operation(operationId = "putMatchup", summary = "Save a matchup, new or changed")
    MapView putMatchup(@PathVariable UUID mapId, @PathVariable String matchup, @Valid @RequestBody MatchupEdit edit,
            @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(matchup);
        return view(store.edit(mapId, edit.revision(), who, "Saved the matchup “%s”".formatted(edit.title().strip()),
                map -> map.with(edit.toMatchup(id))));
    }

    private String title(UUID mapId, Id situation) {
        MapIndex index = store.head(mapId).index();
        return index.situation(situation).map(s -> "“" + s.title() + "”").orElse(situation.value());
    }

    private String reactionTitle(UUID mapId, Id reaction) {
        MapIndex index = store.head(mapId).index();
        return index.reactionTitle(MapEdits.reaction(index.map(), reaction));
    }

    private MapView view(StoredMap stored) {
        return MapView.of(stored, store.undoable(stored.id()).orElse(null), store.redoable(stored.id()).orElse(null));
    }
}
