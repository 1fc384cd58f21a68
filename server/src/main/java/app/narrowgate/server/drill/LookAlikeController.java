package app.narrowgate.server.drill;

import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.LookAlike;
import app.narrowgate.core.drill.LookAlikes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is easily taken for one another on a map. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/look-alikes")
@Tag(name = "drills")
class LookAlikeController {

    /** Two places that are easily taken for one another. */
    @Schema(name = "LookAlike")
    record LookAlikeView(@Schema(description = "The reaction whose responses lead to both; missing where they are told apart wherever they come up")
            @Nullable String after, @Schema(description = "The one whose mixing up costs more") HalfView one, HalfView other) {
        static LookAlikeView of(LookAlike pair) {
            return new LookAlikeView(pair.after().map(Id::value).orElse(null), HalfView.of(pair.one()), HalfView.of(pair.other()));
        }
    }

    @Schema(name = "LookAlikeHalf")
    record HalfView(String situation, @Schema(description = "The best reaction there") String answer,
            @Schema(description = "How often it comes up in a round from the starts; above 1 where it comes again") double chance,
            @Schema(description = "Lost by giving the other one's answer there, in [0,1]") double loss) {
        static HalfView of(LookAlike.Half half) {
            return new HalfView(half.situation().value(), half.answer().value(), half.chance(), half.loss());
        }
    }

    private final MapStore maps;
    private final SolvedMaps solved;
    private final AnswerStore answers;

    LookAlikeController(MapStore maps, SolvedMaps solved, AnswerStore answers) {
        this.maps = maps;
        this.solved = solved;
        this.answers = answers;
    }

    @Keepable
    @GetMapping
    @Operation(operationId = "lookAlikes", summary = "What is easily taken for one another, the dearest first",
            description = "Places whose holds differ in two parts of the body at most, with nothing to be seen that tells them apart, and with different best answers")
    List<LookAlikeView> lookAlikes(@PathVariable UUID mapId, @ParameterObject OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        List<LookAlike> pairs = answers.answer(AnswerStore.Question.of(map, setting, "look-alikes"),
                () -> LookAlikes.of(PracticeGraph.of(solved.solved(map, setting).converged(), HouseTimes.USUAL)));
        return pairs.stream().map(LookAlikeView::of).toList();
    }
}
