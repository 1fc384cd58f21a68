package app.narrowgate.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

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

    @Test
    void aHouseThatWantsNoDemoIsGivenNothing() {
        List<DemoGym> given = new ArrayList<>();
        loader(given, false).run(new DefaultApplicationArguments());
        assertThat(given).isEmpty();
        loader(given, true).run(new DefaultApplicationArguments());
        assertThat(given).hasSize(1);
    }

    private static DemoLoader loader(List<DemoGym> given, boolean wanted) {
        DemoPart part = new DemoPart() {
            @Override
            public String name() {
                return "of a later version";
            }

            @Override
            public void load(DemoGym gym) {
                given.add(gym);
            }
        };
        return new DemoLoader(List.of(part), server.bean(DemoPartMapper.class), server.bean(Gyms.class), server.bean(TransactionTemplate.class),
                server.bean(JsonMapper.class), server.bean(Clock.class), wanted);
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
