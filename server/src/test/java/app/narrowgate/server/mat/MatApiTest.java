package app.narrowgate.server.mat;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.ClockedMapTest;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A class as it runs, on the real database: steered, followed by links, and kept as what really happened. */
class MatApiTest extends ClockedMapTest {

    private static final String DAY = "2032-05-04";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static List<String> grownUps() {
        return StreamSupport.stream(client.get("/api/people").json().spliterator(), false)
                .filter(one -> one.get("age").stringValue().equals("adults")).map(one -> one.get("id").stringValue()).toList();
    }

    /** The address of a class on the mat, with so many people in it. */
    private static String onTheMat(int people) {
        return onTheMat(people, "");
    }

    /** @param fixed what its instructor wants in it, as the body of a list */
    private static String onTheMat(int people, String fixed) {
        UUID id = UUID.randomUUID();
        Answer kept = client.post(map + "/classes", """
                {"id":"%s","lesson":{"title":"Mount","day":"%s","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                "usual":"step-by-step","here":[%s],"fixed":[%s],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}}"""
                .formatted(id, DAY, String.join(",", grownUps().stream().limit(people).map(one -> "\"" + one + "\"").toList()), fixed));
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        String at = map + "/classes/" + id;
        Answer laid = client.post(at + "/mat", "");
        assertThat(laid.status()).as(laid.text()).isEqualTo(200);
        return at;
    }

    private static String press(UUID id, String deed, int step, String more) {
        return "{\"id\":\"%s\",\"deed\":\"%s\",\"step\":%d,\"ago\":0%s}".formatted(id, deed, step, more);
    }

    private static JsonNode pressed(String at, String deed, int step, String more) {
        Answer answer = client.post(at + "/mat/presses", press(UUID.randomUUID(), deed, step, more));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static JsonNode mat(String at) {
        return client.get(at + "/mat").json().get("mat");
    }

    private static int seconds(JsonNode mat) {
        int all = 0;
        for (JsonNode part : mat.get("parts")) {
            for (JsonNode step : part.get("steps")) {
                all += step.get("seconds").intValue();
            }
        }
        return all;
    }

    private static List<String> units(JsonNode mat) {
        List<String> units = new ArrayList<>();
        mat.get("parts").forEach(part -> units.add(part.get("unit").stringValue()));
        return units;
    }

    @Test
    void aClassIsLaidOutToTheSecondAndSteered() {
        String at = onTheMat(9);
        JsonNode ready = mat(at);
        assertThat(ready.get("state").stringValue()).isEqualTo("ready");
        assertThat(seconds(ready)).isEqualTo(60 * 60);
        assertThat(client.get(at + "/mat").text()).doesNotContain("knee on the belly");
        int first = ready.get("step").intValue();
        UUID once = UUID.randomUUID();
        client.post(at + "/mat/presses", press(UUID.randomUUID(), "start", first, ""));
        client.post(at + "/mat/presses", press(once, "longer", first, ",\"seconds\":60"));
        JsonNode longer = client.post(at + "/mat/presses", press(once, "longer", first, ",\"seconds\":60")).json();
        long planned = ready.get("left").longValue();
        assertThat(longer.get("left").longValue()).as("pressed once, sent twice").isBetween(planned + 1, planned + 60_000);
        JsonNode on = pressed(at, "forward", first, "");
        assertThat(on.get("step").intValue()).isGreaterThan(first);
        assertThat(pressed(at, "forward", first, "").get("step")).as("meant for a step that is over").isEqualTo(on.get("step"));
        assertThat(client.post(at + "/mat", "").json().get("mat").get("step")).as("laid out once").isEqualTo(on.get("step"));
        assertThat(client.post(at + "/mat/presses", press(UUID.randomUUID(), "dance", first, "")).status()).isEqualTo(422);
        assertThat(client.post(at + "/mat/presses", press(UUID.randomUUID(), "longer", on.get("step").intValue(), "")).text()).contains("by how much longer");
    }

    @Test
    void aDialHasNotchesAndThreeTakeTurns() {
        JsonNode mat = mat(onTheMat(9, "{\"unit\":\"live:mount-low~dial\",\"minutes\":12}"));
        JsonNode dial = part(mat, "live:mount-low~dial");
        assertThat(dial.get("drill").stringValue()).isEqualTo("dial");
        assertThat(dial.get("stop").stringValue()).contains("lighter partner");
        assertThat(dial.get("cautions").toString()).contains("Never on the neck").contains("The head is held here");
        int turns = 0;
        for (JsonNode step : dial.get("steps")) {
            boolean works = step.get("kind").stringValue().equals("round");
            assertThat(step.get("notches").intValue() > 1).isEqualTo(works);
            if (works) {
                JsonNode three = step.get("threes").get(0);
                assertThat(Stream.of("bottom", "top", "rests").map(role -> three.get(role).stringValue())).doesNotHaveDuplicates();
                turns++;
            }
        }
        assertThat(turns).isGreaterThan(1);
        mat.get("parts").forEach(part -> part.get("steps").forEach(step ->
                assertThat(step.get("notches").intValue()).isLessThanOrEqualTo(part.get("unit").stringValue().endsWith("~dial") ? 8 : 0)));
    }

    private static JsonNode part(JsonNode mat, String unit) {
        return StreamSupport.stream(mat.get("parts").spliterator(), false).filter(part -> part.get("unit").stringValue().equals(unit)).findFirst().orElseThrow();
    }

    @Test
    void aBreakIsPutInAndAPartTakenOut() {
        String at = onTheMat(6);
        JsonNode mat = mat(at);
        int first = mat.get("step").intValue();
        pressed(at, "start", first, "");
        JsonNode with = pressed(at, "break", first, ",\"minutes\":2");
        assertThat(units(with).get(1)).isEqualTo("break");
        JsonNode last = mat.get("parts").get(mat.get("parts").size() - 1);
        JsonNode without = pressed(at, "drop", last.get("steps").get(0).get("number").intValue(), "");
        assertThat(units(without)).doesNotContain(last.get("unit").stringValue());
        Answer begun = client.post(at + "/mat/presses", press(UUID.randomUUID(), "drop", first, ""));
        assertThat(begun.status()).isEqualTo(422);
        assertThat(begun.text()).contains("skip it");
        String more = client.get(at + "?today=" + DAY).json().get("plan").get("leftOut").get(0).get("unit").get("key").stringValue();
        assertThat(units(pressed(at, "insert", first, ",\"unit\":\"%s\",\"minutes\":6".formatted(more)))).contains(more);
    }

    @Test
    void whoComesLateJoinsOneGroupAndWhoGoesLeavesNobodyAlone() {
        String at = onTheMat(8);
        int first = mat(at).get("step").intValue();
        pressed(at, "start", first, "");
        String late = grownUps().get(8);
        JsonNode before = mat(at);
        JsonNode after = pressed(at, "come", first, ",\"person\":\"%s\"".formatted(late));
        assertThat(after.get("here").intValue()).isEqualTo(9);
        for (int part = 0; part < before.get("parts").size(); part++) {
            for (int bout = 0; bout < before.get("parts").get(part).get("bouts").size(); bout++) {
                List<String> was = groups(before.get("parts").get(part).get("bouts").get(bout));
                List<String> is = groups(after.get("parts").get(part).get("bouts").get(bout));
                was.removeAll(is);
                assertThat(was).as("groups that changed").hasSize(1);
            }
        }
        JsonNode gone = pressed(at, "leave", first, ",\"person\":\"%s\"".formatted(grownUps().get(0)));
        assertThat(gone.get("here").intValue()).isEqualTo(8);
        gone.get("parts").forEach(part -> part.get("bouts").forEach(bout ->
                bout.forEach(group -> assertThat(group.size()).isGreaterThan(1))));
        assertThat(client.post(at + "/mat/presses", press(UUID.randomUUID(), "come", first, ",\"person\":\"%s\"".formatted(UUID.randomUUID()))).status())
                .isEqualTo(404);
    }

    /** Somebody whose neck hurts feeds only where the neck is loaded, also when they come late, and a screen is not told. */
    @Test
    void whoComesLateAndIsHurtOnlyFeeds() {
        String person = client.post("/api/people", "{\"people\":[{\"name\":\"Pell Underhill\",\"level\":\"novice\",\"age\":\"adults\",\"notes\":\"\"}]}").json()
                .get(0).get("id").stringValue();
        client.put("/api/people/%s/health".formatted(person), "{\"ailments\":[{\"injury\":\"neck\",\"avoid\":\"\"}]}");
        String at = onTheMat(8);
        int first = mat(at).get("step").intValue();
        JsonNode with = pressed(at, "come", first, ",\"person\":\"%s\"".formatted(person));
        assertThat(with.toString()).contains("Pell").doesNotContain("neck hurts").doesNotContain("Underhill");
        JsonNode feeds = client.get(at + "/mat").json().get("feeds");
        assertThat(feeds.findValues("names").stream().filter(names -> names.toString().contains("Pell"))).isNotEmpty();
        client.delete("/api/people/" + person);
    }

    private static List<String> groups(JsonNode bout) {
        List<String> groups = new ArrayList<>();
        bout.forEach(group -> groups.add(group.toString()));
        return groups;
    }

    @Test
    void aClassGoesOnWhenTheClockIsSetBack() throws IOException {
        String at = onTheMat(6);
        JsonNode ready = mat(at);
        int step = ready.get("step").intValue();
        long planned = ready.get("left").longValue();
        pressed(at, "start", step, "");
        later(-3_600);
        assertThat(mat(at).get("left").longValue()).as("stands").isBetween(planned - 60_000, planned);
        pressed(at, "longer", step, ",\"seconds\":60");
        later(90);
        assertThat(mat(at).get("left").longValue()).as("a minute and a half after a press that gave a minute")
                .isBetween(planned - 90_000, planned - 30_000);
        pressed(at, "finish", step, "");
        later(3_510);
    }

    @Test
    void whatReallyHappenedIsKeptWithTheClass() throws IOException {
        String at = onTheMat(6);
        JsonNode mat = mat(at);
        JsonNode second = mat.get("parts").get(1);
        JsonNode shown = second.get("steps").get(0);
        pressed(at, "start", mat.get("step").intValue(), "");
        pressed(at, "skip", mat.get("step").intValue(), "");
        later(200);
        assertThat(mat(at).get("step")).as("shown until somebody says so").isEqualTo(shown.get("number"));
        assertThat(mat(at).get("left").longValue()).isNegative();
        pressed(at, "forward", shown.get("number").intValue(), "");
        later(20);
        JsonNode round = second.get("steps").get(2);
        assertThat(mat(at).get("step")).isEqualTo(round.get("number"));
        later(120);
        UUID late = UUID.randomUUID();
        assertThat(client.post(at + "/mat/presses", press(late, "stop", 0, "").replace("\"ago\":0", "\"ago\":60000")).json().get("state").stringValue())
                .as("pressed a minute ago, while the network was away").isEqualTo("stopped");
        later(1_000);
        JsonNode over = pressed(at, "finish", 0, "");
        assertThat(over.get("state").stringValue()).isEqualTo("over");
        JsonNode kept = client.get(at + "?today=" + DAY).json();
        JsonNode came = kept.get("came");
        assertThat(came).hasSize(1);
        assertThat(came.get(0).get("unit")).isEqualTo(second.get("unit"));
        assertThat(came.get(0).get("minutes").intValue()).isEqualTo(5);
        assertThat(kept.get("plan").get("lines").size()).as("the class is shown as it came").isEqualTo(1);
        assertThat(client.put(at, "{\"version\":%d,\"over\":false,\"lesson\":%s}".formatted(kept.get("version").intValue(), kept.get("lesson"))).json()
                .get("came")).as("correcting who was there changes nothing that came").isEqualTo(came);
        JsonNode shorter = client.put(at, "{\"version\":%d,\"over\":true,\"lesson\":%s,\"came\":[{\"unit\":%s,\"minutes\":3}]}".formatted(
                kept.get("version").intValue() + 1, kept.get("lesson"), came.get(0).get("unit"))).json();
        assertThat(shorter.get("came").get(0).get("minutes").intValue()).isEqualTo(3);
        assertThat(shorter.get("came").get(0).get("pairs")).isEqualTo(came.get(0).get("pairs"));
        assertThat(client.get(map + "/classes?from=" + DAY + "&until=" + DAY).json().findValues("ran").toString()).contains("true");
        assertThat(pressed(at, "go", 0, "").get("state").stringValue()).isEqualTo("running");
        client.delete(at + "/mat");
        Answer again = client.post(at + "/mat", "");
        assertThat(again.status()).isEqualTo(422);
        assertThat(again.text()).contains("has been run");
    }

    /** Until it has begun, what is on the mat is what is planned; afterwards the plan may change and the class goes on. */
    @Test
    void aPlanThatIsChangedBeforeTheClassBeginsIsLaidOutAnew() {
        String at = onTheMat(6);
        JsonNode kept = client.get(at + "?today=" + DAY).json();
        String longer = kept.get("lesson").toString().replace("\"minutes\":60", "\"minutes\":75");
        client.put(at, "{\"version\":1,\"over\":false,\"lesson\":%s}".formatted(longer));
        assertThat(seconds(mat(at))).isEqualTo(60 * 60);
        assertThat(seconds(client.post(at + "/mat", "").json().get("mat"))).isEqualTo(75 * 60);
        pressed(at, "start", mat(at).get("step").intValue(), "");
        client.put(at, "{\"version\":2,\"over\":false,\"lesson\":%s}".formatted(kept.get("lesson")));
        assertThat(seconds(client.post(at + "/mat", "").json().get("mat"))).isEqualTo(75 * 60);
    }

    /** A stranger without a sign-in. */
    private static TestClient stranger() {
        TestClient stranger = server.client();
        stranger.get("/api/session");
        return stranger;
    }

    private static String link(String at, String kind) {
        Answer made = client.post(at + "/mat/links", "{\"kind\":\"%s\"}".formatted(kind));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("token").stringValue();
    }

    private static String shown(String token) {
        return "{\"token\":\"%s\"}".formatted(token);
    }

    @Test
    void aScreenFollowsByALinkAndGoesDarkWhenItIsWithdrawn() {
        String at = onTheMat(6);
        int first = mat(at).get("step").intValue();
        String token = link(at, "screen");
        Answer look = stranger().post("/api/screens/look", shown(token));
        assertThat(look.status()).as(look.text()).isEqualTo(200);
        client.get("/api/people").json().forEach(one -> assertThat(look.text()).doesNotContain(one.get("name").stringValue())
                .doesNotContain(one.get("id").stringValue()));
        assertThat(stranger().post("/api/screens/presses", "{\"token\":\"%s\",\"press\":%s}".formatted(token, press(UUID.randomUUID(), "forward", first, "")))
                .status()).isEqualTo(422);
        try (Stream<String> lines = stranger().lines("/api/screens/events", shown(token))) {
            Iterator<String> each = lines.iterator();
            assertThat(next(each, "mat").get("state").stringValue()).isEqualTo("ready");
            pressed(at, "start", first, "");
            JsonNode running = next(each, "stand");
            assertThat(running.get("state").stringValue()).isEqualTo("running");
            assertThat(running.has("parts")).as("sent once").isFalse();
            pressed(at, "break", first, ",\"minutes\":2");
            assertThat(units(next(each, "mat"))).contains("break");
            String id = client.get(at + "/mat/links").json().get(0).get("id").stringValue();
            assertThat(client.delete(at + "/mat/links/" + id).status()).isEqualTo(204);
            assertThat(next(each, "gone")).isNotNull();
        }
        assertThat(stranger().post("/api/screens/look", shown(token)).status()).isEqualTo(404);
        assertThat(stranger().post("/api/screens/look", shown("made-up")).text()).contains("withdrawn, or it is too old");
    }

    /** What the next event of a kind says; others may come before it. */
    private static JsonNode next(Iterator<String> lines, String event) {
        while (lines.hasNext()) {
            if (lines.next().equals("event:" + event)) {
                return JSON.readTree(lines.next().substring("data:".length()));
            }
        }
        throw new AssertionError("The stream ended without " + event);
    }

    @Test
    void aClickerGoesOnAndEndsNoClass() {
        String at = onTheMat(4);
        JsonNode mat = mat(at);
        int first = mat.get("step").intValue();
        String token = link(at, "clicker");
        assertThat(click(token, "forward", first).get("state").stringValue()).isEqualTo("running");
        JsonNode stopped = click(token, "toggle", first);
        assertThat(stopped.get("state").stringValue()).isEqualTo("stopped");
        assertThat(click(token, "toggle", first).get("state").stringValue()).isEqualTo("running");
        JsonNode now = click(token, "forward", first);
        for (int step = now.get("step").intValue(), before = 0; step != before; step = now.get("step").intValue()) {
            before = step;
            now = click(token, "forward", step);
        }
        assertThat(now.get("state").stringValue()).isEqualTo("running");
        assertThat(stranger().post("/api/screens/presses", "{\"token\":\"%s\",\"press\":%s}".formatted(token, press(UUID.randomUUID(), "finish", 0, "")))
                .status()).isEqualTo(422);
    }

    private static JsonNode click(String token, String deed, int step) {
        Answer answer = stranger().post("/api/screens/presses", "{\"token\":\"%s\",\"press\":%s}".formatted(token, press(UUID.randomUUID(), deed, step, "")));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void aClassThatIsNotOnTheMatSaysSo() {
        Answer none = client.get(map + "/classes/" + UUID.randomUUID() + "/mat");
        assertThat(none.status()).isEqualTo(404);
        String at = onTheMat(4);
        assertThat(client.delete(at + "/mat").status()).isEqualTo(204);
        assertThat(client.get(at + "/mat").text()).contains("not on the mat");
        UUID empty = UUID.randomUUID();
        client.post(map + "/classes", """
                {"id":"%s","lesson":{"title":"Nobody","day":"%s","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                "usual":"step-by-step","here":[],"fixed":[],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}}""".formatted(empty, DAY));
        Answer nobody = client.post(map + "/classes/" + empty + "/mat", "");
        assertThat(nobody.status()).isEqualTo(422);
        assertThat(nobody.text()).contains("who is here");
    }
}
