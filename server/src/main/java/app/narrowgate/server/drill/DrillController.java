package app.narrowgate.server.drill;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.AnsweredLately;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillDesigner;
import app.narrowgate.core.drill.DrillPlan;
import app.narrowgate.core.drill.DrillPlanner;
import app.narrowgate.core.drill.DrillRules;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.Proposal;
import app.narrowgate.core.drill.Proposals;
import app.narrowgate.core.finish.Ladder;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.drill.DrillJson;
import app.narrowgate.exchange.drill.DrillMarkdown;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.download.Download;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.problem.NotFoundException;
import app.narrowgate.server.revision.Revisions;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
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
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
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

/** The gym's drills, what is worth drilling, and plans for a pair. */
@RestController
@Needs(Right.READ_MAPS)
@RequestMapping("/api")
@Tag(name = "drills")
class DrillController {

    private static final String MARKDOWN = "text/markdown;charset=UTF-8";
    private static final int MOST_TEXT = 200_000;
    /** What was answered within so long a time is still new to the room: three weeks of classes, our estimate. */
    private static final Duration LATELY = Duration.ofDays(21);

    /** A drill of the library in one line. */
    @Schema(name = "KeptDrill")
    record KeptView(UUID id, int version, String title, String kind, double minutes, @Nullable String place,
            @Nullable String author, Instant at, @Schema(description = "What it names and the map no longer has") List<String> problems) {
    }

    /** A state of a drill. */
    @Schema(name = "DrillState")
    record StateView(UUID id, int version, int head, DrillView drill, @Nullable String author, Instant at) {
    }

    /** A new drill; the id is made by who keeps it, so that sending it twice keeps it once. */
    @Schema(name = "NewDrill")
    record NewDrill(@NotNull UUID id, @NotNull @Valid DrillView drill) {
    }

    /** A change of a drill, made on a state. */
    @Schema(name = "DrillChange")
    record DrillChange(@Min(1) @Max(1_000_000) int version, @NotNull @Valid DrillView drill) {
    }

    /** A drill file to look at. */
    @Schema(name = "DrillFile")
    record DrillFile(@NotNull @Size(max = MOST_TEXT) String text) {
    }

    /** Something worth drilling. */
    @Schema(name = "Proposal")
    record ProposalView(@Schema(allowableValues = {"everyday", "narrow-gate", "answered-lately", "look-alike", "place"}) String focus, String place,
            String placeTitle, @Nullable String other, @Nullable String otherTitle,
            @Schema(description = "What the starts gain, in [0,1]") double gain, DrillView drill) {
    }

    private final MapStore maps;
    private final Revisions revisions;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final DrillStore drills;

    DrillController(MapStore maps, Revisions revisions, SolvedMaps solved, AnswerStore answers, DrillStore drills) {
        this.maps = maps;
        this.revisions = revisions;
        this.solved = solved;
        this.answers = answers;
        this.drills = drills;
    }

    @Keepable
    @GetMapping("/maps/{mapId}/drills")
    @Operation(operationId = "drills", summary = "The drills of the library, the one changed last first")
    List<KeptView> all(@PathVariable UUID mapId) {
        StoredMap map = maps.head(mapId);
        return drills.all(mapId).stream().map(row -> {
            Drill drill = DrillJson.read(row.body());
            return new KeptView(row.id(), row.version(), drill.title(), drill.kind().code(), drill.minutes(),
                    drill.place().map(Id::value).orElse(null), row.authorName(), row.at(),
                    DrillRules.problems(map.index(), drill).stream().map(p -> p.message()).toList());
        }).toList();
    }

    @Needs(Right.KEEP_DRILLS)
    @PostMapping("/maps/{mapId}/drills")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "keepDrill", summary = "Keep a drill in the library")
    StateView keep(@PathVariable UUID mapId, @Valid @RequestBody NewDrill made, @AuthenticationPrincipal SignedIn who) {
        drills.keep(mapId, made.id(), made.drill().toDrill(), who.id());
        return state(drills.versions(mapId, made.id()).get(0));
    }

    @Keepable
    @GetMapping("/maps/{mapId}/drills/{drill}")
    @Operation(operationId = "drillStates", summary = "Every state of a drill, the newest first")
    List<StateView> states(@PathVariable UUID mapId, @PathVariable UUID drill) {
        return drills.versions(mapId, drill).stream().map(DrillController::state).toList();
    }

    @Needs(Right.KEEP_DRILLS)
    @PutMapping("/maps/{mapId}/drills/{drill}")
    @Operation(operationId = "changeDrill", summary = "Keep a drill's next state")
    StateView change(@PathVariable UUID mapId, @PathVariable UUID drill, @Valid @RequestBody DrillChange change,
            @AuthenticationPrincipal SignedIn who) {
        drills.change(mapId, drill, change.version(), change.drill().toDrill(), who);
        return state(drills.versions(mapId, drill).get(0));
    }

    @Needs(Right.KEEP_DRILLS)
    @DeleteMapping("/maps/{mapId}/drills/{drill}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removeDrill", summary = "Take a drill out of the library; it can be put back")
    void remove(@PathVariable UUID mapId, @PathVariable UUID drill, @AuthenticationPrincipal SignedIn who) {
        drills.remove(mapId, drill, who);
    }

    @Needs(Right.KEEP_DRILLS)
    @PostMapping("/maps/{mapId}/drills/{drill}/restore")
    @Operation(operationId = "restoreDrill", summary = "Put a drill back that was taken out")
    StateView restore(@PathVariable UUID mapId, @PathVariable UUID drill, @AuthenticationPrincipal SignedIn who) {
        drills.restore(mapId, drill, who);
        return state(drills.versions(mapId, drill).get(0));
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/maps/{mapId}/drills/{drill}/file", produces = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "drillFile", summary = "A drill as a file")
    ResponseEntity<String> file(@PathVariable UUID mapId, @PathVariable UUID drill) {
        return Download.of("drill.json", MediaType.APPLICATION_JSON_VALUE, drills.versions(mapId, drill).get(0).body());
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/maps/{mapId}/drills/{drill}/markdown", produces = MARKDOWN)
    @Operation(operationId = "drillMarkdown", summary = "A drill for a pair, in words")
    ResponseEntity<String> markdown(@PathVariable UUID mapId, @PathVariable UUID drill, @ParameterObject OddsQuestion question) {
        Drill kept = DrillJson.read(drills.versions(mapId, drill).get(0).body());
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        PracticeGraph graph = graph(map, setting);
        return Download.of("drill.md", MARKDOWN, DrillMarkdown.of(graph, kept, planned(map, setting, kept)));
    }

    @Needs(Right.KEEP_DRILLS)
    @PostMapping("/maps/{mapId}/drills/read")
    @Operation(operationId = "readDrill", summary = "Look at a drill file; nothing is stored")
    DrillView read(@PathVariable UUID mapId, @Valid @RequestBody DrillFile file) {
        Drill drill = DrillJson.read(file.text());
        DrillRules.require(maps.head(mapId).index(), drill);
        return DrillView.of(drill);
    }

    @PostMapping("/maps/{mapId}/drills/plan")
    @Operation(operationId = "planDrill", summary = "A drill as one pair does it",
            description = "The pair is that of the question's matchup. The same seed gives the same plan.")
    DrillPlanView plan(@PathVariable UUID mapId, @ParameterObject OddsQuestion question, @Valid @RequestBody DrillView asked) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        Drill drill = asked.toDrill();
        return DrillPlanView.of(graph(map, setting), drill, planned(map, setting, drill));
    }

    @Keepable
    @GetMapping("/maps/{mapId}/drills/design")
    @Operation(operationId = "designDrill", summary = "A drill from a place of the map, or against a pin or a finish")
    DrillView design(@PathVariable UUID mapId, @ParameterObject OddsQuestion question,
            @Parameter(description = "The place; for denials the pin or finish") @RequestParam @Size(max = 64) String place,
            @RequestParam(defaultValue = "called") @Schema(allowableValues = {"called", "everyday", "denials"}) String how,
            @RequestParam(defaultValue = "8") @DecimalMin("1") @DecimalMax("60") double minutes,
            @RequestParam(defaultValue = "3") @Min(1) @Max(6) int links) {
        StoredMap map = maps.head(mapId);
        PracticeGraph graph = graph(map, question.toSetting(map.index()));
        return DrillView.of(switch (how) {
            case "called" -> DrillDesigner.from(graph, Id.of(place), links, minutes);
            case "everyday" -> DrillDesigner.everyday(graph, Id.of(place), minutes);
            case "denials" -> against(graph, Id.of(place), minutes);
            default -> throw new RefusedException("“how” is “%s”; called, everyday or denials can be designed.".formatted(how));
        });
    }

    /** At each stage what denies the hold for the least work. */
    private static Drill against(PracticeGraph graph, Id id, double minutes) {
        Hold hold = graph.solved().index().part(PartKind.HOLDS, id)
                .orElseThrow(() -> new NotFoundException("No pin or finish is called “%s”.".formatted(id)));
        List<Id> reactions = Ladder.of(graph.solved(), hold).stages().stream().flatMap(step -> step.best().stream())
                .map(best -> best.answer().reaction()).toList();
        return DrillDesigner.answering(graph, hold.title(), reactions, minutes);
    }

    @Keepable
    @GetMapping("/maps/{mapId}/drills/proposals")
    @Operation(operationId = "proposals", summary = "What is worth drilling, most first")
    List<ProposalView> proposals(@PathVariable UUID mapId, @ParameterObject OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        int then = revisions.ago(mapId, LATELY);
        List<Proposal> found = answers.answer(AnswerStore.Question.of(map, setting, "proposals since " + then),
                () -> Proposals.of(graph(map, setting), AnsweredLately.since(maps.at(mapId, then).index().map(), map.index())));
        return found.stream().map(p -> new ProposalView(p.focus().code(), p.place().value(), map.index().placeTitle(p.place()),
                p.other().map(Id::value).orElse(null), p.other().map(map.index()::placeTitle).orElse(null), p.gain(),
                DrillView.of(p.drill()))).toList();
    }

    @Needs(Right.READ_SHARED_MAPS)
    @GetMapping(path = "/formats/drill-schema", produces = "application/schema+json")
    @Operation(operationId = "drillSchema", summary = "The JSON Schema of the drill file")
    Resource schema() {
        return new ClassPathResource("formats/narrowgate-drill-1.schema.json");
    }

    private PracticeGraph graph(StoredMap map, Setting setting) {
        return PracticeGraph.of(solved.solved(map, setting).converged(), HouseTimes.USUAL);
    }

    /** A plan, or why there is none: being refused is an answer too, and costs as much. */
    private record Planned(@Nullable DrillPlan plan, String refused) {
    }

    private DrillPlan planned(StoredMap map, Setting setting, Drill drill) {
        Planned planned = answers.answer(AnswerStore.Question.of(map, setting, "drill " + AnswerStore.shortName(DrillJson.writeText(drill))), () -> {
            try {
                return new Planned(DrillPlanner.plan(graph(map, setting), drill), "");
            } catch (RefusedException e) {
                return new Planned(null, e.getMessage());
            }
        });
        if (planned.plan() == null) {
            throw new RefusedException(planned.refused());
        }
        return planned.plan();
    }

    private static StateView state(DrillRow row) {
        return new StateView(row.id(), row.version(), row.head(), DrillView.of(DrillJson.read(row.body())), row.authorName(), row.at());
    }
}
