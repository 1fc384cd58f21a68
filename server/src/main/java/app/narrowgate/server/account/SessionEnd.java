package app.narrowgate.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session for good, however often it is used: a cookie that was taken away does not open the gym for ever. */
@Component
@Order(SessionEnd.BEFORE_SECURITY)
class SessionEnd extends OncePerRequestFilter {

    /** After the sessions are there, before anybody asks who is signed in. */
    static final int BEFORE_SECURITY = -110;
    /** A week of classes. */
    static final Duration MOST = Duration.ofDays(7);

    private final Clock clock;

    SessionEnd(Clock clock) {
        this.clock = clock;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        if (session != null && isOver(Instant.ofEpochMilli(session.getCreationTime()))) {
            session.invalidate();
        }
        chain.doFilter(request, response);
    }

    boolean isOver(Instant begun) {
        return !clock.instant().isBefore(begun.plus(MOST));
    }
}
