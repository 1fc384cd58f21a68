package app.narrowgate.server.held;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.held.LikelySituations;
import app.narrowgate.core.held.Marks;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.round.Passing;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where somebody is who can only say what is held. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/held")
@Tag(name = "held")
class HeldController {

    /** What was marked. */
    record HeldQuestion(
            @Parameter(description = "Where the top player is", example = "astride") @Nullable String where,
            @Parameter(description = "Segments that are held", example = "head") @Nullable @Size(max = 7)
            List<String> held,
            @Parameter(description = "Segments that are free", example = "hips") @Nullable @Size(max = 7)
            List<String> free,
            @Parameter(description = "Facts that are so") @Nullable @Size(max = 50) List<String> so,
            @Parameter(description = "Facts that are not so") @Nullable @Size(max = 50) List<String> notSo) {

        Marks toMarks() {
            return Marks.read(Optional.ofNullable(where), or(held), or(free), or(so), or(notSo));
        }

        private static List<String> or(List<String> list) {
            return list == null ? List.of() : list;
        }
    }

    @Schema(name = "LikelySituations")
    record LikelyView(List<LikelyPlaceView> likely, @Schema(description = "What to tell next") @Nullable NextView next) {
        static LikelyView of(LikelySituations judged) {
            return new LikelyView(judged.likely().stream()
                    .map(l -> new LikelyPlaceView(l.situation().value(), l.chance())).toList(),
                    judged.next().map(q -> new NextView(q.bearing(), q.segment().map(Coded::code).orElse(null),
                            q.fact().map(Id::value).orElse(null))).orElse(null));
        }
    }

    @Schema(name = "LikelySituation")
    record LikelyPlaceView(String situation, double chance) {
    }

    @Schema(name = "NextMark")
    record NextView(@Schema(description = "Whether it is where the top player is") boolean where, @Nullable String segment, @Nullable String fact) {
    }

    private final MapStore maps;
    private final SolvedMaps solved;
    private final AnswerStore answers;

    HeldController(MapStore maps, SolvedMaps solved, AnswerStore answers) {
        this.maps = maps;
        this.solved = solved;
        this.answers = answers;
    }

    @Keepable
    @GetMapping
    @Operation(operationId = "likelySituations", summary = "Where one is, judged from what is held")
    LikelyView likely(@PathVariable UUID mapId, @Valid @ModelAttribute @ParameterObject HeldQuestion marks,
            @ParameterObject OddsQuestion question) {
        StoredMap map = maps.head(mapId);
        Setting setting = question.toSetting(map.index());
        Map<Id, Double> often = answers.answer(AnswerStore.Question.of(map, setting, "passing"),
                () -> Passing.of(solved.solved(map, setting)));
        return LikelyView.of(LikelySituations.of(map.index().map(), marks.toMarks(), often));
    }
}
