package app.narrowgate.server.lesson;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.KeptShape;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.lesson.LessonJson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.lesson.LessonView.SpanView;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Shapes of classes that the gym keeps beside those of the house. */
@RestController
@Needs(Right.PLAN_CLASSES)
@RequestMapping("/api/class-shapes")
@Tag(name = "classes")
class ShapeController {

    private static final int MOST = 40;

    /** A shape of the gym. */
    @Schema(name = "KeptShape")
    record View(UUID id, String title, @Schema(description = "For a class of the asked length") List<SpanView> spans) {
    }

    /** A new shape; the id is made by who keeps it, so that sending it twice keeps it once. */
    @Schema(name = "NewShape")
    record NewShape(@NotNull UUID id, @NotBlank @Size(max = 90) String title, @Min(20) @Max(180) int minutes,
            @NotNull @Size(max = 7) @Schema(description = "Parts that are missing do not come") List<@NotNull @Valid SpanView> shape) {
    }

    private final ShapeMapper mapper;
    private final Clock clock;

    ShapeController(ShapeMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    @Needs(Right.READ_CLASSES)
    @GetMapping
    @Operation(operationId = "classShapes", summary = "The gym's own shapes for a class of some length, by name")
    List<View> all(@RequestParam(defaultValue = "60") @Min(20) @Max(180) int minutes) {
        return mapper.all().stream().map(row -> new View(row.id(), row.title(), LessonView.spans(row.shape().of(minutes)))).toList();
    }

    @Transactional
    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "newClassShape", summary = "Keep a shape for the gym")
    void keep(@Valid @RequestBody NewShape made, @AuthenticationPrincipal SignedIn who) {
        if (mapper.all().size() >= MOST) {
            throw new RefusedException("The gym keeps %d shapes already; remove one that nobody plans by.".formatted(MOST));
        }
        ClassShape shape = LessonView.toShape(made.shape());
        KeptShape kept = new KeptShape(Text.tidy(made.title()).strip(), made.minutes(), shape);
        mapper.insert(new ShapeRow(made.id(), kept.title(), kept.minutes(), LessonJson.writeShape(shape), who.id(),
                clock.instant().truncatedTo(ChronoUnit.MICROS)));
    }

    @DeleteMapping("/{shape}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removeClassShape", summary = "Remove a shape of the gym; classes that have it keep it, and sent again it is there once more")
    void remove(@PathVariable UUID shape) {
        if (mapper.remove(shape) == 0) {
            throw new NotFoundException("There is no such shape; somebody may have removed it meanwhile.");
        }
    }
}
