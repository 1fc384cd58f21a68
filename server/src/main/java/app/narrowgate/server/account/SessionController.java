package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out. */
@RestController
@Open
@RequestMapping("/api/session")
@Tag(name = "session")
class SessionController {

    /** What is typed to sign in. */
    record SignIn(@NotBlank @Size(max = 80) String name, @NotBlank @Size(max = 200) String password) {
    }

    private final Accounts accounts;
    private final SigningIn signingIn;

    SessionController(Accounts accounts, SigningIn signingIn) {
        this.accounts = accounts;
        this.signingIn = signingIn;
    }

    @Keepable
    @GetMapping
    @Operation(operationId = "session", summary = "Who is signed in")
    SessionView session(@AuthenticationPrincipal SignedIn who) {
        return who == null ? signingIn.nobody() : signingIn.view(who);
    }

    @PutMapping("/begun")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "begin", summary = "The person who is signed in needs no leading any more")
    @Needs(Right.SEE_ONESELF)
    void begin(@AuthenticationPrincipal SignedIn who) {
        accounts.begin(who.id());
    }

    @PostMapping
    @Operation(operationId = "signIn", summary = "Sign in")
    @ApiResponse(responseCode = "200")
    @ApiResponse(responseCode = "401", description = "Name and password do not match")
    @ApiResponse(responseCode = "429", description = "Too many wrong passwords; wait a minute")
    @ApiResponse(responseCode = "503", description = "Many are signing in at once; wait a few seconds")
    SessionView signIn(@Valid @RequestBody SignIn signIn, HttpServletRequest request, HttpServletResponse response) {
        return signingIn.signIn(signIn.name(), signIn.password(), request, response);
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "signOut", summary = "Sign out")
    void signOut(HttpServletRequest request, HttpServletResponse response) {
        signingIn.end(request, response);
    }
}
