package app.narrowgate.server.config;

import app.narrowgate.core.check.Text;
import app.narrowgate.server.problem.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses a question behind the address that cannot be read, before anything trips over it. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class QueryFilter extends OncePerRequestFilter {

    private final ProblemWriter problems;

    QueryFilter(ProblemWriter problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isReadable(request)) {
            chain.doFilter(request, response);
        } else {
            problems.write(response, HttpStatus.BAD_REQUEST, "Not understood",
                    "What stands behind the “?” of the address cannot be read. Open the page anew and try again.");
        }
    }

    private static boolean isReadable(HttpServletRequest request) {
        if (request.getQueryString() == null) {
            return true;
        }
        try {
            Map<String, String[]> parameters = request.getParameterMap();
            return parameters.entrySet().stream().noneMatch(parameter -> parameter.getKey().isEmpty()
                    || Text.isBroken(parameter.getKey()) || Stream.of(parameter.getValue()).anyMatch(Text::isBroken));
        } catch (IllegalStateException | IllegalArgumentException e) {
            // The container says so by exceptions of its own, all of these kinds.
            return false;
        }
    }
}
