package app.narrowgate.server.history;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapEditing;
import app.narrowgate.server.map.MapHistory;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.MapView;
import app.narrowgate.server.map.MapViews;
import app.narrowgate.server.map.PartChangeView;
import app.narrowgate.server.revision.NamedVersion;
import app.narrowgate.server.revision.NamedVersions;
import app.narrowgate.server.revision.RevisionView;
import app.narrowgate.server.revision.Revisions;
import app.narrowgate.server.revision.Trace;
import app.narrowgate.server.revision.Traces;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A map's history: who changed what, undoing, redoing, going back, what differs, named versions. */
@RestController
@Needs(Right.READ_MAPS)
@RequestMapping("/api/maps/{mapId}")
@Tag(name = "history")
class HistoryController {

    @Schema(name = "NewVersion")
    record NewVersion(@Min(1) int revision, @NotBlank @Size(max = 90) String name) {
    }

    @Schema(name = "Version")
    record VersionView(UUID id, int revision, String name, String author, Instant at) {
        static VersionView of(NamedVersion row) {
            return new VersionView(row.id(), row.revision(), row.name(), row.authorName(), row.at());
        }
    }

    @Schema(name = "Trace")
    record TraceView(UUID id, String words, String author, Instant at) {
        static TraceView of(Trace trace) {
            return new TraceView(trace.id(), trace.words(), trace.authorName(), trace.at());
        }
    }

    private final MapStore store;
    private final Revisions revisions;
    private final NamedVersions versions;
    private final Traces traces;
    private final MapHistory history;
    private final MapEditing editing;
    private final MapViews views;

    HistoryController(MapStore store, Revisions revisions, NamedVersions versions, Traces traces,
            MapHistory history, MapEditing editing, MapViews views) {
        this.store = store;
        this.revisions = revisions;
        this.versions = versions;
        this.traces = traces;
        this.history = history;
        this.editing = editing;
        this.views = views;
    }

    @GetMapping("/history")
    @Operation(operationId = "mapHistory", summary = "Who changed what, newest first")
    List<RevisionView> history(@PathVariable UUID mapId,
            @RequestParam(defaultValue = "50") @Min(1) @Max(500) int most) {
        store.require(mapId);
        return revisions.since(mapId, 0, most).stream().map(RevisionView::of).toList();
    }

    @GetMapping("/traces")
    @Operation(operationId = "traces", summary = "What was dropped or overwritten beside the map, newest first")
    List<TraceView> traces(@PathVariable UUID mapId, @RequestParam(defaultValue = "50") @Min(1) @Max(500) int most) {
        store.require(mapId);
        return traces.newest(mapId, most).stream().map(TraceView::of).toList();
    }

    @GetMapping("/difference")
    @Operation(operationId = "difference", summary = "What differs between two revisions, field by field")
    List<PartChangeView> difference(@PathVariable UUID mapId, @RequestParam @Min(1) int from,
            @RequestParam @Min(1) int to) {
        return PartChangeView.between(store.at(mapId, from), store.at(mapId, to));
    }

    @GetMapping("/difference-from/{other}")
    @Operation(operationId = "differenceFrom", summary = "What differs in this map from another one, field by field")
    List<PartChangeView> differenceFrom(@PathVariable UUID mapId, @PathVariable UUID other) {
        return PartChangeView.between(store.head(other), store.head(mapId));
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/undo")
    @Operation(operationId = "undo", summary = "Take the last change back")
    MapView undo(@PathVariable UUID mapId, @RequestParam @Min(1) int revision,
            @AuthenticationPrincipal SignedIn who) {
        return views.of(history.undo(mapId, revision, who));
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/redo")
    @Operation(operationId = "redo", summary = "Bring back what was taken back last")
    MapView redo(@PathVariable UUID mapId, @RequestParam @Min(1) int revision,
            @AuthenticationPrincipal SignedIn who) {
        return views.of(history.redo(mapId, revision, who));
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/take-back")
    @Operation(operationId = "takeBack", summary = "Take one change back, whatever has come after it",
            description = "The rest stays; it is a change of its own, which can be undone. Refused with what stands in the way "
                    + "where the same things have been changed again since.")
    MapView takeBack(@PathVariable UUID mapId, @RequestParam @Min(1) int change, @AuthenticationPrincipal SignedIn who) {
        return views.of(editing.takeBack(mapId, change, who));
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/restore")
    @Operation(operationId = "restore", summary = "Go back to a revision",
            description = "It becomes the newest one; nothing between is lost, and it can be undone.")
    MapView restore(@PathVariable UUID mapId, @RequestParam @Min(1) int revision, @RequestParam @Min(1) int to,
            @AuthenticationPrincipal SignedIn who) {
        return views.of(history.restore(mapId, revision, who, to));
    }

    @GetMapping("/versions")
    @Operation(operationId = "versions", summary = "Revisions that were given a name, newest first")
    List<VersionView> versions(@PathVariable UUID mapId) {
        store.require(mapId);
        return versions.of(mapId).stream().map(VersionView::of).toList();
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/versions")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "nameVersion", summary = "Give a revision a name")
    VersionView name(@PathVariable UUID mapId, @Valid @RequestBody NewVersion version,
            @AuthenticationPrincipal SignedIn who) {
        store.requireChangeable(mapId);
        store.requireRevision(mapId, version.revision());
        return VersionView.of(versions.name(mapId, version.revision(), version.name(), who));
    }

    @Needs(Right.EDIT_MAPS)
    @DeleteMapping("/versions/{version}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "unnameVersion", summary = "Take a version's name away; the revision stays")
    void unname(@PathVariable UUID mapId, @PathVariable UUID version, @AuthenticationPrincipal SignedIn who) {
        store.requireChangeable(mapId);
        versions.unname(mapId, version, who);
    }
}
