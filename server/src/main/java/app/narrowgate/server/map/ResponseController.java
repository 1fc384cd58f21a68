package app.narrowgate.server.map;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * What they do about a reaction: adding it quickly, taking it out, moving it. It is changed as a part of its reaction.
 */
@RestController
@Needs(Right.EDIT_MAPS)
@RequestMapping("/api/maps/{mapId}/reactions/{reaction}/responses")
@Tag(name = "responses")
class ResponseController {

    private final MapStore store;
    private final MapEditing editing;
    private final MapViews views;

    ResponseController(MapStore store, MapEditing editing, MapViews views) {
        this.store = store;
        this.editing = editing;
        this.views = views;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "addResponse", summary = "Add what they do about a reaction",
            description = "Without a landing it is kept as a question that nobody has answered yet.")
    MapView addResponse(@PathVariable UUID mapId, @PathVariable String reaction,
            @Valid @RequestBody ResponseEdit edit, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        return views.of(editing.edit(mapId, edit.revision(), who, "Added “%s”".formatted(edit.cue().strip()),
                (map, retired) -> MapEdits.addResponse(map, retired, id, edit)));
    }

    @DeleteMapping("/{response}")
    @Operation(operationId = "removeResponse", summary = "Take a response out")
    MapView removeResponse(@PathVariable UUID mapId, @PathVariable String reaction, @PathVariable String response,
            @RequestParam @Min(1) int revision, @AuthenticationPrincipal SignedIn who) {
        Id id = Id.of(reaction);
        Id responseId = Id.of(response);
        String cue = MapEdits.response(MapEdits.reaction(store.head(mapId).index().map(), id), responseId).cue();
        return views.of(editing.edit(mapId, revision, who, "Took out “%s”".formatted(cue),
                map -> MapEdits.removeResponse(map, id, responseId)));
    }

    @PutMapping("/{response}/reaction")
    @Operation(operationId = "moveResponse", summary = "Put a response under another reaction",
            description = "It keeps its words, likelihood and landing.")
    MapView moveResponse(@PathVariable UUID mapId, @PathVariable String reaction, @PathVariable String response,
            @Valid @RequestBody ResponseMove move, @AuthenticationPrincipal SignedIn who) {
        Id from = Id.of(reaction);
        Id id = Id.of(response);
        Id to = Id.of(move.reaction());
        String cue = MapEdits.response(MapEdits.reaction(store.head(mapId).index().map(), from), id).cue();
        return views.of(editing.edit(mapId, move.revision(), who,
                "Moved “%s” to “%s”".formatted(cue, reactionTitle(mapId, to)),
                (map, retired) -> MapEdits.moveResponse(map, retired, from, id, to)));
    }

    /**
     * Where a response goes.
     *
     * @param revision the map's revision that was on screen
     * @param reaction the reaction that it answers from now on
     */
    record ResponseMove(@Min(1) int revision, @NotBlank @Size(max = 64) String reaction) {
    }

    private String reactionTitle(UUID mapId, Id reaction) {
        MapIndex index = store.head(mapId).index();
        return index.reactionTitle(MapEdits.reaction(index.map(), reaction));
    }
}
