package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestServer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class MapEditTest {

    private static TestServer server;
    private TestClient client;
    private String map;

    @BeforeAll
    static void start() {
        server = TestServer.start();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @BeforeEach
    void signIn() {
        client = server.signedIn();
        String file = client.get("/api/maps/" + client.firstMap() + "/file").text();
        map = "/api/maps/" + client.post("/api/maps", file).json().get("id").stringValue();
    }

    private int revision() {
        return client.get(map).json().get("revision").intValue();
    }

    private double worth(String situation) {
        return client.get(map + "/odds").json().get("situations").get(situation).get("worth").doubleValue();
    }

    private static String response(int revision, String cue, String leads) {
        return """
                {"revision":%d,"cue":"%s","often":{"word":"usually"}%s}"""
                .formatted(revision, cue, leads == null ? "" : ",\"leads\":\"" + leads + "\"");
    }

    @Test
    void anAddedResponseMovesTheOddsAndUndoBringsThemBack() {
        double before = worth("mount-low");
        double outside = worth("side-crossface");
        Answer added = client.post(map + "/reactions/low-trap-bridge/responses",
                response(revision(), "They hook the foot", "mount-high"));
        assertThat(added.status()).isEqualTo(201);
        assertThat(worth("mount-low")).isLessThan(before);
        assertThat(worth("side-crossface")).isLessThan(outside);

        Answer undone = client.post(map + "/undo?revision=" + revision(), "");
        assertThat(undone.status()).isEqualTo(200);
        assertThat(worth("mount-low")).isEqualTo(before);
        assertThat(undone.json().get("redo").get("summary").stringValue()).contains("They hook the foot");

        client.post(map + "/redo?revision=" + revision(), "");
        assertThat(worth("mount-low")).isLessThan(before);
        client.post(map + "/undo?revision=" + revision(), "");
        assertThat(worth("mount-low")).isEqualTo(before);
    }

    @Test
    void undoGoesBackStepByStepToTheFirstRevision() {
        String first = client.get(map + "/file").text();
        for (String cue : new String[] {"They wait", "They sit", "They post wide"}) {
            client.post(map + "/reactions/hub-roll/responses", response(revision(), cue, null));
        }
        while (client.get(map).json().has("undo")) {
            assertThat(client.post(map + "/undo?revision=" + revision(), "").status()).isEqualTo(200);
        }
        assertThat(client.get(map + "/file").text()).isEqualTo(first);
        Answer nothing = client.post(map + "/undo?revision=" + revision(), "");
        assertThat(nothing.status()).isEqualTo(422);
        assertThat(nothing.json().get("detail").stringValue()).isEqualTo("There is nothing left to undo.");
    }

    @Test
    void aStaleEditOfTheSamePartIsRefusedWithWhatChanged() {
        int seen = revision();
        client.put(map + "/reactions/upright-knee/responses/upright-knee-1",
                response(seen, "They fall on their hands", "mount-low"));
        Answer stale = server.client().signIn("bram", "open-the-gate").put(
                map + "/reactions/upright-knee/responses/upright-knee-1",
                response(seen, "They catch themselves late", "mount-low"));
        assertThat(stale.status()).isEqualTo(409);
        JsonNode changed = stale.json().get("changed").get(0);
        assertThat(changed.get("author").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(changed.get("summary").stringValue()).contains("They fall on their hands");
        assertThat(client.get(map + "/file").text()).contains("They fall on their hands")
                .doesNotContain("They catch themselves late");
    }

    @Test
    void editsThatDoNotTouchAreMerged() {
        int seen = revision();
        client.post(map + "/reactions/hub-corner/responses", response(seen, "They step over", null));
        Answer other = client.post(map + "/reactions/choke-spear/responses", response(seen, "They roll through", null));
        assertThat(other.status()).isEqualTo(201);
        assertThat(client.get(map + "/file").text()).contains("They step over").contains("They roll through");
    }

    @Test
    void aReactionCanBeTaughtChangedAndTakenOut() {
        JsonNode added = client.post(map + "/situations/mount-high/reactions", """
                {"revision":%d,"newTechnique":"Bump and turn","needs":{"arm-to-trap":false},"seconds":1.1,
                 "works":{"number":0.35}}""".formatted(revision())).json();
        assertThat(added.get("techniques").findValuesAsString("title")).contains("Bump and turn");
        String id = "mount-high-bump-and-turn";
        Answer changed = client.put(map + "/reactions/" + id, """
                {"revision":%d,"technique":"bump-and-turn","needs":{},"seconds":0.9,"works":{"word":"rarely"},
                 "stuffed":"mount-arm-lock"}""".formatted(revision()));
        assertThat(changed.status()).isEqualTo(200);
        assertThat(client.delete(map + "/reactions/" + id + "?revision=" + revision()).status()).isEqualTo(200);
        assertThat(client.delete(map + "/reactions/" + id + "?revision=" + revision()).status()).isEqualTo(404);
    }

    @Test
    void theHistorySaysWhoDidWhat() {
        client.post(map + "/reactions/hub-roll/responses", response(revision(), "They hop over", null));
        JsonNode newest = client.get(map + "/history?most=1").json().get(0);
        assertThat(newest.get("author").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(newest.get("summary").stringValue()).isEqualTo("Added “They hop over”");
        assertThat(newest.get("number").intValue()).isEqualTo(revision());
    }
}
