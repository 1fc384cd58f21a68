package app.narrowgate.server.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.record.Doubt;
import app.narrowgate.core.record.DoubtfulOdds;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.mat.Tonight;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.person.People;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
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

/** The record of a map: what is logged at the mat's edge, and the odds by it. */
@RestController
@Needs(Right.KEEP_RECORD)
@RequestMapping("/api/maps/{mapId}/record")
@Tag(name = "record")
class RecordController {

    private static final int MOST_AT_ONCE = 200;

    /** Events to keep. */
    @Schema(name = "NewEvents")
    record NewEvents(@NotEmpty @Size(max = MOST_AT_ONCE) List<@NotNull @Valid EventView> events) {
    }

    /** What a place is believed to be worth. */
    @Schema(name = "Learned")
    record LearnedView(String place, @Schema(description = "By what stands on the map, in [0,1]") double written,
            @Schema(description = "By what was seen since, in [0,1]") double likely, @Schema(description = "Not less, nineteen times in twenty") double low,
            @Schema(description = "Not more, nineteen times in twenty") double high,
            @Schema(description = "True where that says too little") boolean tooLittle, @Schema(description = "Rounds that began there") int rounds) {
    }

    /** The odds by the record. */
    @Schema(name = "LearnedOdds")
    record LearnedOddsView(@Schema(description = "Rounds that stand in the record") int rounds, LearnedStarts starts, List<LearnedView> places) {
    }

    /** The starts, weighted by how often rounds begin in them. */
    @Schema(name = "LearnedStarts")
    record LearnedStarts(double written, double likely, double low, double high, boolean tooLittle) {
    }

    /** Something of the record that can be taken out, in the map's words. */
    @Schema(name = "LoggedEvent")
    record LoggedView(UUID id, @Schema(allowableValues = {"round", "repetitions", "gate"}) String kind, Instant at,
            @Nullable @Schema(description = "Who was below, repeated something or is decided on; missing once they are forgotten") UUID person,
            @Nullable UUID partner, @Nullable @Schema(description = "Where a round began, or the gate") String place, @Nullable String side,
            @Nullable @Schema(allowableValues = {"reversal", "counter", "standing", "guard", "half", "neutral", "turtle", "tap", "held"}) String ending,
            @Nullable Integer seconds, @Nullable @Schema(description = "The answer of a round, in the map's words") String reactionTitle, boolean nothing,
            @Nullable @Schema(description = "What was repeated, in the map's words") String techniqueTitle,
            @Nullable @Schema(allowableValues = {"first", "second"}) String role, @Nullable Integer many, @Nullable Integer clean,
            @Nullable @Schema(description = "What a coach decided") Boolean shown) {

        static LoggedView of(StoredMap map, EventRow row) {
            return new LoggedView(row.id(), row.kind(), row.at(), row.person(), row.partner(), row.situation(), row.side(), row.ending(), row.seconds(),
                    Optional.ofNullable(row.reaction()).map(Id::of).flatMap(map.index()::reaction).map(map.index()::reactionTitle).orElse(null), row.nothing(),
                    Optional.ofNullable(row.technique()).map(id -> map.index().technique(Id.of(id)).map(Technique::title).orElse(id)).orElse(null), row.role(),
                    row.many(), row.clean(), row.shown());
        }
    }

    /** What a log begins with: where today's rounds start, and who is with whom. */
    @Schema(name = "RecordTonight")
    record TonightView(@Nullable @Schema(description = "Today's class; missing where there is none") UUID lesson, @Nullable String title,
            @Schema(description = "Places in which rounds begin: today's first, then those that begin most rounds") List<String> starts,
            @Schema(description = "How many of them are today's") int tonight, List<PairView> pairs) {
    }

    /** Two people, and who of them is below. */
    @Schema(name = "RecordPair")
    record PairView(UUID bottom, UUID top) {
    }

    private final MapStore maps;
    private final RecordStore store;
    private final RecordOdds odds;
    private final SolvedMaps solved;
    private final Tonight tonight;
    private final People people;

    RecordController(MapStore maps, RecordStore store, RecordOdds odds, SolvedMaps solved, Tonight tonight, People people) {
        this.maps = maps;
        this.store = store;
        this.odds = odds;
        this.solved = solved;
        this.tonight = tonight;
        this.people = people;
    }

    @Keepable
    @GetMapping("/tonight")
    @Operation(operationId = "recordTonight", summary = "What a log begins with: where today's rounds start, and who is with whom")
    TonightView tonight(@PathVariable UUID mapId, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Optional<Tonight.Rounds> rounds = tonight.on(map, who);
        Set<String> starts = new LinkedHashSet<>();
        List<PairView> pairs = new ArrayList<>();
        rounds.ifPresent(one -> {
            one.now().map(one.parts()::get).ifPresent(part -> starts.add(part.place().value()));
            one.parts().stream().sorted(Comparator.comparing(part -> !part.live())).forEach(part -> starts.add(part.place().value()));
            one.now().map(one.parts()::get).filter(part -> !part.pairs().isEmpty())
                    .or(() -> one.parts().stream().filter(part -> part.live() && !part.pairs().isEmpty()).findFirst())
                    .or(() -> one.parts().stream().filter(part -> !part.pairs().isEmpty()).findFirst())
                    .ifPresent(part -> part.pairs().forEach(pair -> pairs.add(new PairView(pair.bottom(), pair.top()))));
        });
        int today = starts.size();
        map.index().map().situations().stream().filter(one -> one.entry() > 0 && one.rest().filter(kind -> kind == PlaceKind.GUARD).isEmpty())
                .sorted(Comparator.comparingDouble(Situation::entry).reversed()).forEach(one -> starts.add(one.id().value()));
        return new TonightView(rounds.map(Tonight.Rounds::lesson).orElse(null), rounds.map(Tonight.Rounds::title).orElse(null), List.copyOf(starts), today,
                pairs);
    }

    @PostMapping("/events")
    @Operation(operationId = "keepEvents", summary = "Keep what happened on the mat; sent twice it is kept once",
            description = "All of it, or none.")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(@PathVariable UUID mapId, @Valid @RequestBody NewEvents added, @AuthenticationPrincipal SignedIn who) {
        List<Event> events = added.events().stream().map(EventView::event).toList();
        store.requireMayTakeOut(mapId, events, who);
        store.keep(mapId, events, who.id());
    }

    @GetMapping("/places/{place}")
    @Operation(operationId = "learnedPlace", summary = "The odds of one place by the record, as rounds are logged: an even pair, the house's aim")
    LearnedView learnedPlace(@PathVariable UUID mapId, @PathVariable @Size(max = 64) String place) {
        StoredMap map = maps.head(mapId);
        Id id = Id.of(place);
        if (map.index().situation(id).isEmpty()) {
            throw new NotFoundException("The map has no place “%s” in which a round could begin.".formatted(place));
        }
        return learned(map, RecordOdds.ofRounds(map.index()), Optional.empty(), List.of(id)).get(0);
    }

    @GetMapping("/events")
    @Operation(operationId = "loggedEvents", summary = "Rounds, repetitions and decisions on gates that stand, the newest first")
    List<LoggedView> logged(@PathVariable UUID mapId, @RequestParam(defaultValue = "50") @Min(1) @Max(500) int most,
            @RequestParam(required = false) @Nullable @Schema(description = "Only those from then on") Instant since) {
        StoredMap map = maps.head(mapId);
        return store.logged(mapId, Optional.ofNullable(since).orElse(Instant.EPOCH), most).stream().map(row -> LoggedView.of(map, row)).toList();
    }

    @GetMapping("/odds")
    @Operation(operationId = "learnedOdds", summary = "The odds of every place by the record, and how sure they are",
            description = "What is believed before anything was logged is what stands on the map.")
    LearnedOddsView learnedOdds(@PathVariable UUID mapId, @ParameterObject OddsQuestion question,
            @RequestParam(required = false) @Nullable UUID person) {
        Optional<UUID> whose = Optional.ofNullable(person);
        whose.ifPresent(id -> people.require(id));
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        DoubtfulOdds learned = odds.odds(map, setting, odds.now(mapId, whose));
        Doubt starts = learned.atTheStarts();
        return new LearnedOddsView(odds.begun(mapId, whose).values().stream().mapToInt(Integer::intValue).sum(),
                new LearnedStarts(solved.solved(map, setting).startWorth(), starts.likely(), starts.low(), starts.high(), starts.saysTooLittle()),
                learned(map, setting, whose, map.index().map().situations().stream().map(Situation::id).toList()));
    }

    private List<LearnedView> learned(StoredMap map, Setting setting, Optional<UUID> person, List<Id> places) {
        DoubtfulOdds learned = odds.odds(map, setting, odds.now(map.id(), person));
        Map<Id, Integer> begun = odds.begun(map.id(), person);
        return places.stream().map(place -> {
            Doubt doubt = learned.at(place);
            return new LearnedView(place.value(), solved.solved(map, setting).worth(place), doubt.likely(), doubt.low(), doubt.high(), doubt.saysTooLittle(),
                    begun.getOrDefault(place, 0));
        }).toList();
    }
}
