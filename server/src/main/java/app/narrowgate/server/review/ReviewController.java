package app.narrowgate.server.review;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.review.Finding;
import app.narrowgate.core.review.Mends;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapEditing;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.MapView;
import app.narrowgate.server.map.MapViews;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
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

/** What is done about holes in a map. */
@RestController
@Needs(Right.EDIT_MAPS)
@RequestMapping("/api/maps/{mapId}")
@Tag(name = "review")
class ReviewController {

    /** A finding and why it is none. */
    @Schema(name = "NewDismissal")
    record NewDismissal(@NotBlank @Size(max = 40) String kind, @NotBlank @Size(max = 64) String place,
            @Nullable @Size(max = 64) String response, @NotBlank @Size(max = 400) String reason) {
    }

    /** A finding and which of its mends to take. */
    @Schema(name = "MendRequest")
    record MendRequest(@Min(1) int revision, @NotBlank @Size(max = 40) String kind, @NotBlank @Size(max = 64) String place,
            @NotBlank @Size(max = 200) String mend) {
    }

    private final MapStore maps;
    private final MapEditing editing;
    private final Reviews reviews;
    private final Dismissals dismissals;
    private final MapViews views;

    ReviewController(MapStore maps, MapEditing editing, Reviews reviews, Dismissals dismissals, MapViews views) {
        this.maps = maps;
        this.editing = editing;
        this.reviews = reviews;
        this.dismissals = dismissals;
        this.views = views;
    }

    @PutMapping("/review/dismissals")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "dismissFinding", summary = "Say why a finding is none")
    void dismiss(@PathVariable UUID mapId, @Valid @RequestBody NewDismissal dismissal,
            @AuthenticationPrincipal SignedIn who) {
        maps.requireChangeable(mapId);
        Coded.require(Finding.Kind.class, "The kind", dismissal.kind());
        dismissals.dismiss(mapId, key(dismissal.kind(), dismissal.place(), dismissal.response()), dismissal.reason(), who);
    }

    @DeleteMapping("/review/dismissals")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "takeBackDismissal", summary = "Let a dismissed finding count again")
    void takeBack(@PathVariable UUID mapId, @RequestParam String kind, @RequestParam String place,
            @RequestParam(required = false) String response, @AuthenticationPrincipal SignedIn who) {
        maps.requireChangeable(mapId);
        dismissals.takeBack(mapId, key(kind, place, response), who);
    }

    private static Dismissals.Key key(String kind, String place, String response) {
        return new Dismissals.Key(kind, place, response == null ? "" : response);
    }

    @PostMapping("/review/mend")
    @Operation(operationId = "mend", summary = "Do what a finding offers to be done about it",
            description = "It is a change like any other and can be undone.")
    MapView mend(@PathVariable UUID mapId, @ParameterObject OddsQuestion question,
            @Valid @RequestBody MendRequest request, @AuthenticationPrincipal SignedIn who) {
        Finding.Kind kind = Coded.require(Finding.Kind.class, "The kind", request.kind());
        Id place = Id.of(request.place());
        StoredMap seen = maps.head(mapId);
        Finding finding = reviews.findings(seen, question.toSetting(seen.index()), Progress.NONE).stream()
                .filter(f -> f.kind() == kind && f.place().equals(place)).findFirst()
                .orElseThrow(() -> new NotFoundException("This finding is gone; somebody may have mended it meanwhile."));
        String title = Mends.of(seen.index(), finding).stream().filter(m -> m.id().equals(request.mend()))
                .map(Mends.Mend::title).findFirst().orElse(request.mend());
        return views.of(editing.edit(mapId, request.revision(), who, "Mended: %s".formatted(title),
                map -> Mends.apply(MapIndex.of(map), finding, request.mend())));
    }
}
