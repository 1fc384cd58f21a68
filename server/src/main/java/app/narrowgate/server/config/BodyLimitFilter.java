package app.narrowgate.server.config;

import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses bodies that are too large before they are read. A body without a stated length could be endless, so it is
 * refused too; browsers always state it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimitFilter extends OncePerRequestFilter {

    /** A file: room for a map of 20,000 responses. */
    static final long MOST_OF_A_FILE = 12L * 1024 * 1024;
    /** Whatever else a person sends: two hundred parts at once. */
    static final long MOST_OF_AN_EDIT = 2L * 1024 * 1024;
    /** What a stranger may send, which is a name and a password. */
    static final long MOST_OF_A_STRANGER = 16L * 1024;

    private static final Pattern STRANGER = Pattern.compile("/api/(session|gyms|invitations|links|screens)");
    private static final Pattern FILE = Pattern.compile("/api/maps(/[^/]+/(import|record/imports)(/preview)?)?");

    private final ProblemWriter problems;
    private final Limits limits;

    BodyLimitFilter(ProblemWriter problems, Limits limits) {
        this.problems = problems;
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long length = request.getContentLengthLong();
        long most = most(request.getRequestURI());
        if (length > most) {
            limits.met(Limit.BODY_LENGTH);
            problems.write(response, HttpStatus.CONTENT_TOO_LARGE, "Too large",
                    "The request has %d bytes; at most %d are taken. Split the file or leave parts out."
                            .formatted(length, most));
        } else if (length < 0 && request.getHeader("Transfer-Encoding") != null) {
            problems.write(response, HttpStatus.LENGTH_REQUIRED, "Length required",
                    "The request does not say how long it is. Send it with a Content-Length.");
        } else {
            chain.doFilter(request, response);
        }
    }

    static long most(String path) {
        if (STRANGER.matcher(path).lookingAt()) {
            return MOST_OF_A_STRANGER;
        }
        return FILE.matcher(path).matches() ? MOST_OF_A_FILE : MOST_OF_AN_EDIT;
    }
}
