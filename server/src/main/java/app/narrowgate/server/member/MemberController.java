package app.narrowgate.server.member;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
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

/** The members of a gym, for its owner. */
@RestController
@Needs(Right.MANAGE_MEMBERS)
@RequestMapping("/api/members")
@Tag(name = "gym")
class MemberController {

    /** A member. */
    @Schema(name = "Member")
    record MemberView(UUID id, String name, String displayName, String role, Instant since,
            @Schema(description = "True for whoever asks") boolean oneself) {

        static MemberView of(Account account, SignedIn who) {
            return new MemberView(account.id(), account.name(), account.displayName(), account.role(), account.createdAt(),
                    account.id().equals(who.id()));
        }
    }

    /** Another role. */
    @Schema(name = "RoleEdit")
    record RoleEdit(@NotBlank @Schema(allowableValues = {"owner", "instructor", "assistant", "student"}) String role) {
    }

    private final Members members;
    private final Invitations invitations;

    MemberController(Members members, Invitations invitations) {
        this.members = members;
        this.invitations = invitations;
    }

    @GetMapping
    @Operation(operationId = "members", summary = "Who belongs to the gym")
    List<MemberView> members(@AuthenticationPrincipal SignedIn who) {
        return members.all().stream().map(account -> MemberView.of(account, who)).toList();
    }

    @PutMapping("/{member}/role")
    @Operation(operationId = "giveRole", summary = "Give a member another role; it holds from their next request on")
    MemberView give(@PathVariable UUID member, @Valid @RequestBody RoleEdit edit, @AuthenticationPrincipal SignedIn who) {
        return MemberView.of(members.give(member, Coded.require(Role.class, "role", edit.role()), who), who);
    }

    @DeleteMapping("/{member}/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "endSessions", summary = "Sign a member out wherever they are signed in")
    void endSessions(@PathVariable UUID member, @AuthenticationPrincipal SignedIn who) {
        members.endSessions(member, who);
    }

    @PostMapping("/{member}/password")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "offerPassword", summary = "Make a link by which a member chooses a new password")
    MadeLink offerPassword(@PathVariable UUID member, @AuthenticationPrincipal SignedIn who) {
        return invitations.offerPassword(member, who);
    }

    @DeleteMapping("/{member}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "putOut", summary = "Put a member out of the gym; what they wrote stays")
    void putOut(@PathVariable UUID member,
            @Schema(description = "True to take the name from what they wrote, too") @RequestParam(defaultValue = "false") boolean forgotten,
            @AuthenticationPrincipal SignedIn who) {
        if (member.equals(who.id())) {
            throw new RefusedException("Nobody puts themselves out; leave the gym on the page about yourself.");
        }
        members.putOut(member, forgotten, who);
    }
}
