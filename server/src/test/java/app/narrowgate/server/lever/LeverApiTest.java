package app.narrowgate.server.lever;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Levers and the house's ladder of grips, over HTTP on the real database. */
class LeverApiTest extends DemoMapTest {

    private static int revision() {
        return client.get(map).json().get("revision").intValue();
    }

    @Test
    void halfWayTakesTwiceTheWrist() {
        JsonNode arm = client.get("/api/levers?held=0.5&pull=20").json().get("arm");
        assertThat(arm.get("needed").doubleValue()).isCloseTo(40, within(1e-9));
        assertThat(arm.get("times").doubleValue()).isCloseTo(2, within(1e-9));
        assertThat(arm.get("spots").get(2).get("needed").doubleValue()).isCloseTo(20, within(1e-9));
        assertThat(client.get("/api/levers?arm=90&elbow=180&lean=0").json().get("frame").get("shoulder").doubleValue())
                .isCloseTo(0, within(1e-9));
        assertThat(client.get("/api/levers?above=-10").json().get("hip").get("turn").stringValue()).isEqualTo("down-on-you");
    }

    @Test
    void whatCannotBeIsRefused() {
        for (String bad : List.of("held=0", "pull=NaN", "arm=400", "above=999", "elbow=bent")) {
            assertThat(client.get("/api/levers?" + bad).status()).as(bad).isIn(400, 422);
        }
        assertThat(server.client().get("/api/levers").status()).isEqualTo(401);
    }

    @Test
    void checkpointsThatSpeakOfALeverAreThere() {
        JsonNode claims = client.get(map + "/levers").json();
        JsonNode techniques = client.get(map).json().get("techniques");
        Set<String> levers = new HashSet<>();
        for (JsonNode claim : claims) {
            levers.add(claim.get("lever").stringValue());
            JsonNode technique = null;
            for (JsonNode one : techniques) {
                technique = one.get("id").equals(claim.get("technique")) ? one : technique;
            }
            assertThat(technique.get("checkpoints").size()).isGreaterThan(claim.get("checkpoint").intValue());
        }
        assertThat(levers).contains("arm", "frame", "grip", "hip");
    }

    /** The ladder is the house's own: kept, in its files, taken back by undo; a bad one is refused whole. */
    @Test
    void theHouseGradesItsGrips() {
        JsonNode before = client.get(map).json().get("house");
        assertThat(before.get("grips").size()).isEqualTo(3);
        Answer graded = client.put(map + "/house/grips", """
                {"revision":%d,"grips":[{"title":"Praying hands","grade":2},{"title":"Closed grip","grade":6.5}]}""".formatted(revision()));
        assertThat(graded.status()).isEqualTo(200);
        JsonNode after = client.get(map).json().get("house");
        assertThat(after.get("grips").get(1).get("grade").doubleValue()).isEqualTo(6.5);
        assertThat(after.get("thinkBase")).isEqualTo(before.get("thinkBase"));
        assertThat(client.get(map + "/file").text()).contains("Praying hands");
        for (String bad : List.of("[{\"title\":\"A\",\"grade\":0}]", "[{\"title\":\"\",\"grade\":2}]",
                "[{\"title\":\"A\",\"grade\":2},{\"title\":\"A\",\"grade\":3}]", "[null]", "null")) {
            assertThat(client.put(map + "/house/grips", "{\"revision\":%d,\"grips\":%s}".formatted(revision(), bad)).status())
                    .as(bad).isIn(400, 422);
        }
        assertThat(client.get(map).json().get("house")).isEqualTo(after);
        assertThat(client.put(map + "/house/grips", "{\"revision\":1,\"grips\":[]}").status()).isEqualTo(409);
        assertThat(client.post(map + "/undo?revision=" + revision(), "").status()).isEqualTo(200);
        assertThat(client.get(map).json().get("house")).isEqualTo(before);
    }
}
