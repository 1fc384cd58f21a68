package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
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

    /** Puts a part of the map back with some of its words changed. */
    private Answer reword(TestClient who, int revision, String part, String words, String others) {
        String changed = who.get(map + "/parts/" + part).text().replace(words, others);
        String[] key = part.split("/");
        return who.putPart(map, revision, key[0], key[1], changed);
    }

    @Test
    void aStaleEditOfTheSamePartIsRefusedWithWhatChanged() {
        int seen = revision();
        assertThat(reword(client, seen, "reactions/upright-knee", "They catch themselves on their hands",
                "They fall on their hands").status()).isEqualTo(200);
        Answer stale = reword(server.client().signIn("bram", "open-the-gate"), seen, "reactions/upright-knee",
                "They fall on their hands", "They catch themselves late");
        assertThat(stale.status()).isEqualTo(409);
        JsonNode changed = stale.json().get("changed").get(0);
        assertThat(changed.get("author").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(changed.get("summary").stringValue()).isEqualTo("Put a part");
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
    void aResponseMovesToAnotherReactionWithItsLandingAndBack() {
        double before = worth("mount-low");
        client.post(map + "/reactions/low-trap-bridge/responses",
                response(revision(), "They hook the foot", "mount-high"));
        client.post(map + "/reactions/headlock-shoulders/responses", response(revision(), "They hook the foot", null));
        Answer moved = client.put(map + "/reactions/low-trap-bridge/responses/they-hook-the-foot/reaction",
                "{\"revision\":%d,\"reaction\":\"headlock-shoulders\"}".formatted(revision()));
        assertThat(moved.status()).isEqualTo(200);
        assertThat(worth("mount-low")).isEqualTo(before);
        JsonNode under = client.get(map + "/parts/reactions/headlock-shoulders").json().get("responses");
        JsonNode last = under.get(under.size() - 1);
        // The reaction had one of that id already, which stays what it was.
        assertThat(last.get("id").stringValue()).isEqualTo("they-hook-the-foot-2");
        assertThat(last.get("leads").stringValue()).isEqualTo("mount-high");
        assertThat(under.get(under.size() - 2).has("leads")).isFalse();
        assertThat(client.get(map + "/history?most=1").json().get(0).get("summary").stringValue())
                .startsWith("Moved “They hook the foot” to “");
        client.post(map + "/undo?revision=" + revision(), "");
        assertThat(worth("mount-low")).isLessThan(before);
    }

    @Test
    void aResponseDoesNotMoveToWhatIsNotThere() {
        String file = client.get(map + "/file").text();
        String from = map + "/reactions/upright-knee/responses/upright-knee-1/reaction";
        assertThat(client.put(from, "{\"revision\":%d,\"reaction\":\"gone\"}".formatted(revision())).status())
                .isEqualTo(404);
        assertThat(client.put(from, "{\"revision\":%d,\"reaction\":\" \"}".formatted(revision())).status())
                .isEqualTo(400);
        assertThat(client.get(map + "/file").text()).isEqualTo(file);
    }

    @Test
    void aReactionCanBeTaughtChangedAndTakenOut() {
        JsonNode added = client.post(map + "/parts", """
                {"revision":%d,"summary":"Added a bump","parts":[
                 {"list":"techniques","id":"bump-and-turn","part":{"title":"Bump and turn"}},
                 {"list":"reactions","id":"high-bump","part":{"from":"mount-high","technique":"bump-and-turn",
                  "needs":{"arm-to-trap":false},"seconds":1.1,"works":0.35,"responses":[]}}]}""".formatted(revision())).json();
        assertThat(added.get("techniques").findValuesAsString("title")).contains("Bump and turn");
        String reaction = map + "/parts/reactions/high-bump";
        Answer changed = client.putPart(map, revision(), "reactions", "high-bump", """
                {"from":"mount-high","technique":"bump-and-turn","seconds":0.9,"works":"rarely",
                 "stuffed":"mount-arm-lock","responses":[]}""");
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        assertThat(client.get(reaction).json().get("stuffed").stringValue()).isEqualTo("mount-arm-lock");
        assertThat(client.delete(reaction + "?revision=" + revision()).status()).isEqualTo(200);
        assertThat(client.get(reaction).status()).isEqualTo(404);
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
