package app.narrowgate.server.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Long computations on two nodes of one house: told, joined, stopped on the other one, and taken over from one that has died. */
class SharedRunsTest {

    private static final String SETTING = "\"question\":{}";
    private static final String SIMULATION = "{\"kind\":\"simulation\",\"rounds\":10000,\"seed\":%d," + SETTING + "}";
    private static final Instant FAR = Instant.parse("2100-01-01T00:00:00Z");

    private static TestServer first;
    private static TestServer second;
    private static TestClient here;
    private static TestClient there;
    private static String map;

    @BeforeAll
    static void start() {
        first = TestServer.start();
        second = first.beside();
        here = first.signedIn();
        there = second.signedIn();
        map = "/api/maps/" + here.firstMap();
    }

    @AfterAll
    static void stop() {
        second.close();
        first.close();
    }

    /** Both hands of the first node are full until it is closed, so that whatever it is asked for outlasts the request. */
    private static final class Busy implements AutoCloseable {

        private final CountDownLatch free = new CountDownLatch(1);

        Busy() {
            for (int i = 0; i < RunWorker.AT_ONCE; i++) {
                first.bean(RunWorker.class).work(new Run(new Run.Key(UUID.randomUUID(), UUID.randomUUID(), 1, "all"), "review", FAR), progress -> {
                    try {
                        free.await();
                        return RunResult.NONE;
                    } catch (InterruptedException e) {
                        throw new StoppedException();
                    }
                });
            }
        }

        @Override
        public void close() {
            free.countDown();
        }
    }

    private static JsonNode started(TestClient client, int seed) {
        return client.post(map + "/runs", SIMULATION.formatted(seed)).json();
    }

    private static JsonNode waiting(TestClient client, int seed) {
        JsonNode view = started(client, seed);
        assertThat(view.get("state").stringValue()).isEqualTo("waiting");
        return view;
    }

    private static String at(JsonNode run) {
        return map + "/runs/" + run.get("id").stringValue();
    }

    private static JsonNode end(TestClient client, JsonNode run) {
        Instant until = Instant.now().plus(Duration.ofMinutes(2));
        JsonNode view = run;
        while (Set.of("waiting", "running").contains(view.get("state").stringValue())) {
            assertThat(Instant.now()).isBefore(until);
            view = client.get(at(run)).json();
        }
        return view;
    }

    private static void sql(String statement) throws SQLException {
        try (Connection behind = first.behind(); Statement does = behind.createStatement()) {
            does.execute(statement);
        }
    }

    @Test
    void theOtherNodeTellsHowFarItIsAndWhatCameOut() {
        JsonNode run;
        try (Busy busy = new Busy()) {
            run = waiting(here, 1);
            assertThat(there.get(at(run)).json().get("state").stringValue()).isEqualTo("waiting");
        }
        JsonNode told = end(there, run);
        assertThat(told.get("state").stringValue()).isEqualTo("done");
        assertThat(told.get("simulation")).isEqualTo(here.get(at(run)).json().get("simulation"));
    }

    @Test
    void theSameAskedOnTheOtherNodeIsTheSameRun() {
        try (Busy busy = new Busy()) {
            JsonNode run = waiting(here, 2);
            assertThat(waiting(there, 2).get("id")).isEqualTo(run.get("id"));
        }
    }

    @Test
    void stoppedOnTheOtherNodeItStops() {
        JsonNode run;
        try (Busy busy = new Busy()) {
            run = waiting(here, 3);
            there.delete(at(run));
            first.bean(RunWorker.class).look();
        }
        assertThat(end(here, run).get("state").stringValue()).isEqualTo("stopped");
        assertThat(end(there, run).get("state").stringValue()).isEqualTo("stopped");
    }

    /** Before its turn has come, too: a node with its hands full is not one that has died. */
    @Test
    void oneThatWaitsIsHeardOf() throws SQLException {
        try (Busy busy = new Busy()) {
            JsonNode run = waiting(here, 4);
            sql("update run set heard_at = now() - interval '1 minute' where id = '%s'".formatted(run.get("id").stringValue()));
            first.bean(RunWorker.class).look();
            assertThat(there.get(at(run)).json().get("state").stringValue()).isEqualTo("waiting");
        }
    }

    /** As where the node that computes has died: nothing is heard of it. Where it has not, it gives up what is another one's by now. */
    @Test
    void oneOfANodeThatHasDiedIsComputedByTheNextThatIsAsked() throws SQLException {
        try (Busy busy = new Busy()) {
            JsonNode run = waiting(here, 5);
            sql("update run set node = gen_random_uuid(), heard_at = now() - interval '1 minute' where id = '%s'".formatted(run.get("id").stringValue()));
            JsonNode done = end(there, run);
            assertThat(done.get("state").stringValue()).isEqualTo("done");
            assertThat(done.get("id")).isEqualTo(run.get("id"));
            assertThat(started(there, 5).get("id")).as("what came out is there for whoever asks the same").isEqualTo(run.get("id"));
            first.bean(RunWorker.class).look();
            assertThat(end(here, run).get("simulation")).as("asked where it was begun").isEqualTo(done.get("simulation"));
        }
    }

    /** What is kept for other nodes is what came out. */
    @ParameterizedTest
    @ValueSource(strings = {"\"kind\":\"gates\"", "\"kind\":\"review\"", "\"kind\":\"cut\",\"threshold\":0.5", "\"kind\":\"comparison\",\"before\":\"%s\""})
    void everyKindIsReadBackAsItWasWritten(String kind) {
        JsonNode own = here.run(map, "{" + kind.formatted(here.firstMap()) + "," + SETTING + "}");
        assertThat(own.get("state").stringValue()).as(own.toString()).isEqualTo("done");
        JsonMapper json = first.bean(JsonMapper.class);
        assertThat((JsonNode) json.valueToTree(json.treeToValue(own, RunView.class))).isEqualTo(own);
    }

    @Test
    void anotherPersonsAndAnotherMapsAreNotToldOnAnyNode() {
        JsonNode run;
        try (Busy busy = new Busy()) {
            run = waiting(here, 6);
        }
        TestClient other = second.client().signIn("bram", "open-the-gate");
        assertThat(other.get(at(run)).status()).isEqualTo(404);
        assertThat(other.delete(at(run)).status()).isEqualTo(404);
    }
}
