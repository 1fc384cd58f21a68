package app.narrowgate.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.TransactionSystemException;

/** What a database that is away looks like from here, and what may be said about what was to be stored. */
class DatabaseAwayTest {

    @Test
    void withoutAConnectionNothingWasStored() {
        Exception e = new IllegalStateException(new SQLTransientConnectionException("timed out"));
        assertThat(DatabaseAway.is(e)).isTrue();
        assertThat(DatabaseAway.sentence(e, false)).contains("nothing was stored");
        assertThat(DatabaseAway.sentence(e, true)).as("when all but the answer was done").contains("Perhaps this was stored");
    }

    @Test
    void inTheMiddleItIsNotKnown() {
        Exception e = new DataAccessResourceFailureException("x", new SQLException("gone", "08006"));
        assertThat(DatabaseAway.is(e)).isTrue();
        assertThat(DatabaseAway.sentence(e, false)).contains("Perhaps this was stored");
        assertThat(DatabaseAway.is(new SQLException("ended by an administrator", "57P01"))).isTrue();
    }

    @Test
    void aRollbackThatFailsHidesNothing() {
        TransactionSystemException e = new TransactionSystemException("JDBC rollback failed",
                new SQLException("Connection is closed"));
        assertThat(DatabaseAway.is(e)).as("after a commit that failed").isTrue();
        e.initApplicationException(new DataAccessResourceFailureException("x", new SQLException("gone", "08006")));
        assertThat(DatabaseAway.is(e)).isTrue();
        assertThat(DatabaseAway.is(new TransactionSystemException("x", new SQLException("deferred", "23503")))).isFalse();
    }

    @Test
    void aFullDiskIsToldAsOne() {
        Exception e = new DataAccessResourceFailureException("x", new SQLException("could not extend file", "53100"));
        assertThat(DatabaseAway.is(e)).isTrue();
        assertThat(DatabaseAway.title(e)).isEqualTo("The disk is full");
        assertThat(DatabaseAway.sentence(e, false)).contains("no room", "nothing was stored");
    }

    @Test
    void whatTheDatabaseRefusesIsNoAbsence() {
        assertThat(DatabaseAway.is(new SQLException("unique", "23505"))).isFalse();
        assertThat(DatabaseAway.is(new IllegalStateException("something else"))).isFalse();
    }
}
