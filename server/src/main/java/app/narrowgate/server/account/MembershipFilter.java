package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.problem.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Asks in the name of the gym whose member is signed in, with the role that the member has now: whoever is put out, or given
 * another role, notices at the next request.
 */
@Component
@Order(MembershipFilter.AFTER_SECURITY)
class MembershipFilter extends OncePerRequestFilter {

    static final int AFTER_SECURITY = -90;

    /** Looked up at the first request: filters are made before the database is at hand. */
    private final ObjectProvider<Accounts> accounts;
    private final ProblemWriter problems;

    MembershipFilter(ObjectProvider<Accounts> accounts, ProblemWriter problems) {
        this.accounts = accounts;
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication == null || !(authentication.getPrincipal() instanceof SignedIn known)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<SignedIn> member = accounts.getObject().with(known.id()).map(SignedIn::of);
        if (member.isEmpty()) {
            end(request);
            problems.write(response, HttpStatus.UNAUTHORIZED, "Not signed in",
                    "You are not a member of the gym any more. Ask whoever owns it for a new invitation.");
            return;
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(member.get(), null, List.of()));
        SecurityContextHolder.setContext(context);
        try (GymScope.Entered entered = scope(member.get()).enter()) {
            chain.doFilter(request, response);
        }
    }

    private static GymScope scope(SignedIn who) {
        GymScope gym = GymScope.of(who.gym());
        return who.may(Right.READ_MAPS) ? gym : gym.ofSharedMaps();
    }

    private static void end(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }
}
