package app.narrowgate.server.config;

import app.narrowgate.core.check.Text;
import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Serves only the names of this machine and those that are configured. A page elsewhere whose name is turned to this
 * machine's address would otherwise read what is meant for the people here, with their sessions. A change must also come
 * from a page of this very address, besides bearing the token.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostFilter extends OncePerRequestFilter {

    private static final Set<String> OWN = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final ProblemWriter problems;
    private final Limits limits;
    private final Set<String> hosts;

    HostFilter(ProblemWriter problems, Limits limits, @Value("${narrowgate.hosts:}") String configured) {
        this.problems = problems;
        this.limits = limits;
        this.hosts = Stream.concat(OWN.stream(), Stream.of(configured.split(",")).map(String::strip)
                .filter(name -> !name.isEmpty()).map(name -> name.toLowerCase(Locale.ROOT)))
                .collect(Collectors.toUnmodifiableSet());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getHeader(HttpHeaders.HOST);
        if (host == null || !hosts.contains(name(host))) {
            limits.met(Limit.HOST);
            problems.write(response, HttpStatus.MISDIRECTED_REQUEST, "Another name",
                    "This server is not called “%s”. Open it by its own name, or have that name added to NARROWGATE_HOSTS."
                            .formatted(host == null ? "" : Text.shown(host.substring(0, Math.min(100, host.length())))));
        } else if (!READING.contains(request.getMethod()) && isFromElsewhere(request.getHeader(HttpHeaders.ORIGIN), host)) {
            limits.met(Limit.HOST);
            problems.write(response, HttpStatus.FORBIDDEN, "Not from here",
                    "The change was asked for by a page of another address. Open Narrow Gate itself and try again.");
        } else {
            chain.doFilter(request, response);
        }
    }

    /** A browser says where a change comes from; what is no browser need not. */
    private static boolean isFromElsewhere(String origin, String host) {
        return origin != null && !origin.equalsIgnoreCase("http://" + host) && !origin.equalsIgnoreCase("https://" + host);
    }

    private static String name(String host) {
        return host.replaceFirst(":\\d{1,5}$", "").toLowerCase(Locale.ROOT);
    }
}
