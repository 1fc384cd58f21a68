package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The table of rights, for whoever wants to know what they and others may do. */
@RestController
@Needs(Right.SEE_ONESELF)
@RequestMapping("/api/rights")
@Tag(name = "session")
class RightsController {

    /** Something that may be done. */
    @Schema(name = "Right")
    record RightView(String id, @Schema(description = "In words that follow “may”") String title,
            @Schema(description = "Who may do it") List<String> roles) {

        static RightView of(Right right) {
            return new RightView(right.code(), right.title(), right.roles().stream().map(Role::code).toList());
        }
    }

    @GetMapping
    @Operation(operationId = "rights", summary = "Who may do what")
    List<RightView> rights() {
        return Arrays.stream(Right.values()).map(RightView::of).toList();
    }
}
