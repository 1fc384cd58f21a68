package app.narrowgate.server.audit;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Who did what when. */
@RestController
@Needs(Right.READ_AUDIT)
@RequestMapping("/api/audit")
@Tag(name = "gym")
class AuditController {

    private static final int MOST = 200;

    /** Something that somebody did. */
    @Schema(name = "Noted")
    record NotedView(long id, Instant at,
            @Nullable @Schema(description = "Who did it; missing once they are forgotten") String actor,
            @Schema(description = "What they did, in words") String deed,
            @Nullable @Schema(description = "To whom; missing where it was nobody") String subject,
            @Schema(description = "What else there is to say") String detail) {

        static NotedView of(AuditRow row) {
            String subject = row.subjectId() == null ? null : row.subject() == null ? "somebody who is forgotten" : row.subject();
            return new NotedView(row.id(), row.at(), row.actor(), Coded.of(Deed.class, row.deed()).map(Deed::title)
                    .orElse(row.deed()), subject, row.detail());
        }
    }

    private final Audit audit;

    AuditController(Audit audit) {
        this.audit = audit;
    }

    @GetMapping
    @Operation(operationId = "audit", summary = "Who did what when, the newest first")
    List<NotedView> audit(
            @RequestParam(defaultValue = "9223372036854775807") @Min(1) long before,
            @RequestParam(defaultValue = "50") @Min(1) @Max(MOST) int most) {
        return audit.before(before, most).stream().map(NotedView::of).toList();
    }
}
