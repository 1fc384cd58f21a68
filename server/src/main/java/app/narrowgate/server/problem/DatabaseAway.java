package app.narrowgate.server.problem;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.servlet.HandlerMapping;

/** Whether a request failed because the database does not answer or has no room, and what that means for what was to be stored. */
final class DatabaseAway {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);
    private static final String SOON = "5";

    private static final String NO_ANSWER = "The database does not answer";
    private static final String NO_ROOM = "The disk is full";
    static final String NOTHING_STORED = "The database does not answer, so nothing was stored. Try again in a moment.";
    static final String PERHAPS_STORED = "The database went away in the middle. Perhaps this was stored, perhaps not: "
            + "look again before you repeat it.";

    static final String FULL = "There is no room left on the disk of this house, so nothing was stored. Whoever runs it makes room; then try again.";

    private static final String CONNECTION_EXCEPTIONS = "08";
    private static final String TOO_MANY_CONNECTIONS = "53300";
    private static final String DISK_FULL = "53100";
    /** What the pool says of a connection that it has thrown away since the database is gone, and gives no state for. */
    private static final String THROWN_AWAY = "Connection is closed";
    private static final String OPERATOR_INTERVENTION = "57P";

    private DatabaseAway() {
    }

    /** True for an exception that comes of a database that is away or has no room. */
    static boolean is(Throwable e) {
        return find(e) != null;
    }

    /** The same in a few words. */
    static String title(Throwable e) {
        return isFull(e) ? NO_ROOM : NO_ANSWER;
    }

    private static boolean isFull(Throwable e) {
        return DISK_FULL.equals(find(e).getSQLState());
    }

    /**
     * What to tell the person: nothing was begun where there was no connection at all, and what found no room was taken back.
     *
     * @param done true where the request had been dealt with before this happened
     */
    static String sentence(Throwable e, boolean done) {
        if (done) {
            return PERHAPS_STORED;
        }
        return isFull(e) ? FULL : find(e) instanceof SQLTransientConnectionException ? NOTHING_STORED : PERHAPS_STORED;
    }

    /** Answers a request that failed outside what deals with it: before it, or after it where the session could not be kept. */
    static void tell(Throwable e, HttpServletRequest request, HttpServletResponse response, ProblemWriter problems) throws IOException {
        LOG.warn("{}: {}", title(e), e.getMessage());
        response.setHeader(HttpHeaders.RETRY_AFTER, SOON);
        boolean done = request.getAttribute(HandlerMapping.BEST_MATCHING_HANDLER_ATTRIBUTE) != null;
        problems.write(response, HttpStatus.SERVICE_UNAVAILABLE, title(e), sentence(e, done));
    }

    private static SQLException find(Throwable e) {
        int depth = 0;
        for (Throwable cause = e; cause != null && depth < 30; cause = cause.getCause(), depth++) {
            if (cause instanceof SQLException sql && isAway(sql)) {
                return sql;
            }
            if (cause instanceof TransactionSystemException over) {
                SQLException first = hiddenBy(over);
                if (first != null) {
                    return first;
                }
            }
        }
        return null;
    }

    /** Rolling back over a connection that is gone fails, too, and hides why; after a commit that failed it is not even said what it hides. */
    private static SQLException hiddenBy(TransactionSystemException over) {
        SQLException first = over.getApplicationException() == null ? null : find(over.getApplicationException());
        boolean thrownAway = over.getCause() instanceof SQLException cause && cause.getSQLState() == null && THROWN_AWAY.equals(cause.getMessage());
        return first == null && thrownAway ? (SQLException) over.getCause() : first;
    }

    private static boolean isAway(SQLException e) {
        String state = e.getSQLState();
        return e instanceof SQLTransientConnectionException
                || state != null && (state.startsWith(CONNECTION_EXCEPTIONS) || state.startsWith(OPERATOR_INTERVENTION) || state.equals(TOO_MANY_CONNECTIONS)
                || state.equals(DISK_FULL));
    }
}
