package app.narrowgate.server.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Classes over HTTP on the real database: planned, kept, changed around what is fixed, and told with what the reader may know. */
class LessonApiTest extends DemoMapTest {

    private static final String DAY = "2026-11-27";

    private static List<String> grownUps(int most) {
        return StreamSupport.stream(client.get("/api/people").json().spliterator(), false)
                .filter(one -> one.get("age").stringValue().equals("adults"))
                .map(one -> one.get("id").stringValue()).limit(most).toList();
    }

    private static String lesson(String day, List<String> here, String more) {
        return """
                {"title":"Mount","day":"%s","starts":"19:30","minutes":60,"family":"mount","place":null,"aim":null,"read":0.25,"late":0.5,
                "usual":"step-by-step","shape":null,"here":[%s],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0,%s}"""
                .formatted(day, String.join(",", here.stream().map(id -> "\"" + id + "\"").toList()), more);
    }

    private static Answer keep(UUID id, String lesson) {
        return client.post(map + "/classes", "{\"id\":\"%s\",\"lesson\":%s}".formatted(id, lesson));
    }

    private static List<String> keys(JsonNode planned) {
        List<String> keys = new ArrayList<>();
        planned.get("plan").get("lines").forEach(line -> keys.add(line.get("unit").get("key").stringValue()));
        return keys;
    }

    @Test
    void aClassIsPlannedForThoseWhoAreHereAndKept() {
        UUID id = UUID.randomUUID();
        String asked = lesson(DAY, grownUps(18), "\"fixed\":[]");
        Answer made = keep(id, asked);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        JsonNode plan = made.json().get("plan");
        int minutes = 0;
        for (JsonNode line : plan.get("lines")) {
            assertThat(line.get("from").intValue()).isEqualTo(minutes);
            minutes += line.get("minutes").intValue();
            int people = 0;
            for (JsonNode group : line.get("groups")) {
                people += group.get("people").size();
                assertThat(group.get("why")).isNotEmpty();
            }
            assertThat(people).isIn(0, 18);
        }
        assertThat(minutes).isEqualTo(60);
        assertThat(plan.get("after").doubleValue()).isBetween(plan.get("now").doubleValue(), plan.get("now").doubleValue() + plan.get("added").doubleValue());
        assertThat(keep(id, asked).json().get("version").intValue()).as("sent twice, kept once").isEqualTo(1);
        JsonNode again = client.get(map + "/classes/" + id + "?today=" + DAY).json();
        assertThat(again.get("changed").booleanValue()).isFalse();
        assertThat(keys(again)).isEqualTo(keys(made.json()));
        assertThat(client.get(map + "/classes?from=" + DAY + "&until=" + DAY).json().findValuesAsString("id")).contains(id.toString());
        Answer calendar = client.get(map + "/classes/calendar?from=" + DAY + "&until=" + DAY);
        assertThat(calendar.type()).startsWith("text/calendar");
        assertThat(calendar.text()).contains("UID:" + id + "@narrow-gate").contains("DTSTART:20261127T193000");
        String words = client.get(map + "/classes/" + id + "/markdown").text();
        assertThat(words).contains("# Mount").contains("Tap early").contains("19:30").doesNotContain("knee on the belly");
        client.delete(map + "/classes/" + id);
    }

    @Test
    void whatIsFixedStaysAndAStaleChangeIsRefused() {
        UUID id = UUID.randomUUID();
        List<String> here = grownUps(12);
        JsonNode made = keep(id, lesson(DAY, here, "\"fixed\":[]")).json();
        String fresh = keys(made).stream().filter(key -> key.startsWith("new:")).findFirst().orElseThrow();
        String fixed = lesson(DAY, here, "\"fixed\":[{\"unit\":\"%s\",\"minutes\":15}]".formatted(fresh));
        String at = map + "/classes/" + id;
        JsonNode changed = client.put(at, "{\"version\":1,\"over\":false,\"lesson\":%s}".formatted(fixed)).json();
        for (JsonNode line : changed.get("plan").get("lines")) {
            assertThat(line.get("fixed").booleanValue()).isEqualTo(line.get("unit").get("key").stringValue().equals(fresh));
            assertThat(!line.get("fixed").booleanValue() || line.get("minutes").intValue() == 15).isTrue();
        }
        Answer stale = client.put(at, "{\"version\":1,\"over\":false,\"lesson\":%s}".formatted(fixed));
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.json().get("version").intValue()).isEqualTo(2);
        Answer tooMuch = client.put(at, "{\"version\":2,\"over\":false,\"lesson\":%s}".formatted(fixed.replace("\"minutes\":15", "\"minutes\":58")));
        assertThat(tooMuch.status()).isEqualTo(422);
        assertThat(tooMuch.text()).contains("the class lasts 60");
        assertThat(client.get(at + "?today=" + DAY).json().get("version").intValue()).as("nothing half stored").isEqualTo(2);
        assertThat(client.delete(at).status()).isEqualTo(204);
        assertThat(client.get(at + "?today=" + DAY).status()).isEqualTo(404);
        assertThat(client.post(at + "/restore", "").status()).isEqualTo(204);
        assertThat(client.get(at + "?today=" + DAY).status()).isEqualTo(200);
        client.delete(at);
    }

    @Test
    void whoMissedTheLastClassHasItsLinksInTheRecall() {
        List<String> here = grownUps(8);
        UUID before = UUID.randomUUID();
        UUID after = UUID.randomUUID();
        JsonNode first = keep(before, lesson("2031-03-01", here.subList(0, 6), "\"fixed\":[]")).json();
        JsonNode second = keep(after, lesson("2031-03-04", here, "\"fixed\":[]")).json();
        assertThat(second.get("last").get("id").stringValue()).isEqualTo(before.toString());
        assertThat(second.get("absent").toString()).contains(here.get(6)).contains(here.get(7)).doesNotContain(here.get(0));
        JsonNode recall = StreamSupport.stream(second.get("plan").get("lines").spliterator(), false)
                .filter(line -> line.get("unit").get("section").stringValue().equals("recall")).findFirst().orElseThrow();
        assertThat(first.get("plan").toString()).contains(recall.get("unit").get("reactions").get(0).stringValue());
        assertThat(recall.get("missed")).hasSize(2);
        assertThat(here.subList(0, 6)).contains(recall.get("helper").stringValue());
        List.of(before, after).forEach(id -> client.delete(map + "/classes/" + id));
    }

    @Test
    void aClassThatIsOverKeepsWhatCameInItWhateverWouldBeBetterNow() {
        UUID id = UUID.randomUUID();
        List<String> here = grownUps(10);
        JsonNode made = keep(id, lesson("2031-05-01", here, "\"fixed\":[]")).json();
        String at = map + "/classes/" + id;
        String fewer = lesson("2031-05-01", here.subList(0, 4), "\"fixed\":[]").replace("step-by-step", "mostly-live");
        JsonNode corrected = client.put(at, "{\"version\":1,\"over\":true,\"lesson\":%s}".formatted(fewer)).json();
        assertThat(keys(corrected)).isEqualTo(keys(made));
        JsonNode later = client.get(at + "?today=2031-05-02").json();
        assertThat(keys(later)).isEqualTo(keys(made));
        assertThat(later.get("lesson").get("here")).hasSize(4);
        assertThat(keys(client.get(at + "?today=2031-05-01").json())).as("on the day it is worked out").isNotEqualTo(keys(made));
        client.delete(at);
    }

    @Test
    void nobodyHereIsNoErrorAndNonsenseIsNamed() {
        UUID id = UUID.randomUUID();
        Answer empty = keep(id, lesson(DAY, List.of(), "\"fixed\":[]"));
        assertThat(empty.status()).isEqualTo(201);
        assertThat(empty.json().has("plan")).as("nothing is planned for nobody").isFalse();
        client.delete(map + "/classes/" + id);
        String good = lesson(DAY, grownUps(2), "\"fixed\":[]");
        for (String[] wrong : new String[][] {{"\"minutes\":60", "\"minutes\":5"}, {"19:30", "25:00"}, {"\"limit\":12", "\"limit\":0"},
            {"\"odd\":\"three\"", "\"odd\":\"four\""}, {"\"usual\":\"step-by-step\"", "\"usual\":null"}, {"\"family\":\"mount\"", "\"family\":\"moon\""},
            {"\"read\":0.25", "\"read\":7"}, {"\"title\":\"Mount\"", "\"title\":\" \""}}) {
            Answer refused = keep(UUID.randomUUID(), good.replace(wrong[0], wrong[1]));
            assertThat(refused.status()).as(wrong[1] + refused.text()).isBetween(400, 422);
        }
    }

    @Test
    void aShapeIsKeptForTheGymAndFollowsTheLengthOfTheClass() {
        UUID id = UUID.randomUUID();
        String shape = """
                {"id":"%s","title":"Sparring night","minutes":60,"shape":[{"section":"warm-up","least":6,"most":8},{"section":"live","least":40,"most":52},
                {"section":"talk","least":2,"most":4}]}""".formatted(id);
        assertThat(client.post("/api/class-shapes", shape).status()).isEqualTo(204);
        assertThat(client.post("/api/class-shapes", shape).status()).as("sent twice, kept once").isEqualTo(204);
        JsonNode long90 = client.get("/api/class-shapes?minutes=90").json();
        assertThat(long90).hasSize(1);
        JsonNode live = StreamSupport.stream(long90.get(0).get("spans").spliterator(), false)
                .filter(span -> span.get("section").stringValue().equals("live")).findFirst().orElseThrow();
        assertThat(live.get("least").intValue()).isEqualTo(60);
        assertThat(live.get("most").intValue()).isEqualTo(78);
        Answer wrong = client.post("/api/class-shapes", shape.replace("\"least\":40", "\"least\":60").replace(id.toString(), UUID.randomUUID().toString()));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.text()).contains("the first number is the smaller one");
        assertThat(client.delete("/api/class-shapes/" + id).status()).isEqualTo(204);
        assertThat(client.delete("/api/class-shapes/" + id).status()).isEqualTo(404);
    }
}
