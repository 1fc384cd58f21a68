package app.narrowgate.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import app.narrowgate.server.gym.GymScope;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.jdbc.core.JdbcTemplate;

class DemoLoaderTest {

    private static TestServer server;
    private static TestClient client;

    @BeforeAll
    static void start() {
        server = TestServer.start();
        client = server.signedIn();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static void startAgain() {
        server.bean(DemoLoader.class).run(new DefaultApplicationArguments());
    }

    private static int count(String table) {
        return GymScope.HOUSE.get(
                () -> server.bean(JdbcTemplate.class).queryForObject("select count(*) from " + table, Integer.class));
    }

    @Test
    void aHouseIsGivenEachPartOnce() {
        int people = count("account");
        int maps = count("map");
        int questions = count("question");
        client.post("/api/maps/new", "{\"title\":\"Our own\",\"source\":\"empty\"}");
        startAgain();
        assertThat(count("account")).isEqualTo(people);
        assertThat(count("map")).isEqualTo(maps + 1);
        assertThat(count("question")).isEqualTo(questions);
    }

    /** As when a later version brings a part that this house does not have. */
    @Test
    void aPartThatComesLaterReachesAHouseThatIsThere() {
        int questions = count("question");
        JdbcTemplate database = server.bean(JdbcTemplate.class);
        GymScope.HOUSE.run(() -> database.update("delete from question"));
        database.update("delete from demo_part where name = 'questions'");
        startAgain();
        assertThat(count("question")).isEqualTo(questions).isPositive();
    }

    /** As where a real house is started without saying that it wants no demo. */
    @Test
    void aHouseOfOtherGymsIsLeftAlone() {
        try (TestServer own = TestServer.start()) {
            JdbcTemplate database = own.bean(JdbcTemplate.class);
            database.update("delete from demo_part");
            GymScope.HOUSE.run(() -> database.update("delete from question"));
            own.bean(DemoLoader.class).run(new DefaultApplicationArguments());
            assertThat(database.queryForObject("select count(*) from demo_part", Integer.class)).isZero();
            assertThat(GymScope.HOUSE.get(() -> database.queryForObject("select count(*) from question", Integer.class))).isZero();
        }
    }
}
