package app.narrowgate.server.record;

import app.narrowgate.core.map.Day;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Source;
import app.narrowgate.core.record.Beliefs;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.ToLog;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapEditing;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.MapView;
import app.narrowgate.server.map.MapViews;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Whether the map tells the truth, what explains it where it does not, and which rounds would tell more. */
@RestController
@Needs(Right.KEEP_RECORD)
@RequestMapping("/api/maps/{mapId}/record")
@Tag(name = "record")
class TruthController {

    /** A learned figure is put on the map as it is shown: in hundredths. */
    private static final double SHOWN = 100;

    /** The figure that is to be used. */
    @Schema(name = "UseLearned")
    record UseLearned(@NotNull @DecimalMin("0") @DecimalMax("1") @Schema(description = "As it was shown, in hundredths") Double chance) {
    }

    /** That the figure on the map is kept. */
    @Schema(name = "KeepWritten")
    record KeepWritten(@NotNull @Schema(description = "Made by whoever sends it, so that it counts once") UUID id) {
    }

    /** Rounds that would tell something. */
    @Schema(name = "ToLog")
    record ToLogView(@Schema(description = "The place whose odds would be surer") String place, @Schema(description = "Where rounds would begin") String from,
            @Schema(description = "How far its odds lie apart now, in [0,1]") double now, @Schema(description = "After as many more rounds") double then,
            @Schema(description = "How many more") int more, @Schema(description = "Rounds that began there") int rounds) {
    }

    private final MapStore maps;
    private final MapEditing editing;
    private final MapViews views;
    private final RecordStore store;
    private final RecordOdds odds;
    private final Clock clock;

    TruthController(MapStore maps, MapEditing editing, MapViews views, RecordStore store, RecordOdds odds, Clock clock) {
        this.maps = maps;
        this.editing = editing;
        this.views = views;
        this.store = store;
        this.odds = odds;
        this.clock = clock;
    }

    @GetMapping("/truth")
    @Operation(operationId = "truth", summary = "What the map says of rounds from each place, beside what came of them",
            description = "Of rounds that ended out, in a guard or better, or with a tap; by the house's first aim.")
    TruthView truth(@PathVariable UUID mapId) {
        StoredMap map = maps.head(mapId);
        Map<Id, TruthView.KeptView> kept = new HashMap<>();
        store.kept(mapId).forEach(one -> kept.put(Id.of(one.reaction()), new TruthView.KeptView(one.id(), one.at(), one.author())));
        return TruthView.of(map, odds.truth(map, odds.now(mapId, Optional.empty())), store.since(mapId).orElse(null), kept);
    }

    @PostMapping("/truth/{reaction}/use")
    @Needs(Right.EDIT_MAPS)
    @Operation(operationId = "useLearned", summary = "Put a learned figure on the map, with where it comes from")
    MapView use(@PathVariable UUID mapId, @PathVariable @Size(max = 64) String reaction, @Valid @RequestBody UseLearned use,
            @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Reaction before = reaction(map, reaction);
        Beliefs beliefs = odds.beliefs(map, odds.now(mapId, Optional.empty()));
        double learned = Math.round(SHOWN * beliefs.works(before)) / SHOWN;
        if (Math.round(SHOWN * use.chance()) != Math.round(SHOWN * learned)) {
            throw new ConflictException("More was logged meanwhile: by now it is %d of 100. Look at it again.".formatted(Math.round(SHOWN * learned)), Map.of());
        }
        Source source = new Source(learned, before.before(), round(beliefs.evidence().tries(before.id())), round(beliefs.evidence().noted(before.id())),
                Day.of(LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC)));
        return views.of(editing.edit(mapId, map.revision(), who, "Learned how often “%s” gets going".formatted(map.index().reactionTitle(before)),
                now -> now.with(before.learned(source))));
    }

    @PostMapping("/truth/{reaction}/keep")
    @Needs(Right.EDIT_MAPS)
    @Operation(operationId = "keepWritten", summary = "Keep what the map says of an answer, whatever was seen of it so far",
            description = "Taken back by an event that takes this one out.")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@PathVariable UUID mapId, @PathVariable @Size(max = 64) String reaction, @Valid @RequestBody KeepWritten keep,
            @AuthenticationPrincipal SignedIn who) {
        store.keep(mapId, List.of(new Event.Keep(keep.id(), Instant.now(clock), Id.of(reaction))), who.id());
    }

    @GetMapping("/next")
    @Operation(operationId = "toLog", summary = "Which rounds would tell most: by how much ten more would narrow the odds",
            description = "Of the places whose odds are least sure.")
    List<ToLogView> next(@PathVariable UUID mapId,
            @RequestParam(required = false) @Nullable @Size(max = 64) @Schema(description = "Of this place alone; of all where rounds begin if left out") String place,
            @RequestParam(defaultValue = "3") @Min(1) @Max(10) int most) {
        StoredMap map = maps.head(mapId);
        RecordOdds.Asked now = odds.now(mapId, Optional.empty());
        Map<Id, Integer> begun = odds.begun(mapId, Optional.empty());
        List<ToLog> found = place == null ? odds.toLog(map, now, most) : odds.toLog(map, now, situation(map, place)).map(List::of).orElse(List.of());
        return found.stream().limit(most).map(one -> new ToLogView(one.place().value(), one.from().value(), one.now(), one.then(), ToLog.ROUNDS,
                begun.getOrDefault(one.from(), 0))).toList();
    }

    private static Id situation(StoredMap map, String place) {
        return map.index().situation(Id.of(place)).orElseThrow(() -> new NotFoundException("The map has no place “%s”.".formatted(place))).id();
    }

    private static Reaction reaction(StoredMap map, String id) {
        return map.index().reaction(Id.of(id)).orElseThrow(() -> new NotFoundException("The map has no answer “%s”.".formatted(id)));
    }

    private static double round(double tries) {
        return Math.round(10 * tries) / 10.0;
    }
}
