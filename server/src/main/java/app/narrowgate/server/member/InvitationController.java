package app.narrowgate.server.member;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SessionView;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.account.SigningIn;
import app.narrowgate.server.door.LinkToken;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
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
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Invitations: made and withdrawn by the owner, used by whoever has the link. */
@RestController
@Needs(Right.MANAGE_MEMBERS)
@RequestMapping("/api/invitations")
@Tag(name = "gym")
class InvitationController {

    /** The page by which somebody comes in; what follows the sign stays in the browser, out of every log. */
    static final String PAGE = "/come-in#";

    /** An invitation to make. */
    @Schema(name = "NewInvitation")
    record NewInvitation(@NotBlank @Schema(allowableValues = {"owner", "instructor", "assistant", "student"}) String role,
            @NotNull @Size(max = 400) @Schema(description = "For whom, in words that only owners read; may be empty") String whom,
            @NotNull @Size(max = 320) @Schema(description = "Where a letter with the link goes; may be empty") String address) {
    }

    /** An invitation in the owner's list. */
    @Schema(name = "Invitation")
    record InvitationView(UUID id, @Schema(allowableValues = {"join", "password"}) String kind, String role, String whom,
            String madeBy, Instant madeAt, Instant expiresAt,
            @Schema(allowableValues = {"open", "used", "withdrawn", "over"}) String state,
            @Nullable @Schema(description = "Who came in by it, or whose password it is about") String who) {

        static InvitationView of(Invitation one, Instant now) {
            String state = one.usedAt() != null ? "used" : one.withdrawnAt() != null ? "withdrawn" : one.isOpen(now) ? "open" : "over";
            return new InvitationView(one.id(), one.kind(), one.role(), one.whom(), one.madeBy(), one.madeAt(), one.expiresAt(), state,
                    one.displayName());
        }
    }

    /** What a link offers. */
    @Schema(name = "Offered")
    record OfferView(String gym, @Schema(allowableValues = {"join", "password"}) String kind, String role,
            @Nullable @Schema(description = "Whose password it is about") String displayName, Instant expiresAt) {

        static OfferView of(Invitations.Offer offer) {
            Invitation one = offer.invitation();
            return new OfferView(offer.gym(), one.kind(), one.role(), one.displayName(), one.expiresAt());
        }
    }

    /** Names and a password of one's own choice. */
    @Schema(name = "Joining")
    record Joining(@NotBlank @Size(max = 100) String token, @NotBlank @Size(max = 80) String name,
            @NotBlank @Size(max = 90) String displayName, @NotBlank @Size(max = 400) String password) {

        Accounts.Names names() {
            return new Accounts.Names(name, displayName);
        }
    }

    /** A new password by a link. */
    @Schema(name = "PasswordByLink")
    record PasswordByLink(@NotBlank @Size(max = 100) String token, @NotBlank @Size(max = 400) String password) {
    }

    private final Invitations invitations;
    private final SigningIn signingIn;
    private final Clock clock;

    InvitationController(Invitations invitations, SigningIn signingIn, Clock clock) {
        this.invitations = invitations;
        this.signingIn = signingIn;
        this.clock = clock;
    }

    @GetMapping
    @Operation(operationId = "invitations", summary = "Invitations of the last weeks, the newest first")
    List<InvitationView> invitations() {
        Instant now = clock.instant();
        return invitations.all().stream().map(one -> InvitationView.of(one, now)).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "invite", summary = "Make a link by which one person comes in")
    MadeLink invite(@Valid @RequestBody NewInvitation invitation, @AuthenticationPrincipal SignedIn who) {
        Role role = Coded.require(Role.class, "role", invitation.role());
        String link = ServletUriComponentsBuilder.fromCurrentContextPath().toUriString() + PAGE;
        return invitations.invite(role, invitation.whom(), invitation.address(), link, who);
    }

    @DeleteMapping("/{invitation}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "withdrawInvitation", summary = "Take an invitation back")
    void withdraw(@PathVariable UUID invitation, @AuthenticationPrincipal SignedIn who) {
        invitations.withdraw(invitation, who);
    }

    @Open
    @PostMapping("/look")
    @Operation(operationId = "lookAtInvitation", summary = "What a link offers")
    OfferView look(@Valid @RequestBody LinkToken link, HttpServletRequest request) {
        return tried(request, () -> OfferView.of(invitations.offered(link.token())));
    }

    @Open
    @PostMapping("/join")
    @Operation(operationId = "join", summary = "Come in by a link")
    SessionView join(@Valid @RequestBody Joining joining, HttpServletRequest request, HttpServletResponse response) {
        Account account = tried(request, () -> invitations.join(joining.token(), joining.names(), joining.password()));
        return signingIn.begin(account, request, response);
    }

    @Open
    @PostMapping("/password")
    @Operation(operationId = "choosePasswordByLink", summary = "Choose a new password by a link")
    SessionView password(@Valid @RequestBody PasswordByLink chosen, HttpServletRequest request, HttpServletResponse response) {
        Account account = tried(request, () -> invitations.choosePassword(chosen.token(), chosen.password()));
        return signingIn.begin(account, request, response);
    }

    private <T> T tried(HttpServletRequest request, Supplier<T> work) {
        return signingIn.tried(request, work);
    }
}
