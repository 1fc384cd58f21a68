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
        assertThat(DatabaseAway.sentence(e)).contains("nothing was stored");
    }

    @Test
    void inTheMiddleItIsNotKnown() {
        Exception e = new DataAccessResourceFailureException("x", new SQLException("gone", "08006"));
        assertThat(DatabaseAway.is(e)).isTrue();
        assertThat(DatabaseAway.sentence(e)).contains("Perhaps this was stored");
        assertThat(DatabaseAway.is(new SQLException("ended by an administrator", "57P01"))).isTrue();
    }

    @Test
    void aRollbackThatFailsHidesNothing() {
        TransactionSystemException e = new TransactionSystemException("JDBC rollback failed",
                new SQLException("Connection is closed"));
        e.initApplicationException(new DataAccessResourceFailureException("x", new SQLException("gone", "08006")));
        assertThat(DatabaseAway.is(e)).isTrue();
    }

    @Test
    void whatTheDatabaseRefusesIsNoAbsence() {
        assertThat(DatabaseAway.is(new SQLException("unique", "23505"))).isFalse();
        assertThat(DatabaseAway.is(new IllegalStateException("something else"))).isFalse();
    }
}
