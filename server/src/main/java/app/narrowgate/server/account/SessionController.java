package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
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

    /** Who is signed in; nothing when nobody is. */
    record Session(boolean signedIn, @Nullable String name, @Nullable String displayName,
            @Schema(description = "False on a first visit, until the person has begun") boolean begun,
            @Nullable @Schema(description = "What the gym is called") String gym,
            @Nullable @Schema(description = "What the person is there", implementation = Role.class) String role,
            @Schema(description = "What the person may do") List<String> rights) {
    }

    private Session session(SignedIn who, boolean signedIn) {
        if (!signedIn) {
            return new Session(false, null, null, false, null, null, List.of());
        }
        return GymScope.of(who.gym()).get(() -> new Session(true, who.name(), who.displayName(), accounts.hasBegun(who.id()),
                gyms.current().name(), who.role().code(),
                Arrays.stream(Right.values()).filter(who::may).map(Right::code).toList()));
    }

    private final Accounts accounts;
    private final Gyms gyms;
    private final SignInThrottle throttle;
    private final HashingPermits permits;
    private final Devices devices;
    private final Limits limits;
    private final SecurityContextRepository contexts;
    private final CsrfTokenRepository tokens;

    SessionController(Accounts accounts, Gyms gyms, SignInThrottle throttle, HashingPermits permits, Devices devices,
            Limits limits, SecurityContextRepository contexts, CsrfTokenRepository tokens) {
        this.accounts = accounts;
        this.gyms = gyms;
        this.throttle = throttle;
        this.permits = permits;
        this.devices = devices;
        this.limits = limits;
        this.contexts = contexts;
        this.tokens = tokens;
    }

    @GetMapping
    @Operation(operationId = "session", summary = "Who is signed in")
    Session session(@AuthenticationPrincipal SignedIn who) {
        return session(who, who != null);
    }

    @PutMapping("/begun")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "begin", summary = "The person who is signed in needs no leading any more")
    @Needs(Right.SEE_ONESELF)
    void begin(@AuthenticationPrincipal SignedIn who) {
        accounts.begin(who.id());
    }

    @PostMapping
    @Operation(operationId = "signIn", summary = "Sign in", responses = {
        @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = Session.class))),
        @ApiResponse(responseCode = "401", description = "Name and password do not match"),
        @ApiResponse(responseCode = "429", description = "Too many wrong passwords; wait a minute"),
        @ApiResponse(responseCode = "503", description = "Many are signing in at once; wait a few seconds")})
    ResponseEntity<Object> signIn(@Valid @RequestBody SignIn signIn, HttpServletRequest request,
            HttpServletResponse response) {
        String name = signIn.name().strip().toLowerCase(Locale.ROOT);
        Optional<String> device = devices.known(request, name);
        List<SignInThrottle.Key> keys = List.of(SignInThrottle.Key.address(request.getRemoteAddr()),
                device.map(SignInThrottle.Key::device).orElse(SignInThrottle.Key.name(name)));
        if (!throttle.begin(keys)) {
            limits.met(Limit.SIGN_IN_TRIES);
            return refused(HttpStatus.TOO_MANY_REQUESTS, SignInThrottle.WAIT, "Wait a minute",
                    "Too many wrong passwords for this name or from this machine. Try again in a minute.");
        }
        Optional<Optional<Account>> hashed = permits.lend(() -> accounts.matching(name, signIn.password()));
        if (hashed.isEmpty()) {
            throttle.right(keys);
            limits.met(Limit.HASHING);
            return refused(HttpStatus.SERVICE_UNAVAILABLE, Duration.ofSeconds(5), "Many at the door",
                    "Many are signing in at this moment. Try again in a few seconds.");
        }
        Optional<Account> account = hashed.get();
        if (account.isEmpty()) {
            return refused(HttpStatus.UNAUTHORIZED, Duration.ZERO, "Not signed in",
                    "Name and password do not match. Check both and try again.");
        }
        throttle.right(keys);
        devices.remember(device, account.get(), request, response);
        SignedIn who = SignedIn.of(account.get());
        begin(who, request, response);
        return ResponseEntity.ok(session(who, true));
    }

    @DeleteMapping
    @Operation(operationId = "signOut", summary = "Sign out")
    ResponseEntity<Void> signOut(HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
        tokens.saveToken(null, request, response);
        return ResponseEntity.noContent().build();
    }

    /** A new session id and a new token, so that neither can have been planted before. */
    private void begin(SignedIn who, HttpServletRequest request, HttpServletResponse response) {
        request.getSession(true);
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        tokens.saveToken(tokens.generateToken(request), request, response);
    }

    private static ResponseEntity<Object> refused(HttpStatus status, Duration wait, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
        if (!wait.isZero()) {
            answer.header(HttpHeaders.RETRY_AFTER, Long.toString(wait.toSeconds()));
        }
        return answer.body(problem);
    }
}
