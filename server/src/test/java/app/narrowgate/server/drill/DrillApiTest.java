package app.narrowgate.server.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The library, the planner and the proposals, over HTTP on the real database. */
class DrillApiTest extends DemoMapTest {

    private static final String CALLED = """
            {"title":"Low mount","kind":"called","place":"mount-low","opening":[],"links":[
            {"reaction":"low-trap-bridge","response":"low-trap-bridge-1","word":"Over"},
            {"reaction":"low-frame-scoop","response":"low-frame-scoop-1"}],"finishes":[],"extension":[],"fakes":[],
            "least":3,"most":5,"repetitions":2,"minutes":6,"sides":["left","right"],"note":"","seed":1}""";

    private static JsonNode titled(String title) {
        return StreamSupport.stream(client.get(map + "/drills").json().spliterator(), false)
                .filter(d -> d.get("title").stringValue().equals(title)).findFirst().orElse(null);
    }

    @Test
    void theDemoLibraryHoldsTheEverydayDrill() {
        JsonNode everyday = titled("Three to five out, then the sweep");
        assertThat(everyday.get("problems")).isEmpty();
        String at = map + "/drills/" + everyday.get("id").stringValue();
        JsonNode drill = client.get(at).json().get(0).get("drill");
        JsonNode plan = client.post(map + "/drills/plan", drill.toString()).json();
        assertThat(plan.get("minutes").doubleValue()).isCloseTo(11, within(0.4));
        assertThat(plan.get("figures").get("resets").intValue()).isZero();
        assertThat(plan.get("links").findValuesAsString("word")).contains("Round", "Hips", "Under", "Near", "Back", "Away");
        assertThat(plan.get("guessing").get("worst").doubleValue()).isLessThan(0.45);
        assertThat(plan.get("oneByOne").doubleValue()).isGreaterThan(plan.get("figures").get("seconds").doubleValue());
        assertThat(client.post(map + "/drills/plan", drill.toString()).json()).as("the same seed").isEqualTo(plan);
        Answer words = client.get(at + "/markdown");
        assertThat(words.text()).startsWith("# Three to five out").contains("Tap early").contains("| Round |");
        Answer file = client.get(at + "/file");
        assertThat(file.json().get("format").stringValue()).isEqualTo("narrowgate-drill/1");
        assertThat(client.post(map + "/drills/read", "{\"text\":%s}".formatted(JsonMapper.shared().writeValueAsString(file.text())))
                .json()).isEqualTo(drill);
    }

    @Test
    void aDrillIsKeptOnceChangedWithHistoryAndRemovedWithAWayBack() {
        UUID id = UUID.randomUUID();
        String made = "{\"id\":\"%s\",\"drill\":%s}".formatted(id, CALLED);
        assertThat(client.post(map + "/drills", made).status()).isEqualTo(201);
        assertThat(client.post(map + "/drills", made).status()).as("sent twice").isEqualTo(201);
        String at = map + "/drills/" + id;
        assertThat(client.get(at).json()).hasSize(1);
        String longer = CALLED.replace("\"minutes\":6", "\"minutes\":9");
        Answer changed = client.put(at, "{\"version\":1,\"drill\":%s}".formatted(longer));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        Answer stale = client.put(at, "{\"version\":1,\"drill\":%s}".formatted(CALLED));
        assertThat(stale.status()).isEqualTo(409);
        assertThat(stale.json().get("version").intValue()).isEqualTo(2);
        assertThat(client.get(at).json()).hasSize(2);
        assertThat(client.get(at).json().get(1).get("drill").get("minutes").doubleValue()).isEqualTo(6);
        assertThat(client.delete(at).status()).isEqualTo(204);
        assertThat(client.get(at).status()).isEqualTo(404);
        assertThat(titled("Low mount")).isNull();
        assertThat(client.post(at + "/restore", "").status()).isEqualTo(200);
        assertThat(titled("Low mount")).isNotNull();
        client.delete(at);
        assertThat(client.post(map + "/drills", made.replace("Low mount", "Other")).status()).as("the id is taken").isEqualTo(409);
    }

    @Test
    void thePairDecidesWhatIsPractised() {
        JsonNode beginners = client.post(map + "/drills/plan?matchup=first-months", CALLED).json();
        assertThat(beginners.get("links").size()).isLessThanOrEqualTo(2);
        assertThat(beginners.get("ladder").get(0).stringValue()).as("beginners begin alone").isEqualTo("solo");
        assertThat(beginners.get("threes").size()).isEqualTo(6);
        String crowbar = CALLED.replace("low-frame-scoop", "quarter-heavy-crowbar");
        JsonNode knee = client.post(map + "/drills/plan?matchup=bad-knee", crowbar).json();
        assertThat(knee.get("verdicts").get(0).get("because").get(0).get("what").stringValue()).isEqualTo("knee");
        assertThat(knee.get("verdicts").get(0).get("taken").stringValue()).isNotBlank();
        Answer children = client.get(map + "/drills/design?matchup=children&place=back-choke-closing");
        assertThat(children.status()).isEqualTo(422);
        assertThat(children.text()).contains("child");
    }

    @Test
    void whatIsWorthDrillingComesMostFirstAndIsReadyToBePlanned() {
        JsonNode proposals = client.get(map + "/drills/proposals?read=0.25&late=0.5").json();
        assertThat(proposals.size()).isGreaterThan(20);
        double last = Double.MAX_VALUE;
        for (JsonNode proposal : proposals) {
            assertThat(proposal.get("gain").doubleValue()).isLessThanOrEqualTo(last);
            last = proposal.get("gain").doubleValue();
        }
        assertThat(proposals.findValuesAsString("focus")).contains("everyday", "narrow-gate", "look-alike", "place");
        Answer plan = client.post(map + "/drills/plan", proposals.get(0).get("drill").toString());
        assertThat(plan.status()).as(plan.text()).isEqualTo(200);
        JsonNode everyday = client.get(map + "/drills/design?how=everyday&place=pass-outside&minutes=11").json();
        assertThat(everyday.get("kind").stringValue()).isEqualTo("round-pattern");
    }

    @Test
    void whatIsEasilyTakenForOneAnotherComesDearestFirst() {
        Answer answer = client.get(map + "/look-alikes?read=0.25&late=0.5");
        assertThat(answer.keepable()).isEqualTo("device");
        double last = Double.MAX_VALUE;
        for (JsonNode pair : answer.json()) {
            JsonNode one = pair.get("one");
            JsonNode other = pair.get("other");
            double price = one.get("chance").doubleValue() * one.get("loss").doubleValue()
                    + other.get("chance").doubleValue() * other.get("loss").doubleValue();
            assertThat(price).isPositive().isLessThanOrEqualTo(last + 1e-8);
            last = price;
            assertThat(one.get("situation")).isNotEqualTo(other.get("situation"));
        }
        assertThat(answer.json().size()).isGreaterThan(10);
        assertThat(client.get(map + "/look-alikes?read=2").status()).isEqualTo(400);
    }

    @Test
    void whatWasAnsweredLatelyIsWorthDrilling() {
        String copy = "/api/maps/" + client.post("/api/maps/new", """
                {"title":"Lately","source":"copy","from":"%s"}""".formatted(client.firstMap())).json().get("id").stringValue();
        assertThat(client.get(copy + "/drills/proposals").json().findValuesAsString("focus")).doesNotContain("answered-lately");
        Answer hole = client.post(copy + "/reactions/low-trap-bridge/responses", """
                {"revision":1,"cue":"They climb over the trapped foot","often":{"number":0.5},"leads":null}""");
        assertThat(hole.status()).as(hole.text()).isEqualTo(201);
        assertThat(client.get(copy + "/drills/proposals").json().findValuesAsString("focus")).as("a hole is not mended yet")
                .doesNotContain("answered-lately");
        client.post(copy + "/reactions/low-trap-bridge/responses", """
                {"revision":2,"cue":"They post on the head","often":{"number":0.5},"leads":"half-guard"}""");
        JsonNode lately = StreamSupport.stream(client.get(copy + "/drills/proposals").json().spliterator(), false)
                .filter(p -> p.get("focus").stringValue().equals("answered-lately")).findFirst().orElseThrow();
        assertThat(lately.get("place").stringValue()).isEqualTo("mount-low");
        assertThat(lately.get("drill").get("links").get(0).get("reaction").stringValue()).isEqualTo("low-trap-bridge");
        assertThat(client.post(copy + "/drills/plan", lately.get("drill").toString()).status()).isEqualTo(200);
    }

    @Test
    void whatIsWrongIsSaidAndNothingIsKept() {
        int before = client.get(map + "/drills").json().size();
        String none = CALLED.replace("low-trap-bridge-1", "low-trap-bridge-9");
        Answer unknown = client.post(map + "/drills", "{\"id\":\"%s\",\"drill\":%s}".formatted(UUID.randomUUID(), none));
        assertThat(unknown.status()).isEqualTo(422);
        assertThat(unknown.json().get("problems").get(0).get("place").stringValue()).isEqualTo("/links/0");
        assertThat(client.post(map + "/drills/plan", none).status()).isEqualTo(422);
        assertThat(client.post(map + "/drills/plan", CALLED.replace("\"minutes\":6", "\"minutes\":0")).status()).isEqualTo(400);
        assertThat(client.post(map + "/drills/plan", CALLED.replace("Low mount", "<b>Low")).status()).isEqualTo(422);
        Answer untitled = client.post(map + "/drills/plan", CALLED.replace("\"title\":\"Low mount\"", "\"title\":\" \""));
        assertThat(untitled.status()).isEqualTo(422);
        assertThat(untitled.text()).as("in words, not by the field's name").contains("A drill's title");
        assertThat(client.post(map + "/drills/plan", CALLED.replace("\"left\",\"right\"", "\"up\"")).status()).isEqualTo(422);
        assertThat(client.get(map + "/drills/design?how=guess&place=mount-low").status()).isEqualTo(422);
        assertThat(client.get(map + "/drills/design?place=nowhere").status()).isEqualTo(422);
        assertThat(client.get(map + "/drills/" + UUID.randomUUID()).status()).isEqualTo(404);
        assertThat(client.put(map + "/drills/" + UUID.randomUUID(), "{\"version\":1,\"drill\":%s}".formatted(CALLED)).status())
                .isEqualTo(404);
        assertThat(client.post(map + "/drills/read", "{\"text\":\"{\"}").status()).isEqualTo(422);
        assertThat(client.get(map + "/drills").json().size()).isEqualTo(before);
        assertThat(server.client().get(map + "/drills").status()).isEqualTo(401);
    }
}
