package app.narrowgate.server.odds;

import app.narrowgate.core.advice.LateCurve;
import app.narrowgate.core.advice.RestAdvice;
import app.narrowgate.core.advice.StanceComparison;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Explainer;
import app.narrowgate.core.odds.Overview;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.round.CommonStories;
import app.narrowgate.core.round.Flow;
import app.narrowgate.server.config.BuildId;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.PreviewRequest;
import app.narrowgate.server.map.StoredMap;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** The odds of a map and everything that is computed beside them. Each answer carries a tag; unchanged ones are 304. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/odds")
@Tag(name = "odds")
class OddsController {

    private final MapStore maps;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final Desk desk;
    private final BuildId build;

    OddsController(MapStore maps, SolvedMaps solved, AnswerStore answers, Desk desk, BuildId build) {
        this.maps = maps;
        this.solved = solved;
        this.desk = desk;
        this.build = build;
        this.answers = answers;
    }

    @Keepable(tagged = true)
    @GetMapping
    @Operation(operationId = "odds", summary = "Every situation's odds",
            description = "Worths carry certified bounds; where converged is false they are not to be shown.")
    ResponseEntity<OddsView> odds(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(hidden = true) WebRequest request) {
        return answer(mapId, question, "odds-view", request, (map, setting) ->
                OddsView.of(map.revision(), solved.odds(map, setting)));
    }

    @Keepable(tagged = true)
    @GetMapping("/overview")
    @Operation(operationId = "oddsOverview", summary = "What each situation is worth, without its reactions")
    ResponseEntity<OverviewView> overview(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(hidden = true) WebRequest request) {
        return answer(mapId, question, "overview", request, (map, setting) ->
                OverviewView.of(map.revision(), Overview.of(solved.solved(map, setting))));
    }

    @Keepable(tagged = true)
    @GetMapping("/explanation")
    @Operation(operationId = "explanation", summary = "Where a reaction's worth comes from and where it is lost")
    ResponseEntity<AnalysisViews.ExplanationView> explanation(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(example = "low-trap-bridge") @RequestParam String reaction,
            @Parameter(hidden = true) WebRequest request) {
        Id id = Id.of(reaction);
        return answer(mapId, question, "explanation " + id, request, (map, setting) ->
                AnalysisViews.ExplanationView.of(Explainer.explain(solved.solved(map, setting), id)));
    }

    @Keepable(tagged = true)
    @GetMapping("/late")
    @Operation(operationId = "lateCurve", summary = "What a late start costs, from 0 to 5 seconds")
    ResponseEntity<AnalysisViews.LateView> late(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(hidden = true) WebRequest request) {
        return answer(mapId, question, "late", request, (map, setting) ->
                AnalysisViews.LateView.of(LateCurve.of(solved.solved(map, setting))));
    }

    @Keepable(tagged = true)
    @GetMapping("/flow")
    @Operation(operationId = "flow", summary = "Where 100 starts go, exchange by exchange")
    ResponseEntity<AnalysisViews.FlowView> flow(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(description = "A situation; the map's starts when missing") @RequestParam(required = false)
            String from,
            @RequestParam(defaultValue = "6") @Min(1) @Max(30) int exchanges,
            @Parameter(hidden = true) WebRequest request) {
        Optional<Id> start = Optional.ofNullable(from).map(Id::of);
        return answer(mapId, question, "flow " + start + exchanges, request, (map, setting) ->
                AnalysisViews.FlowView.of(Flow.of(solved.solved(map, setting), start, exchanges)));
    }

    @Keepable(tagged = true)
    @GetMapping("/stories")
    @Operation(operationId = "stories", summary = "The commonest ways a round goes, likeliest first")
    ResponseEntity<List<AnalysisViews.CommonStoryView>> stories(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(description = "A situation; the map's starts when missing") @RequestParam(required = false)
            String from,
            @RequestParam(defaultValue = "3") @Min(1) @Max(20) int most,
            @Parameter(hidden = true) WebRequest request) {
        Optional<Id> start = Optional.ofNullable(from).map(Id::of);
        return answer(mapId, question, "stories " + start + most, request, (map, setting) ->
                CommonStories.of(solved.solved(map, setting), start, most).stream()
                        .map(story -> AnalysisViews.CommonStoryView.of(map.index(), story)).toList());
    }

    @Keepable(tagged = true)
    @GetMapping("/stances")
    @Operation(operationId = "stances", summary = "What each stance on each principle is worth")
    ResponseEntity<List<AnalysisViews.StanceComparisonView>> stances(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(hidden = true) WebRequest request) {
        return answer(mapId, question, "stances", request, (map, setting) ->
                StanceComparison.of(solved.solved(map, setting)).stream()
                        .map(AnalysisViews.StanceComparisonView::of).toList());
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/preview")
    @Operation(operationId = "preview", summary = "The odds if parts were added or changed; nothing is stored")
    OverviewView preview(@PathVariable UUID mapId, @ParameterObject OddsQuestion question,
            @Valid @RequestBody PreviewRequest request) {
        StoredMap map = maps.head(mapId);
        MapIndex changed = request.in(map);
        Setting setting = question.toSetting(changed);
        return desk.compute(AnswerStore.weight(changed), () ->
                OverviewView.of(map.revision(), Overview.of(SolvedMap.of(changed, setting))));
    }

    @Keepable(tagged = true)
    @GetMapping("/rest")
    @Operation(operationId = "restAdvice", summary = "At each resting place: take it or go on")
    ResponseEntity<List<AnalysisViews.RestView>> rest(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question,
            @Parameter(hidden = true) WebRequest request) {
        return answer(mapId, question, "rest", request, (map, setting) ->
                RestAdvice.of(solved.solved(map, setting)).stream().map(AnalysisViews.RestView::of).toList());
    }

    private <T> ResponseEntity<T> answer(UUID mapId, OddsQuestion question, String about, WebRequest request,
            BiFunction<StoredMap, Setting, T> compute) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        AnswerStore.Question asked = AnswerStore.Question.of(map, setting, about);
        if (request.checkNotModified(asked.tag(build.value()))) {
            return null;
        }
        return ResponseEntity.ok(answers.answer(asked, () -> compute.apply(map, setting)));
    }
}
