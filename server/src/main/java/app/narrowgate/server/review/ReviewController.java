package app.narrowgate.server.review;

import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.review.Comparison;
import app.narrowgate.core.review.MapReview;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Holes in a map, and what changed. */
@RestController
@RequestMapping("/api/maps/{mapId}")
@Tag(name = "review")
class ReviewController {

    private final MapStore maps;
    private final AnswerStore answers;

    ReviewController(MapStore maps, AnswerStore answers) {
        this.maps = maps;
        this.answers = answers;
    }

    @GetMapping("/review")
    @Operation(operationId = "review", summary = "Every weakness of the map, those that cost most first")
    List<ReviewViews.FindingView> review(@PathVariable UUID mapId,
            @Valid @ModelAttribute @ParameterObject OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        return answers.answer(AnswerStore.Question.of(map, setting, "review"),
                () -> MapReview.of(map.index(), setting).stream().map(ReviewViews.FindingView::of).toList());
    }

    @PostMapping("/comparison")
    @Operation(operationId = "comparison", summary = "What changes between two maps, matchups or stances",
            description = "Computes only; nothing is stored.")
    ReviewViews.ComparisonView compare(@PathVariable UUID mapId, @Valid @RequestBody ComparisonRequest request) {
        StoredMap before = side(mapId, request.before());
        StoredMap after = side(mapId, request.after());
        return ReviewViews.ComparisonView.of(Comparison.of(
                before.index(), request.before().question().toSetting(before.index()),
                after.index(), request.after().question().toSetting(after.index())));
    }

    private StoredMap side(UUID mapId, ComparisonRequest.Side side) {
        UUID id = side.map() == null ? mapId : side.map();
        return side.revision() == null ? maps.head(id) : maps.at(id, side.revision());
    }
}
