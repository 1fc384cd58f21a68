package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import app.narrowgate.server.problem.ProblemWriter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/** Lets somebody ask what they have the right to; what says nothing of rights opens to nobody. */
@Component
class RightsInterceptor implements HandlerInterceptor {

    private final ProblemWriter problems;

    RightsInterceptor(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (!(handler instanceof HandlerMethod method) || isOpen(method)) {
            return true;
        }
        Optional<Right> needed = needed(method);
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (needed.isPresent() && authentication != null && authentication.getPrincipal() instanceof SignedIn who
                && who.may(needed.get())) {
            return true;
        }
        problems.write(response, HttpStatus.FORBIDDEN, "Not yours to do", needed.map(right ->
                "As things are you may not %s. Ask whoever owns the gym.".formatted(right.title()))
                .orElse("Nobody may do this."));
        return false;
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
