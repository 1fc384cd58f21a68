package app.narrowgate.server.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class OddsApiTest extends DemoMapTest {

    private static JsonNode get(String path) {
        Answer answer = client.get(map + path);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void everySituationHasBoundsThatHold() {
        JsonNode odds = get("/odds?aim=sport-points&read=0.3&late=0.5");
        assertThat(odds.get("converged").booleanValue()).isTrue();
        for (JsonNode at : odds.get("situations")) {
            assertThat(at.get("upper").doubleValue() - at.get("lower").doubleValue()).isBetween(0.0, 1e-6);
            double ends = at.get("neverEnds").doubleValue();
            for (JsonNode chance : at.get("ends")) {
                ends += chance.doubleValue();
            }
            assertThat(ends).isCloseTo(1, within(1e-7));
            assertThat(at.get("halfOrBetter").doubleValue())
                    .isGreaterThanOrEqualTo(at.get("guardOrBetter").doubleValue());
        }
    }

    @Test
    void theOverviewSaysTheSameInLess() {
        JsonNode odds = get("/odds?read=0.25&late=0.5&matchup=bad-knee");
        JsonNode overview = get("/odds/overview?read=0.25&late=0.5&matchup=bad-knee");
        assertThat(overview.get("start")).isEqualTo(odds.get("start"));
        assertThat(overview.get("situations").size()).isEqualTo(odds.get("situations").size());
        overview.get("situations").properties().forEach(entry -> {
            JsonNode whole = odds.get("situations").get(entry.getKey());
            JsonNode glance = entry.getValue();
            assertThat(glance.get("worth")).isEqualTo(whole.get("worth"));
            assertThat(glance.get("best")).isEqualTo(whole.get("best"));
            assertThat(glance.get("forced")).isEqualTo(whole.get("forced"));
            assertThat(glance.get("tap")).isEqualTo(whole.get("ends").get("tap"));
            assertThat(glance.get("usable").booleanValue())
                    .isEqualTo(whole.get("reactions").findValuesAsString("usable").contains("true"));
        });
    }

    @Test
    void aMatchupMovesTheOdds() {
        double even = get("/odds").get("start").doubleValue();
        assertThat(get("/odds?matchup=much-heavier").get("start").doubleValue()).isLessThan(even);
        assertThat(get("/odds?weightGap=40").get("start").doubleValue())
                .isLessThan(get("/odds?weightGap=20").get("start").doubleValue());
        JsonNode there = get("/odds?matchup=bad-knee").get("situations").get("quarter-knee-light").get("reactions");
        // What spares the knee comes first; what loads it says who closed it.
        assertThat(there.get(0).get("usable").booleanValue()).isTrue();
        JsonNode knee = there.valueStream().filter(r -> r.get("reaction").stringValue().equals("quarter-light-open"))
                .findFirst().orElseThrow();
        assertThat(knee.get("usable").booleanValue()).isFalse();
        assertThat(knee.get("closedBy").get(0).get("kind").stringValue()).isEqualTo("injury");
    }

    @Test
    void aHouseStanceClosesTheOther() {
        JsonNode reactions = get("/odds?stance=near-hand/upper-arm").get("situations").get("side-crossface")
                .get("reactions");
        assertThat(reactions.findValuesAsString("kind")).contains("stance");
    }

    @Test
    void anExplanationAddsUp() {
        JsonNode explanation = get("/odds/explanation?reaction=low-trap-bridge&read=0.25&late=0.5");
        double lost = 0;
        for (JsonNode part : explanation.get("parts")) {
            lost += part.get("lost").doubleValue();
        }
        assertThat(lost).isCloseTo(1 - explanation.get("worth").doubleValue(), within(1e-9));
    }

    @Test
    void gatesLateFlowRestAndCutAnswer() {
        JsonNode gates = run("{\"kind\":\"gates\",\"question\":{}}").get("gates");
        assertThat(gates.get("gates").get(0).get("lost").doubleValue()).isPositive();
        assertThat(get("/odds/late").get("delays").size()).isEqualTo(21);
        JsonNode flow = get("/odds/flow?from=mount-low&exchanges=3");
        assertThat(flow.get("exchanges").get(0).get("places").get("mount-low").doubleValue()).isEqualTo(100);
        assertThat(get("/odds/rest").findValuesAsString("situation")).contains("half-guard");
        JsonNode cut = run("{\"kind\":\"cut\",\"question\":{},\"threshold\":0.5}").get("cut");
        assertThat(cut.get("found").booleanValue()).isTrue();
        assertThat(cut.get("startWithout").doubleValue()).isLessThan(0.5);
    }

    @Test
    void simulationAgreesAndRepeats() {
        JsonNode rolled = run("{\"kind\":\"simulation\",\"question\":{},\"rounds\":20000,\"seed\":4}").get("simulation");
        double solved = get("/odds").get("start").doubleValue();
        assertThat(rolled.get("worth").doubleValue()).isCloseTo(solved, within(4 * rolled.get("error").doubleValue()));
        assertThat(run("{\"kind\":\"simulation\",\"question\":{},\"rounds\":20000,\"seed\":4}").get("simulation"))
                .isEqualTo(rolled);
        assertThat(rolled.get("stories").get(0).get("steps").size()).isPositive();
    }

    @Test
    void anUnchangedAnswerIsNotSentAgain() {
        String tag = client.tagOf(map + "/odds/late?read=0.1");
        assertThat(client.getUnless(map + "/odds/late?read=0.1", tag).status()).isEqualTo(304);
        assertThat(client.getUnless(map + "/odds/late?read=0.2", tag).status()).isEqualTo(200);
        int revision = client.get(map).json().get("revision").intValue();
        client.post(map + "/reactions/hub-roll/responses",
                "{\"revision\":%d,\"cue\":\"They hop\",\"often\":{\"word\":\"rarely\"}}".formatted(revision));
        assertThat(client.getUnless(map + "/odds/late?read=0.1", tag).status()).isEqualTo(200);
    }

    private static JsonNode run(String body) {
        JsonNode over = client.run(map, body);
        assertThat(over.get("state").stringValue()).as(over.toString()).isEqualTo("done");
        return over;
    }

    @Test
    void theSameQuestionIsOneRun() {
        String body = "{\"kind\":\"simulation\",\"question\":{\"read\":0.2},\"rounds\":300000,\"seed\":9}";
        String first = client.post(map + "/runs", body).json().get("id").stringValue();
        assertThat(client.post(map + "/runs", body).json().get("id").stringValue()).isEqualTo(first);
        assertThat(client.run(map, body).get("id").stringValue()).isEqualTo(first);
    }

    /** What holds where nobody names a matchup stands on the map, and is what is solved. */
    @Test
    void theHouseMatchupAndThinkingTimeAreWhatIsSolved() {
        JsonNode house = client.get(map).json().get("house");
        String matchup = house.get("matchup").stringValue();
        assertThat(get("/odds").get("matchup").stringValue()).isEqualTo(matchup);
        assertThat(get("/odds")).isEqualTo(get("/odds?matchup=%s&thinkBase=%s&thinkPerBit=%s".formatted(matchup,
                house.get("thinkBase").asString(), house.get("thinkPerBit").asString())));
        int revision = client.get(map).json().get("revision").intValue();
        Answer changed = client.put(map + "/house",
                "{\"revision\":%d,\"matchup\":\"much-heavier\",\"thinkBase\":0.5,\"thinkPerBit\":0.3}".formatted(revision));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        assertThat(changed.json().get("house").get("matchup").stringValue()).isEqualTo("much-heavier");
        assertThat(get("/odds")).isEqualTo(get("/odds?matchup=much-heavier&thinkBase=0.5&thinkPerBit=0.3"));
        assertThat(client.put(map + "/house", "{\"revision\":%d,\"matchup\":\"giant\",\"thinkBase\":0.5,\"thinkPerBit\":0.3}"
                .formatted(revision + 1)).status()).isEqualTo(422);
        assertThat(client.put(map + "/house", "{\"revision\":%d,\"thinkBase\":-1,\"thinkPerBit\":0.3}"
                .formatted(revision + 1)).status()).isEqualTo(422);
        client.post(map + "/undo?revision=" + (revision + 1), "");
        assertThat(client.get(map).json().get("house")).isEqualTo(house);
    }

    /** Whether it is stopped in time or done before, it ends; how a run is stopped is what its own tests are about. */
    @Test
    void aRunCanBeStoppedAndBelongsToWhoStartedIt() {
        String body = "{\"kind\":\"simulation\",\"question\":{},\"rounds\":1000000}";
        String id = client.post(map + "/runs", body).json().get("id").stringValue();
        assertThat(server.client().signIn("bram", "open-the-gate").get(map + "/runs/" + id).status()).isEqualTo(404);
        assertThat(server.client().signIn("bram", "open-the-gate").delete(map + "/runs/" + id).status()).isEqualTo(404);
        assertThat(client.delete(map + "/runs/" + id).status()).isEqualTo(200);
        assertThat(client.run(map, body).get("state").stringValue()).isIn("done", "stopped");
    }

    @Test
    void aReviewAnswers() {
        JsonNode findings = run("{\"kind\":\"review\",\"question\":{\"matchup\":\"children\"}}").get("findings");
        assertThat(findings.findValuesAsString("kind")).contains("unanswered-response");
    }

    @Test
    void aComparisonSaysWhatMovedAndWhichHolesAreGone() {
        String copy = client.post("/api/maps/new", """
                {"title":"Compared","source":"copy","from":"%s"}""".formatted(map.substring(map.lastIndexOf('/') + 1)))
                .json().get("id").stringValue();
        Answer out = client.delete("/api/maps/" + copy + "/parts/reactions/low-trap-bridge?revision=1");
        assertThat(out.status()).as(out.text()).isEqualTo(200);
        JsonNode compared = run("{\"kind\":\"comparison\",\"question\":{},\"before\":\"%s\"}".formatted(copy))
                .get("comparison");
        assertThat(compared.get("startAfter").doubleValue()).isGreaterThan(compared.get("startBefore").doubleValue());
        assertThat(compared.get("situations").get(0).get("difference").doubleValue()).isPositive();
        assertThat(client.post(map + "/runs", "{\"kind\":\"comparison\",\"question\":{}}").status()).isEqualTo(422);
    }

    @Test
    void aRuleCanBeChangedAndTheOddsFollow() {
        double before = get("/odds?weightGap=30").get("start").doubleValue();
        int revision = client.get(map).json().get("revision").intValue();
        ObjectNode rule = (ObjectNode) client.get(map + "/parts/rules/heavier-strength").json();
        rule.put("amount", -0.2).put("reason", "Seen on our mat.").put("source", "our record");
        Answer changed = client.putPart(map, revision, "rules", "heavier-strength", rule);
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        assertThat(get("/odds?weightGap=30").get("start").doubleValue()).isLessThan(before);
        client.post(map + "/undo?revision=" + (revision + 1), "");
        assertThat(get("/odds?weightGap=30").get("start").doubleValue()).isEqualTo(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/odds?matchup=giant", "/odds?weightGap=900", "/odds?weightGap=NaN", "/odds?stance=near-hand",
        "/odds?stance=near-hand/nowhere", "/odds?level=expert", "/odds?injury=soul", "/odds/explanation?reaction=none",
        "/odds/explanation", "/odds/explanation?reaction=crossface-at-once", "/odds/flow?from=nowhere",
        "/odds/flow?exchanges=99", "/runs/00000000-0000-0000-0000-000000000000"})
    void badQuestionsAreRefused(String path) {
        Answer answer = client.get(map + path);
        assertThat(answer.status()).as(answer.text()).isBetween(400, 499);
        assertThat(answer.json().get("detail").stringValue()).isNotBlank().doesNotContain("Exception", "java.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{}", "{\"kind\":\"cut\",\"question\":{}}", "{\"kind\":\"cut\",\"question\":{},\"threshold\":2}",
        "{\"kind\":\"cut\",\"question\":{},\"threshold\":\"NaN\"}",
        "{\"kind\":\"simulation\",\"question\":{},\"rounds\":99999999}", "{\"kind\":\"all\",\"question\":{}}",
        "{\"kind\":\"simulation\",\"question\":{\"read\":7}}", "{\"kind\":\"simulation\",\"question\":{},\"rounds\":-1}"})
    void badRunsAreRefused(String body) {
        assertThat(client.post(map + "/runs", body).status()).isBetween(400, 499);
    }
}
