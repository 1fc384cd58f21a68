package app.narrowgate.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What may stay on a device: what is needed at the mat's edge, and nothing of what hurts anybody. */
class KeepableTest {

    private static final String STAYS = "device";

    private static TestServer server;
    private static TestClient tamsin;
    private static String map;

    @BeforeAll
    static void start() {
        server = TestServer.start();
        tamsin = server.client().signIn("tamsin", "open-the-gate");
        map = "/api/maps/" + tamsin.get("/api/maps").json().get(0).get("id").stringValue();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static String kept(String path) {
        return tamsin.get(path).keepable();
    }

    /** What stays on a device is looked at by a person: this list grows by nobody's oversight. */
    @Test
    void nothingElseStays() {
        JsonNode paths = tamsin.get("/api/openapi").json().get("paths");
        List<String> keepable = paths.properties().stream().flatMap(path -> path.getValue().properties().stream()
                .filter(operation -> operation.getValue().path("x-keepable").booleanValue(false))
                .map(operation -> operation.getKey() + " " + path.getKey().replace("/api/maps/{mapId}", "MAP"))).toList();
        assertThat(keepable).containsExactlyInAnyOrder("get /api/session", "get /api/maps", "get MAP", "get MAP/carried", "get MAP/held",
                "get MAP/pictures", "get MAP/pictures/way", "get MAP/pictures/above", "get MAP/questions", "get MAP/record/tonight",
                "get MAP/odds", "get MAP/odds/overview", "get MAP/odds/explanation", "get MAP/odds/flow", "get MAP/odds/late",
                "get MAP/odds/rest", "get MAP/odds/stances", "get MAP/odds/stories", "get MAP/holds", "get MAP/holds/ladders",
                "get MAP/holds/{hold}/ladder", "get MAP/levers", "get /api/levers", "get MAP/weight", "get MAP/weight/{place}",
                "get MAP/drills", "get MAP/drills/{drill}", "get MAP/drills/design", "get MAP/drills/proposals",
                "get MAP/look-alikes", "get MAP/readings/deck", "get MAP/readings/mine", "get MAP/classes", "get MAP/classes/{lesson}",
                "get MAP/classes/{lesson}/mat", "get /api/people");
    }

    @Test
    void whatMayStaySaysSoAndNothingElseDoes() {
        assertThat(List.of("/api/session", "/api/maps", map, map + "/carried", map + "/pictures", map + "/record/tonight", map + "/odds/overview"))
                .allSatisfy(path -> assertThat(kept(path)).as(path).isEqualTo(STAYS));
        assertThat(List.of(map + "/history", map + "/record/events", "/api/members", "/api/audit", "/api/people"))
                .allSatisfy(path -> assertThat(kept(path)).as(path).isEmpty());
    }

    @Test
    void nothingThatAStrangerIsToldStays() {
        assertThat(server.client().get("/api/session").keepable()).isEmpty();
    }

    @Test
    void whatFollowsFromWhatHurtsSomebodyNeverStays() {
        JsonNode people = tamsin.get("/api/people").json();
        String pair = "?you=%s&they=%s".formatted(people.get(0).get("id").stringValue(), people.get(1).get("id").stringValue());
        assertThat(List.of(pair, "?room=middle")).allSatisfy(who -> {
            TestClient.Answer odds = tamsin.get(map + "/odds/overview" + who);
            assertThat(odds.keepable()).isEmpty();
            assertThat(odds.caching()).as("nor in the browser's own store").contains("no-store");
        });
    }

    @Test
    void theRosterStaysWithoutWhatIsNoted() {
        String noted = "{\"people\":[{\"name\":\"Alder Finch\",\"age\":\"adults\",\"notes\":\"A knee, since the summer.\"}]}";
        assertThat(tamsin.post("/api/people", noted).status()).isEqualTo(201);
        assertThat(tamsin.get("/api/people").text()).contains("since the summer");
        TestClient.Answer stays = tamsin.get("/api/people?kept=true");
        assertThat(stays.keepable()).isEqualTo(STAYS);
        assertThat(stays.caching()).as("nobody empties the browser's own store at sign-out").contains("no-store");
        assertThat(stays.text()).contains("Alder Finch").doesNotContain("since the summer");
    }

    @Test
    void aClassStaysWithoutWhatHurtsAnybody() {
        String today = LocalDate.now(ZoneOffset.UTC).toString();
        JsonNode classes = tamsin.get(map + "/classes?from=%s&until=%s".formatted(today, today)).json();
        String asked = map + "/classes/%s?today=%s".formatted(classes.get(0).get("id").stringValue(), today);
        assertThat(kept(asked)).isEmpty();
        assertThat(tamsin.get("/api/audit").text()).as("somebody who is here is hurt, and it was told").contains("to plan a class");
        TestClient.Answer stays = tamsin.get(asked + "&kept=true");
        assertThat(stays.keepable()).isEqualTo(STAYS);
        assertThat(stays.text()).doesNotContain("\"injury\"");
        TestClient other = server.client().signIn("bram", "open-the-gate");
        other.get(asked + "&kept=true");
        assertThat(tamsin.get("/api/audit").text()).as("nobody was told of it").doesNotContain("Bram");
    }
}
