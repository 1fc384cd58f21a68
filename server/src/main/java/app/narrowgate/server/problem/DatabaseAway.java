package app.narrowgate.server.problem;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.transaction.TransactionSystemException;

/** Whether a request failed because the database does not answer, and what that means for what was to be stored. */
final class DatabaseAway {

    static final String TITLE = "The database does not answer";
    static final String NOTHING_STORED = "The database does not answer, so nothing was stored. Try again in a moment.";
    static final String PERHAPS_STORED = "The database went away in the middle. Perhaps this was stored, perhaps not: "
            + "look again before you repeat it.";

    private static final String CONNECTION_EXCEPTIONS = "08";
    private static final String OPERATOR_INTERVENTION = "57P";

    private DatabaseAway() {
    }

    /** True for an exception that comes of a database that is away. */
    static boolean is(Throwable e) {
        return find(e) != null;
    }

    /** What to tell the person: nothing was begun where there was no connection at all. */
    static String sentence(Throwable e) {
        return find(e) instanceof SQLTransientConnectionException ? NOTHING_STORED : PERHAPS_STORED;
    }

    private static SQLException find(Throwable e) {
        int depth = 0;
        for (Throwable cause = e; cause != null && depth < 30; cause = cause.getCause(), depth++) {
            if (cause instanceof SQLException sql && isAway(sql)) {
                return sql;
            }
            // Rolling back over a connection that is gone fails, too, and hides why.
            SQLException first = cause instanceof TransactionSystemException over && over.getApplicationException() != null
                    ? find(over.getApplicationException()) : null;
            if (first != null) {
                return first;
            }
        }
        return null;
    }

    private static boolean isAway(SQLException e) {
        String state = e.getSQLState();
        return e instanceof SQLTransientConnectionException
                || state != null && (state.startsWith(CONNECTION_EXCEPTIONS) || state.startsWith(OPERATOR_INTERVENTION));
    }
}
