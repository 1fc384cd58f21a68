package app.narrowgate.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** The sessions are in the database, too: without it a request fails before any controller is asked. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class DatabaseAwayFilter extends OncePerRequestFilter {

    private final ProblemWriter problems;

    DatabaseAwayFilter(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException e) {
            if (!DatabaseAway.is(e) || response.isCommitted()) {
                throw e;
            }
            response.resetBuffer();
            DatabaseAway.tell(e, request, response, problems);
        }
    }
}
