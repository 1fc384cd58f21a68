package app.narrowgate.server.account;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.BusyException;
import app.narrowgate.server.problem.NotSignedInException;
import app.narrowgate.server.problem.TooManyException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.logout.LogoutHandler;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Service;

/** Signing in and out by the framework's machinery, with what slows down whoever guesses in front of it. */
@Service
public class SigningIn {

    private static final Duration SOON = Duration.ofSeconds(5);

    private final AuthenticationManager authentication;
    private final SessionAuthenticationStrategy beginning;
    private final LogoutHandler ending;
    private final SecurityContextRepository contexts;
    private final SignInThrottle throttle;
    private final HashingPermits permits;
    private final Devices devices;
    private final Accounts accounts;
    private final Gyms gyms;
    private final Limits limits;

    SigningIn(AuthenticationManager authentication, SessionAuthenticationStrategy beginning, LogoutHandler ending,
            SecurityContextRepository contexts, SignInThrottle throttle, HashingPermits permits, Devices devices, Accounts accounts,
            Gyms gyms, Limits limits) {
        this.authentication = authentication;
        this.beginning = beginning;
        this.ending = ending;
        this.contexts = contexts;
        this.throttle = throttle;
        this.permits = permits;
        this.devices = devices;
        this.accounts = accounts;
        this.gyms = gyms;
        this.limits = limits;
    }

    /**
     * Signs in whoever has that name and password.
     *
     * @throws NotSignedInException where they do not match, in the same words and time for a name that nobody has
     * @throws TooManyException after too many wrong ones
     * @throws BusyException where many sign in at once
     */
    SessionView signIn(String typed, String password, HttpServletRequest request, HttpServletResponse response) {
        String name = typed.strip().toLowerCase(Locale.ROOT);
        Optional<String> device = devices.known(request, name);
        Account account = tried(List.of(SignInThrottle.Key.address(request.getRemoteAddr()),
                device.map(SignInThrottle.Key::device).orElse(SignInThrottle.Key.name(name))), () -> authenticated(name, password));
        devices.remember(device, account, request, response);
        return begin(account, request, response);
    }

    private Account authenticated(String name, String password) {
        try {
            Authentication known = authentication.authenticate(UsernamePasswordAuthenticationToken.unauthenticated(name, password));
            return ((MemberDetails) known.getPrincipal()).account();
        } catch (AuthenticationException e) {
            throw new NotSignedInException("Name and password do not match. Check both and try again.");
        }
    }

    /**
     * What {@code work} gives that hashes a password for a stranger who has something else than a password to show.
     *
     * @throws TooManyException where the address has shown too much that was not right
     * @throws BusyException where many come in at once
     */
    public <T> T tried(HttpServletRequest request, Supplier<T> work) {
        return tried(List.of(SignInThrottle.Key.address(request.getRemoteAddr())), work);
    }

    /** The same, for a member who shows their password once more. */
    <T> T tried(SignedIn who, Supplier<T> work) {
        return tried(List.of(SignInThrottle.Key.member(who.id())), work);
    }

    private <T> T tried(List<SignInThrottle.Key> keys, Supplier<T> work) {
        if (!throttle.begin(keys)) {
            limits.met(Limit.SIGN_IN_TRIES);
            throw new TooManyException("Too many tries that were not right, for this name or from this machine. Try again in a minute.",
                    SignInThrottle.WAIT);
        }
        try {
            T done = permits.lend(work).orElseThrow(() -> {
                limits.met(Limit.HASHING);
                return new BusyException("Many are signing in at this moment. Try again in a few seconds.", SOON);
            });
            throttle.right(keys);
            return done;
        } catch (BusyException | RefusedException e) {
            // It was not wrong what they showed.
            throttle.right(keys);
            throw e;
        }
    }

    /** Begins a session: with a new id and a new token, so that neither can have been planted before. */
    public SessionView begin(Account account, HttpServletRequest request, HttpServletResponse response) {
        SignedIn who = SignedIn.of(account);
        Authentication known = UsernamePasswordAuthenticationToken.authenticated(who, null, List.of());
        request.getSession(true);
        beginning.onAuthentication(known, request, response);
        Sessions.remember(request);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(known);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return view(who);
    }

    /** Ends the session. */
    void end(HttpServletRequest request, HttpServletResponse response) {
        ending.logout(request, response, SecurityContextHolder.getContext().getAuthentication());
    }

    /** Who is signed in, and what they may do. */
    SessionView view(SignedIn who) {
        return GymScope.of(who.gym()).get(() -> new SessionView(true, who.name(), who.displayName(), accounts.hasBegun(who.id()),
                gyms.current().name(), who.role().code(),
                Arrays.stream(Right.values()).filter(who::may).map(Right::code).toList(), false));
    }

    /** Nobody is signed in. */
    SessionView nobody() {
        return new SessionView(false, null, null, false, null, null, List.of(), gyms.all().isEmpty());
    }
}
