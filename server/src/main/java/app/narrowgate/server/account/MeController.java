package app.narrowgate.server.account;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What people do about themselves: their name and password, where they are signed in, leaving. */
@RestController
@Needs(Right.SEE_ONESELF)
@RequestMapping("/api/me")
@Tag(name = "session")
class MeController {

    /** Where somebody is signed in. */
    @Schema(name = "SignedInAt")
    record SignedInAt(@Schema(description = "What the place is called when it is signed out") String handle, String browser,
            Instant begunAt, Instant usedAt, @Schema(description = "Where this is asked from") boolean here) {
    }

    /** What others see. */
    @Schema(name = "NameEdit")
    record NameEdit(@NotBlank @Size(max = 90) String displayName) {
    }

    /** Another password. */
    @Schema(name = "PasswordEdit")
    record PasswordEdit(@NotBlank @Size(max = 200) String now, @NotBlank @Size(max = 400) String next) {
    }

    /** Leaving the gym. */
    @Schema(name = "Leaving")
    record Leaving(@NotBlank @Size(max = 200) String password,
            @NotNull @Schema(description = "True to go without leaving the name beside what one wrote") Boolean forgotten) {
    }

    private final Accounts accounts;
    private final Sessions sessions;
    private final SigningIn signingIn;
    private final Archive archive;
    private final Audit audit;
    private final TransactionTemplate transactions;

    MeController(Accounts accounts, Sessions sessions, SigningIn signingIn, Archive archive, Audit audit, TransactionTemplate transactions) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.signingIn = signingIn;
        this.archive = archive;
        this.audit = audit;
        this.transactions = transactions;
    }

    @PutMapping("/name")
    @Operation(operationId = "rename", summary = "Choose the name that others see")
    SessionView rename(@Valid @RequestBody NameEdit edit, @AuthenticationPrincipal SignedIn who) {
        accounts.rename(who.id(), edit.displayName());
        return signingIn.view(SignedIn.of(accounts.member(who.id())));
    }

    @PutMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "choosePassword", summary = "Choose another password; everywhere else one is signed out")
    void choosePassword(@Valid @RequestBody PasswordEdit edit, @AuthenticationPrincipal SignedIn who, HttpServletRequest request) {
        Account account = proven(who, edit.now());
        transactions.executeWithoutResult(status -> {
            accounts.choosePassword(account, edit.next(), Optional.of(request.getSession().getId()));
            audit.note(who.id(), Deed.CHANGE_PASSWORD, "");
        });
    }

    @GetMapping("/sessions")
    @Operation(operationId = "sessions", summary = "Where one is signed in, the place used last first")
    List<SignedInAt> sessions(@AuthenticationPrincipal SignedIn who, HttpServletRequest request) {
        String here = Sessions.handle(request.getSession().getId());
        return sessions.of(who.id()).stream().map(place -> new SignedInAt(place.handle(), place.browser(), place.begunAt(),
                place.usedAt(), place.handle().equals(here))).toList();
    }

    @DeleteMapping("/sessions/{handle}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "endSession", summary = "Sign out in one place")
    void endSession(@PathVariable String handle, @AuthenticationPrincipal SignedIn who) {
        if (!sessions.end(who.id(), handle)) {
            throw new NotFoundException("You are not signed in there any more.");
        }
    }

    @GetMapping(path = "/archive", produces = "application/zip")
    @Operation(operationId = "archive", summary = "Everything that is kept about oneself, as an archive")
    ResponseEntity<byte[]> archive(@AuthenticationPrincipal SignedIn who) {
        audit.note(who.id(), Deed.TAKE_OUT_PERSON, who.id(), "");
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"about-you.zip\"")
                .body(archive.zip(archive.of(who.id())));
    }

    @PostMapping("/leave")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "leave", summary = "Leave the gym; nobody signs in by this account any more")
    void leave(@Valid @RequestBody Leaving leaving, @AuthenticationPrincipal SignedIn who, HttpServletRequest request,
            HttpServletResponse response) {
        proven(who, leaving.password());
        transactions.executeWithoutResult(status -> {
            if (leaving.forgotten()) {
                accounts.forget(who.id());
            } else {
                accounts.leave(who.id());
            }
            audit.note(who.id(), leaving.forgotten() ? Deed.FORGET : Deed.LEAVE, "");
        });
        signingIn.end(request, response);
    }

    private Account proven(SignedIn who, String password) {
        Account account = accounts.member(who.id());
        return signingIn.tried(who, () -> Optional.of(account).filter(one -> accounts.matches(one, password)))
                .orElseThrow(() -> new RefusedException("That is not the password you have now."));
    }
}
