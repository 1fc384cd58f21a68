package app.narrowgate.server.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Pictures of the demo's places, over HTTP on the real database. */
class PictureApiTest extends DemoMapTest {

    private static JsonNode pictures(String of) {
        return client.get(of + "/pictures").json();
    }

    private static String aCopy(String title) {
        return "/api/maps/" + client.post("/api/maps/new", """
                {"title":"%s","source":"copy","from":"%s"}""".formatted(title, client.firstMap())).json().get("id").stringValue();
    }

    private static int revision(String of) {
        return client.get(of).json().get("revision").intValue();
    }

    @Test
    void everySituationHasAPictureThatCanBePainted() {
        JsonNode all = pictures(map);
        JsonNode whole = client.get(map).json();
        for (JsonNode situation : whole.get("situations")) {
            JsonNode picture = all.get("pictures").get(all.get("places").get(situation.get("id").stringValue()).stringValue());
            JsonNode drawing = all.get("drawings").get(picture.get("drawing").stringValue());
            assertThat(picture.get("says").stringValue()).endsWith(".");
            assertThat(drawing.get("pieces").size()).isGreaterThan(24);
            assertThat(drawing.get("pieces").get(0).get("fill").stringValue()).startsWith("M").endsWith("z");
        }
        assertThat(all.get("places").has("tap")).isFalse();
        assertThat(all.get("pictures").get("top-side").get("swapped").booleanValue()).isTrue();
        assertThat(all.get("pictures").get("top-side").get("drawing").stringValue()).isEqualTo("side-crossface");
    }

    /** All of the demo's come in one answer, small enough for a basement's network, and once for each revision. */
    @Test
    void allComeAtOnceAndUnchangedOnesDoNotComeAgain() {
        assertThat(client.bytes(map + "/pictures", "gzip").body().length).isLessThan(250_000);
        Answer first = client.get(map + "/pictures");
        assertThat(client.getUnless(map + "/pictures", first.tag()).status()).isEqualTo(304);
        assertThat(server.client().get(map + "/pictures").status()).isEqualTo(401);
    }

    @Test
    void anotherPostureIsChosenMirroredNudgedAndTakenBack() {
        String copy = aCopy("Drawn otherwise");
        JsonNode before = pictures(copy);
        String change = """
                {"revision":%d,"summary":"Drawn from the other side","parts":[
                {"list":"postures","id":"low-mirrored","part":{"title":"Low, mirrored","base":"mount-low","mirror":true,
                "move":{"they":{"hand-left":[0.05,0,0]}}}},
                {"list":"situations","id":"mount-low","part":%s}]}""";
        String situation = client.get(copy + "/parts/situations/mount-low").json().toString()
                .replace("\"posture\":\"mount-low\"", "\"posture\":\"low-mirrored\"");
        assertThat(client.post(copy + "/parts", change.formatted(revision(copy), situation)).status()).isEqualTo(200);
        JsonNode after = pictures(copy);
        assertThat(after.get("places").get("mount-low").stringValue()).isEqualTo("low-mirrored");
        assertThat(after.get("drawings").get("low-mirrored")).isNotEqualTo(after.get("drawings").get("mount-low"));
        assertThat(client.post(copy + "/undo?revision=" + revision(copy), "").status()).isEqualTo(200);
        assertThat(pictures(copy)).isEqualTo(before);
    }

    /** From one place to another in four pictures of one view; the first is the place's own. */
    @Test
    void theWayToAPlaceIsDrawn() {
        JsonNode way = client.get(map + "/pictures/way?from=mount-low&to=top-in-guard").json();
        assertThat(way.get("drawings").size()).isEqualTo(4);
        assertThat(way.get("drawings").get(0)).isEqualTo(pictures(map).get("drawings").get("mount-low"));
        for (JsonNode drawing : way.get("drawings")) {
            assertThat(drawing.get("pieces").size()).isGreaterThan(20);
        }
        assertThat(client.get(map + "/pictures/way?from=mount-low&to=nowhere").status()).isEqualTo(404);
        assertThat(client.get(map + "/pictures/way?from=mount-low&to=tap").status()).isEqualTo(404);
        assertThat(client.get(map + "/pictures/way?from=mount-low").status()).isEqualTo(400);
        assertThat(server.client().get(map + "/pictures/way?from=mount-low&to=closed").status()).isEqualTo(401);
    }

    @Test
    void aPlaceIsSeenFromAbove() {
        JsonNode above = client.get(map + "/pictures/above?place=headlock-bent").json();
        assertThat(above.get("pieces").size()).isGreaterThan(20);
        assertThat(above).isNotEqualTo(pictures(map).get("drawings").get("headlock-bent"));
        assertThat(client.get(map + "/pictures/above?place=nowhere").status()).isEqualTo(404);
    }

    /** What is no posture is refused by its place, and nothing is stored. */
    @Test
    void whatIsNoPostureIsRefused() {
        String copy = aCopy("Refused");
        int before = revision(copy);
        List<String> places = new ArrayList<>();
        for (String part : List.of("{\"title\":\"A\"}", "{\"title\":\"A\",\"base\":\"nowhere\"}", "{\"title\":\"A\",\"base\":\"a\"}",
                "{\"title\":\"A\",\"base\":\"mount-low\",\"move\":{\"they\":{\"hand-left\":[0,99,0]}}}",
                "{\"title\":\"A\",\"base\":\"mount-low\",\"mat\":[\"they.wing\"]}")) {
            Answer answer = client.post(copy + "/parts",
                    "{\"revision\":%d,\"summary\":\"Wrong\",\"parts\":[{\"list\":\"postures\",\"id\":\"a\",\"part\":%s}]}".formatted(before, part));
            assertThat(answer.status()).as(part).isEqualTo(422);
            places.add(answer.json().get("problems").get(0).get("place").stringValue());
        }
        assertThat(places).containsExactly("/base", "/base", "/base", "/move/they/hand-left/1", "/mat/0");
        assertThat(revision(copy)).isEqualTo(before);
    }

    @Test
    void aBaseThatGoesTakesWhatIsToldFromItAlongAndItsPlacesFallBack() {
        String copy = aCopy("Without a base");
        assertThat(client.delete(copy + "/parts/postures/side-circle?revision=" + revision(copy)).status()).isEqualTo(200);
        JsonNode left = pictures(copy);
        assertThat(left.get("places").get("circle-knee-in").stringValue()).isEqualTo("side-crossface");
        assertThat(left.get("pictures").has("circle-glided")).isFalse();
    }

    private static JsonNode previewed(String posture, String move) {
        String part = client.get(map + "/parts/postures/" + posture).json().toString();
        return client.post(map + "/pictures/preview", """
                {"parts":[{"list":"postures","id":"%s","part":%s}],"posture":"%s","view":"standing"%s}"""
                .formatted(posture, part, posture, move)).json();
    }

    private static JsonNode handle(JsonNode drawn, String joint) {
        for (JsonNode handle : drawn.get("handles")) {
            if (handle.get("joint").stringValue().equals(joint)) {
                return handle;
            }
        }
        throw new AssertionError("No handle " + joint);
    }

    /** A hand is taken to the right: it is there in the picture, and the posture that comes back is drawn the same. */
    @Test
    void aHandIsTakenElsewhereAndThePostureComesBack() {
        int revision = client.get(map).json().get("revision").intValue();
        JsonNode still = previewed("mount-high", "");
        assertThat(still.get("handles").size()).isEqualTo(14);
        assertThat(still.has("told")).isFalse();
        String move = ",\"move\":{\"joint\":\"you.hand-left\",\"right\":-80,\"up\":30,\"towards\":0,\"done\":%s}";
        JsonNode under = previewed("mount-high", move.formatted(false));
        assertThat(under.has("told")).isFalse();
        assertThat(under.has("lies")).isFalse();
        JsonNode done = previewed("mount-high", move.formatted(true));
        int was = handle(still, "you.hand-left").get("x").intValue() - still.get("middle").get("x").intValue();
        int is = handle(done, "you.hand-left").get("x").intValue() - done.get("middle").get("x").intValue();
        assertThat(is - was).isBetween(-95, -40);

        String told = done.get("told").get("part").toString();
        JsonNode again = client.post(map + "/pictures/preview", """
                {"parts":[{"list":"postures","id":"mount-high","part":%s}],"posture":"mount-high","view":"standing"}"""
                .formatted(told)).json();
        assertThat(Math.abs(handle(again, "you.hand-left").get("x").intValue() - again.get("middle").get("x").intValue() - is))
                .isLessThanOrEqualTo(3);
        assertThat(client.get(map).json().get("revision").intValue()).as("nothing is stored").isEqualTo(revision);
    }

    /** For whoever moves it on the device: one that is told from another comes whole, as it lies and as it is seen. */
    @Test
    void aPostureComesAsItLies() {
        JsonNode lies = previewed("circle-knee-in", "").get("lies").get("part");
        assertThat(lies.has("base")).isFalse();
        assertThat(lies.get("they").get("hand-left").size()).isEqualTo(3);
        assertThat(lies.get("view").has("azimuth")).isTrue();
        JsonNode again = client.post(map + "/pictures/preview", """
                {"parts":[{"list":"postures","id":"circle-knee-in","part":%s}],"posture":"circle-knee-in"}""".formatted(lies)).json();
        assertThat(again.get("lies").get("part")).isEqualTo(lies);
    }

    @Test
    void aMoveThatIsNoneIsRefused() {
        String part = client.get(map + "/parts/postures/mount-high").json().toString();
        for (String move : List.of("{\"joint\":\"you.waist\",\"right\":1,\"up\":0,\"towards\":0,\"done\":false}",
                "{\"joint\":\"you.hand-left\",\"right\":99999,\"up\":0,\"towards\":0,\"done\":false}",
                "{\"joint\":\"nobody\",\"right\":1,\"up\":0,\"towards\":0,\"done\":false}")) {
            assertThat(client.post(map + "/pictures/preview", """
                    {"parts":[{"list":"postures","id":"mount-high","part":%s}],"posture":"mount-high","move":%s}"""
                    .formatted(part, move)).status()).as(move).isIn(400, 422);
        }
        assertThat(client.post(map + "/pictures/preview", """
                {"parts":[{"list":"postures","id":"mount-high","part":%s}],"posture":"gone"}""".formatted(part)).status())
                .isEqualTo(404);
    }
}
