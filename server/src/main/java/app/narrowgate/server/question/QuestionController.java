package app.narrowgate.server.question;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.review.AnswerWorth;
import app.narrowgate.core.review.Finding;
import app.narrowgate.core.review.MapReview;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.LikelihoodView;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.MapView;
import app.narrowgate.server.map.MapViews;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Questions that wait for an answer. */
@RestController
@Needs(Right.READ_MAPS)
@RequestMapping("/api/maps/{mapId}/questions")
@Tag(name = "questions")
class QuestionController {

    /** A question; the id is made by who asks, so that sending it twice keeps it once. */
    @Schema(name = "NewQuestion")
    record NewQuestion(@NotNull UUID id, @NotBlank @Size(max = 390) String words,
            @Nullable @Size(max = 64) String situation) {
    }

    /** Where a question is put. */
    @Schema(name = "QuestionAnswer")
    record Answer(@Min(1) int revision, @NotBlank @Size(max = 64) String reaction, @NotNull @Valid LikelihoodView often,
            @Nullable @Size(max = 64) String leads) {
    }

    @Schema(name = "OpenQuestion", description = "A question that was kept, or a response on the map without a landing")
    record OpenQuestionView(@Schema(description = "Missing for a response on the map") @Nullable UUID id, String words,
            @Nullable String situation, @Nullable String reaction, @Nullable String response,
            @Schema(description = "What the starts would gain at most; missing where it cannot be told")
            @Nullable Double gain, @Nullable String author, @Nullable Instant at) {
    }

    /** What is computed for the questions about a map. */
    private record Estimates(List<Finding> unanswered, AnswerWorth worth) {
    }

    private final QuestionStore questions;
    private final MapStore maps;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final MapViews views;

    QuestionController(QuestionStore questions, MapStore maps, SolvedMaps solved, AnswerStore answers,
            MapViews views) {
        this.questions = questions;
        this.maps = maps;
        this.solved = solved;
        this.answers = answers;
        this.views = views;
    }

    @Keepable
    @GetMapping
    @Operation(operationId = "questions", summary = "Everything nobody has answered, what an answer is worth most first")
    List<OpenQuestionView> questions(@PathVariable UUID mapId,
            @ParameterObject OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        MapIndex index = map.index();
        Setting setting = question.toSetting(index);
        Estimates estimates = answers.answer(AnswerStore.Question.of(map, setting, "questions"), () -> {
            SolvedMap base = solved.solved(map, setting);
            return new Estimates(MapReview.unanswered(base), new AnswerWorth(base));
        });
        List<OpenQuestionView> open = new ArrayList<>();
        estimates.unanswered().forEach(f -> {
            var reaction = index.reaction(f.place()).orElseThrow();
            var response = reaction.response(f.response().orElseThrow()).orElseThrow();
            open.add(new OpenQuestionView(null, response.cue(), reaction.from().value(), reaction.id().value(),
                    response.id().value(), f.gain().isPresent() ? f.gain().getAsDouble() : null, null, null));
        });
        for (QuestionRow row : questions.open(map)) {
            var gain = row.situation() == null ? java.util.OptionalDouble.empty() : estimates.worth().of(Id.of(row.situation()));
            open.add(new OpenQuestionView(row.id(), row.words(), row.situation(), null, null,
                    gain.isPresent() ? gain.getAsDouble() : null, row.authorName(), row.at()));
        }
        open.sort(Comparator.comparingDouble((OpenQuestionView q) -> q.gain() == null ? 1 : -q.gain()));
        return open;
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "ask", summary = "Keep a question")
    OpenQuestionView ask(@PathVariable UUID mapId, @Valid @RequestBody NewQuestion asked,
            @AuthenticationPrincipal SignedIn who) {
        QuestionRow row = questions.ask(mapId, asked.id(), asked.words(), optional(asked.situation()), who);
        return new OpenQuestionView(row.id(), row.words(), row.situation(), null, null, null, row.authorName(), row.at());
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/{question}/answer")
    @Operation(operationId = "answer", summary = "Put a question to a reaction as what they do about it",
            description = "Undoing it opens the question again.")
    MapView answer(@PathVariable UUID mapId, @PathVariable UUID question, @Valid @RequestBody Answer answer,
            @AuthenticationPrincipal SignedIn who) {
        return views.of(questions.answer(mapId, question, answer.revision(), Id.of(answer.reaction()),
                answer.often().toLikelihood("How often they do it"), optional(answer.leads()), who));
    }

    @DeleteMapping("/{question}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "dropQuestion", summary = "Drop a question")
    void drop(@PathVariable UUID mapId, @PathVariable UUID question, @AuthenticationPrincipal SignedIn who) {
        questions.drop(mapId, question, who);
    }

    private static Optional<Id> optional(String id) {
        return id == null || id.isBlank() ? Optional.empty() : Optional.of(Id.of(id));
    }
}
