package app.narrowgate.server.config;

import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.ProblemWriter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.SocketTimeoutException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Reads bodies whole, by a deadline, and not too many at once for one address or of the largest kind. Whoever sends a byte
 * now and then holds a thread for no longer than the deadline, and only so many of them; whoever sits behind the same
 * address and sends properly is through in a moment. Edits are read before it is asked who is signed in, so that a stranger
 * gets his answer; files only after it.
 */
final class BodyReadingFilter extends OncePerRequestFilter {

    /** A slow line brings an edit within this. */
    static final Duration DEADLINE = Duration.ofSeconds(10);
    /** And a file within this. */
    static final Duration DEADLINE_OF_A_FILE = Duration.ofSeconds(60);
    /** Bodies on their way from one address. */
    static final int MOST_OF_AN_ADDRESS = 24;
    /** Files on their way in all: each takes memory many times its size once it is read. */
    static final int MOST_FILES = 2;

    private static final int CHUNK = 8192;

    private final ProblemWriter problems;
    private final Limits limits;
    private final boolean ofFiles;
    private final Map<String, Integer> reading = new ConcurrentHashMap<>();
    private final Semaphore files = new Semaphore(MOST_FILES);

    /** Of files, or of whatever is smaller. */
    BodyReadingFilter(ProblemWriter problems, Limits limits, boolean ofFiles) {
        this.problems = problems;
        this.limits = limits;
        this.ofFiles = ofFiles;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long length = request.getContentLengthLong();
        if (length <= 0 || ofFiles != length > BodyLimitFilter.MOST_OF_AN_EDIT) {
            chain.doFilter(request, response);
            return;
        }
        if (ofFiles && !files.tryAcquire()) {
            busy(response);
            return;
        }
        try {
            String address = request.getRemoteAddr();
            if (reading.merge(address, 1, Integer::sum) > MOST_OF_AN_ADDRESS) {
                reading.computeIfPresent(address, (key, count) -> count == 1 ? null : count - 1);
                busy(response);
                return;
            }
            byte[] body;
            try {
                body = read(request.getInputStream(), (int) length, ofFiles ? DEADLINE_OF_A_FILE : DEADLINE);
            } catch (IOException e) {
                // The container has its own wrapping for a read that took too long, and for a sender who has gone.
                limits.met(Limit.BODY_DEADLINE);
                response.setHeader(HttpHeaders.CONNECTION, "close");
                problems.write(response, HttpStatus.REQUEST_TIMEOUT, "Too slow",
                        "The request did not arrive in time. Try again, on a better line if there is one.");
                return;
            } finally {
                reading.computeIfPresent(address, (key, count) -> count == 1 ? null : count - 1);
            }
            chain.doFilter(new ReadRequest(request, body), response);
        } finally {
            if (ofFiles) {
                files.release();
            }
        }
    }

    private void busy(HttpServletResponse response) throws IOException {
        limits.met(Limit.BODIES_AT_ONCE);
        response.setHeader(HttpHeaders.RETRY_AFTER, "5");
        response.setHeader(HttpHeaders.CONNECTION, "close");
        problems.write(response, HttpStatus.SERVICE_UNAVAILABLE, "Busy",
                "Much is being sent at this moment. Try again in a few seconds; nothing was stored.");
    }

    /** A single read waits no longer than the connector's own timeout, so the deadline is looked at often enough. */
    private static byte[] read(InputStream in, int length, Duration deadline) throws IOException {
        long until = System.nanoTime() + deadline.toNanos();
        ByteArrayOutputStream body = new ByteArrayOutputStream(Math.min(length, CHUNK));
        byte[] chunk = new byte[CHUNK];
        for (int read = in.read(chunk); read >= 0; read = in.read(chunk)) {
            body.write(chunk, 0, read);
            if (System.nanoTime() > until) {
                throw new SocketTimeoutException("The deadline for a body");
            }
        }
        return body.toByteArray();
    }
}
