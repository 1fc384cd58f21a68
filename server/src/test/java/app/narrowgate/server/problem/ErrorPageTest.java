package app.narrowgate.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;

/** A bug outside every feature, here sessions that cannot be looked up, is told and logged once, by a number that is the same in both. */
class ErrorPageTest {

    private static final Pattern NUMBER = Pattern.compile("In its log this is ([0-9a-f-]{36})");

    @Test
    void aBugIsLoggedOnceWithTheNumberThatThePersonSees() throws SQLException {
        try (TestServer server = TestServer.start()) {
            TestClient client = server.signedIn();
            ListAppender<ILoggingEvent> log = new ListAppender<>();
            log.start();
            Logger everything = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
            everything.addAppender(log);
            sql(server, "alter table spring_session rename to gone");
            TestClient.Answer answer = client.get("/api/maps");
            sql(server, "alter table gone rename to spring_session");
            everything.detachAppender(log);
            assertThat(answer.status()).isEqualTo(500);
            assertThat(answer.text()).doesNotContainIgnoringCase("spring_session").doesNotContain("SQL");
            Matcher number = NUMBER.matcher(answer.text());
            assertThat(number.find()).as(answer.text()).isTrue();
            List<ILoggingEvent> errors = log.list.stream().filter(event -> event.getLevel() == Level.ERROR).toList();
            assertThat(errors).singleElement().satisfies(event -> {
                assertThat(event.getFormattedMessage()).contains(number.group(1));
                assertThat(event.getThrowableProxy().getMessage()).containsIgnoringCase("spring_session");
            });
            assertThat(client.get("/api/maps").status()).as("it goes on").isEqualTo(200);
        }
    }

    /** The session is kept when the first of a long answer leaves, and after a short one; by then the request has been dealt with. */
    @Test
    void aDatabaseThatGoesAwayWhileTheAnswerLeavesIsNoBug() throws SQLException {
        try (TestServer server = TestServer.start()) {
            TestClient client = server.signedIn();
            String file = "/api/maps/" + client.firstMap() + "/file";
            String parts = "/api/maps/" + client.firstMap();
            sql(server, """
                    create function gone() returns trigger language plpgsql as $$
                        begin raise exception 'ended by an administrator' using errcode = '57P01'; end $$;
                    create trigger gone before update on spring_session for each statement execute function gone();""");
            for (String path : List.of(file, parts, "/api/maps")) {
                TestClient.Answer answer = client.get(path);
                assertThat(answer.status()).as(path + answer.text()).isEqualTo(503);
                assertThat(answer.text()).contains("The database does not answer", "Perhaps this was stored");
            }
            sql(server, "drop trigger gone on spring_session");
            assertThat(client.get("/api/maps").status()).as("it goes on").isEqualTo(200);
        }
    }

    private static void sql(TestServer server, String statement) throws SQLException {
        try (Connection behind = server.behind(); Statement does = behind.createStatement()) {
            does.execute(statement);
        }
    }
}
