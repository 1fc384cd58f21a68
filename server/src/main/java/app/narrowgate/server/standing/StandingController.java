package app.narrowgate.server.standing;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.due.Due;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.movingup.GateList;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import app.narrowgate.server.problem.NotFoundException;
import app.narrowgate.server.record.RecordStore;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
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

/** Where everybody stands: what is due, the gates for moving up, the ledger. */
@RestController
@Needs(Right.KEEP_RECORD)
@RequestMapping("/api/maps/{mapId}/standing")
@Tag(name = "record")
class StandingController {

    /** Everybody in one line each. */
    @Schema(name = "Standings")
    record StandingsView(@Schema(description = "Repetitions of one technique that the gym asks for in a year") int goal,
            @Schema(description = "True where the gym has said so itself") boolean ownGoal, List<LineView> people,
            @Schema(description = "What is due for those who trained lately, what costs most first") List<ClassDueView> due) {
    }

    /** One person in one line. */
    @Schema(name = "StandingLine")
    record LineView(UUID person, String name, @Nullable @Schema(allowableValues = {"novice", "intermediate", "advanced"}) String level,
            @Nullable @Schema(description = "The last day on which they trained") LocalDate last, int rounds, int out,
            @Schema(description = "How many answers are due") int due,
            @Nullable @Schema(description = "The one whose forgetting costs most") StandingView.DueView first,
            @Schema(description = "Gates for moving up that a coach said were shown") int shown, @Schema(description = "Gates that are asked for") int gates,
            @Schema(description = "Not shown yet, though what was seen is enough") int ready,
            @Schema(description = "Repetitions of the last 28 days") double lately,
            @Nullable @Schema(allowableValues = {"left", "right"}, description = "The weaker side, where that is nine to one at least") String weaker) {
    }

    /** What is due in a class. */
    @Schema(name = "DueInClass")
    record ClassDueView(String reaction, String title, String place, String placeTitle, @Schema(description = "For whom it is due") List<UUID> who,
            @Schema(description = "Worth in [0,1] of the starts that its forgetting costs those who are here, on average") double cost) {
    }

    /** The gates from one level on. */
    @Schema(name = "GateList")
    record GateListView(@Schema(allowableValues = {"novice", "intermediate"}) String from, @Schema(allowableValues = {"intermediate", "advanced"}) String to,
            List<PlaceView> places, @Schema(description = "What the map would ask, what brings most first") List<PlaceView> suggested) {
    }

    /** A place in which an answer is shown. */
    @Schema(name = "GatePlace")
    record PlaceView(String id, String title) {
    }

    /** Other gates. */
    @Schema(name = "AskedGates")
    record AskedGates(@NotNull @Size(max = GateList.MOST) List<@NotBlank @Size(max = 64) String> places) {
    }

    /** Another goal. */
    @Schema(name = "AskedRepetitions")
    record AskedRepetitions(@NotNull @Min(0) @Max(100_000) Integer many) {
    }

    /** What a coach decides; the id is made by whoever sends it, so that sent twice it counts once. */
    @Schema(name = "DecideGate")
    record DecideGate(@NotNull UUID id, @NotBlank @Size(max = 64) String place, @NotBlank @Schema(allowableValues = {"left", "right"}) String side,
            @NotNull Boolean shown, @NotNull @Size(max = 400) @Schema(description = "Why; may be empty where it was shown") String reason) {
    }

    private final MapStore maps;
    private final Standings standings;
    private final GymAsks asks;
    private final RecordStore record;
    private final People people;
    private final Clock clock;

    StandingController(MapStore maps, Standings standings, GymAsks asks, RecordStore record, People people, Clock clock) {
        this.maps = maps;
        this.standings = standings;
        this.asks = asks;
        this.record = record;
        this.people = people;
        this.clock = clock;
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    @GetMapping
    @Operation(operationId = "standings", summary = "Everybody in one line each, and what is due for those who trained lately")
    StandingsView all(@PathVariable UUID mapId) {
        StoredMap map = maps.head(mapId);
        List<Standing> all = standings.everybody(map, today());
        Map<UUID, List<Due>> lately = new LinkedHashMap<>();
        all.stream().filter(one -> one.isTraining(today())).forEach(one -> lately.put(one.person().id(), one.due()));
        return new StandingsView(asks.goal(mapId), asks.hasGoal(mapId), all.stream().map(one -> line(map, one)).toList(), due(map, Due.inClass(lately)));
    }

    private static LineView line(StoredMap map, Standing one) {
        List<Due> due = one.due().stream().filter(Due::isDue).toList();
        return new LineView(one.person().id(), one.person().person().name(), StandingView.level(one), one.last().orElse(null), one.rounds(), one.out(),
                due.size(),
                due.stream().findFirst().map(first -> StandingView.DueView.of(map.index(), first)).orElse(null), one.shown(), one.gates().size(), one.ready(),
                one.ledger().stream().mapToDouble(line -> line.lately().all()).sum(), one.live().weaker().map(Coded::code).orElse(null));
    }

    private static List<ClassDueView> due(StoredMap map, List<Due.InClass> due) {
        return due.stream().map(one -> {
            Id place = map.index().reaction(one.reaction()).orElseThrow().from();
            return new ClassDueView(one.reaction().value(), map.index().reactionTitle(map.index().reaction(one.reaction()).orElseThrow()), place.value(),
                    map.index().placeTitle(place), one.who(), one.cost());
        }).toList();
    }

    @GetMapping("/due")
    @Operation(operationId = "dueInClass", summary = "What is due for some who are in a class, what costs most first")
    List<ClassDueView> due(@PathVariable UUID mapId, @RequestParam @Size(max = 200) List<UUID> here) {
        StoredMap map = maps.head(mapId);
        return due(map, standings.due(map, here, today()));
    }

    @GetMapping("/people/{person}")
    @Operation(operationId = "standing", summary = "Where somebody stands")
    StandingView one(@PathVariable UUID mapId, @PathVariable UUID person) {
        StoredMap map = maps.head(mapId);
        return StandingView.of(map.index(), standings.of(map, person, today()), asks.goal(mapId));
    }

    @Needs(Right.SEE_ONESELF)
    @GetMapping("/mine")
    @Operation(operationId = "myStanding", summary = "Where one stands oneself")
    StandingView mine(@PathVariable UUID mapId, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        UUID person = people.of(who.id())
                .orElseThrow(() -> new NotFoundException("Nobody has said yet who you are on the roster; ask your instructor to do so."));
        return StandingView.of(map.index(), standings.of(map, person, today()), asks.goal(mapId));
    }

    @GetMapping("/gates/{level}")
    @Operation(operationId = "gateList", summary = "The gates for moving up from a level, and what the map would ask")
    GateListView gates(@PathVariable UUID mapId, @PathVariable @Schema(allowableValues = {"novice", "intermediate"}) String level) {
        StoredMap map = maps.head(mapId);
        Level from = from(level);
        return new GateListView(from.code(), GateList.to(from).orElseThrow().code(), places(map, asks.gates(map, from)),
                places(map, standings.suggested(map, from).places()));
    }

    private static Level from(String level) {
        return new GateList(Coded.require(Level.class, "The level", level), List.of()).from();
    }

    private static List<PlaceView> places(StoredMap map, List<Id> places) {
        return places.stream().map(id -> new PlaceView(id.value(), map.index().placeTitle(id))).toList();
    }

    @Needs(Right.PLAN_CLASSES)
    @PutMapping("/gates/{level}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "askGates", summary = "Ask for other gates for moving up from a level")
    void ask(@PathVariable UUID mapId, @PathVariable @Schema(allowableValues = {"novice", "intermediate"}) String level, @Valid @RequestBody AskedGates asked,
            @AuthenticationPrincipal SignedIn who) {
        asks.ask(maps.head(mapId), new GateList(from(level), asked.places().stream().map(Id::of).toList()), who);
    }

    @Needs(Right.PLAN_CLASSES)
    @PutMapping("/goal")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "askRepetitions", summary = "Ask for so many repetitions of each technique in a year")
    void ask(@PathVariable UUID mapId, @Valid @RequestBody AskedRepetitions asked) {
        maps.head(mapId);
        asks.ask(mapId, asked.many());
    }

    @Needs(Right.PLAN_CLASSES)
    @PostMapping("/people/{person}/gates")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "decideGate", summary = "Decide that a gate was shown, or not yet; sent twice it counts once")
    void decide(@PathVariable UUID mapId, @PathVariable UUID person, @Valid @RequestBody DecideGate decided, @AuthenticationPrincipal SignedIn who) {
        maps.head(mapId);
        people.require(person);
        Level from = people.levels(List.of(person)).values().stream().findFirst()
                .orElseThrow(() -> new RefusedException("Their level does not stand on the roster; write it down first."));
        record.keep(mapId, List.of(new Event.GateDecision(decided.id(), clock.instant(), person, new GateList(from, List.of()).from(), Id.of(decided.place()),
                Coded.require(Side.class, "A side", decided.side()), decided.shown(), decided.reason().strip())), who.id());
    }
}
