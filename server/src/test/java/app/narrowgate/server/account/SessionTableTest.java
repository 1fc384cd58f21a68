package app.narrowgate.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;

/** Whoever only reads writes nothing, and still counts as somebody who was there. */
class SessionTableTest {

    private static final String OURS = "where principal_name is not null";

    private static long used(Statement behind) throws SQLException {
        try (ResultSet row = behind.executeQuery("select last_access_time from spring_session " + OURS)) {
            assertThat(row.next()).isTrue();
            return row.getLong(1);
        }
    }

    @Test
    void thatASessionWasUsedIsWrittenOnceAMinute() throws SQLException {
        try (TestServer server = TestServer.start(); Connection connection = server.behind(); Statement behind = connection.createStatement()) {
            TestClient client = server.signedIn();
            long begun = used(behind);
            client.get("/api/maps");
            assertThat(used(behind)).as("a moment later").isEqualTo(begun);
            behind.execute("update spring_session set last_access_time = last_access_time - 61000, expiry_time = expiry_time - 61000 " + OURS);
            client.get("/api/maps");
            assertThat(used(behind)).as("a minute later").isGreaterThanOrEqualTo(begun);
            try (ResultSet row = behind.executeQuery("select expiry_time - last_access_time = 1000 * max_inactive_interval from spring_session " + OURS)) {
                assertThat(row.next() && row.getBoolean(1)).as("and so it lasts longer").isTrue();
            }
        }
    }
}
