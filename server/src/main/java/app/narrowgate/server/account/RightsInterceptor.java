package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import app.narrowgate.server.problem.ProblemWriter;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/** Lets somebody ask what they have the right to; what says nothing of rights opens to nobody. */
@Component
class RightsInterceptor implements HandlerInterceptor {

    /** What a question is asked with that is about somebody on the roster, and so about what hurts them. */
    private static final List<String> OF_PEOPLE = List.of("you", "they", "room");

    private final ProblemWriter problems;
    private final Audit audit;

    RightsInterceptor(ProblemWriter problems, Audit audit) {
        this.problems = problems;
        this.audit = audit;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (!(handler instanceof HandlerMethod method)) {
            return true;
        }
        if (isOpen(method)) {
            tellKeepable(request, response, method);
            return true;
        }
        Optional<Right> needed = needed(method);
        if (needed.flatMap(right -> signedIn().filter(who -> who.may(right))).isPresent()) {
            tellKeepable(request, response, method);
            return true;
        }
        problems.write(response, HttpStatus.FORBIDDEN, "Not yours to do", needed.map(right ->
                "As things are you may not %s. Ask whoever owns the gym.".formatted(right.title()))
                .orElse("Nobody may do this."));
        return false;
    }

    /** Says of an answer that it may stay on a device; of one that may not, nothing. */
    private static void tellKeepable(HttpServletRequest request, HttpServletResponse response, HandlerMethod method) {
        Keepable keepable = method.getMethodAnnotation(Keepable.class);
        // What a stranger is told is not kept: it would be shown to whoever signs in next.
        if (keepable == null || signedIn().isEmpty() || OF_PEOPLE.stream().anyMatch(name -> request.getParameter(name) != null)) {
            return;
        }
        if (keepable.asked().isEmpty() || Boolean.parseBoolean(request.getParameter(keepable.asked()))) {
            response.setHeader(Keepable.HEADER, Keepable.ON_DEVICE);
            if (keepable.tagged()) {
                response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noCache().cachePrivate().getHeaderValue());
            }
        }
    }

    /** Notes what left the gym as a file. */
    @Override
    public void afterCompletion(HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failure) {
        if (handler instanceof HandlerMethod method && response.getStatus() == HttpStatus.OK.value()
                && needed(method).filter(Right.TAKE_OUT::equals).isPresent()) {
            Operation told = method.getMethodAnnotation(Operation.class);
            signedIn().ifPresent(who -> audit.note(who.id(), Deed.TAKE_OUT, told == null ? request.getRequestURI() : told.summary()));
        }
    }

    private static Optional<SignedIn> signedIn() {
        return Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication()).map(Authentication::getPrincipal)
                .filter(SignedIn.class::isInstance).map(SignedIn.class::cast);
    }

    /** The right that an address needs; empty where nothing is said. */
    static Optional<Right> needed(HandlerMethod method) {
        return Optional.ofNullable(method.getMethodAnnotation(Needs.class))
                .or(() -> Optional.ofNullable(AnnotatedElementUtils.findMergedAnnotation(method.getBeanType(), Needs.class)))
                .map(Needs::value);
    }

    static boolean isOpen(HandlerMethod method) {
        return method.hasMethodAnnotation(Open.class)
                || AnnotatedElementUtils.hasAnnotation(method.getBeanType(), Open.class) && !method.hasMethodAnnotation(Needs.class)
                // What the framework serves itself, such as the description of the API; the security chain guards it.
                || !method.getBeanType().getName().startsWith("app.narrowgate.");
    }
}
