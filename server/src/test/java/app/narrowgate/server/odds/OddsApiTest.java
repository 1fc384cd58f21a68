package app.narrowgate.server.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
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
            assertThat(at.get("forced").doubleValue()).isLessThanOrEqualTo(at.get("worth").doubleValue() + 1e-6);
            assertThat(at.get("halfOrBetter").doubleValue())
                    .isGreaterThanOrEqualTo(at.get("guardOrBetter").doubleValue());
        }
    }

    @Test
    void theOverviewSaysTheSameInLess() {
        JsonNode odds = get("/odds?read=0.25&late=0.5&matchup=bad-knee");
        JsonNode overview = get("/odds/overview?read=0.25&late=0.5&matchup=bad-knee");
        assertThat(overview.get("start")).isEqualTo(odds.get("start"));
        assertThat(overview.get("forced")).isEqualTo(odds.get("forced"));
        assertThat(overview.get("situations").size()).isEqualTo(odds.get("situations").size());
        overview.get("situations").properties().forEach(entry -> {
            JsonNode whole = odds.get("situations").get(entry.getKey());
            JsonNode glance = entry.getValue();
            assertThat(glance.get("worth")).isEqualTo(whole.get("worth"));
            assertThat(glance.get("best")).isEqualTo(whole.get("best"));
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
        JsonNode knee = get("/odds?matchup=bad-knee").get("situations").get("quarter-knee-light").get("reactions").get(0);
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
    void gatesLateFlowRestAndSensitivityAnswer() {
        JsonNode gates = get("/odds/gates");
        assertThat(gates.get("gates").get(0).get("lost").doubleValue()).isPositive();
        assertThat(get("/odds/late").get("delays").size()).isEqualTo(21);
        JsonNode flow = get("/odds/flow?from=mount-low&exchanges=3");
        assertThat(flow.get("exchanges").get(0).get("places").get("mount-low").doubleValue()).isEqualTo(100);
        assertThat(get("/odds/rest").findValuesAsString("situation")).contains("half-guard");
        assertThat(get("/odds/sensitivity").get("reactions").get(0).get("visits").doubleValue()).isPositive();
        JsonNode cut = get("/odds/cut?threshold=0.5");
        assertThat(cut.get("found").booleanValue()).isTrue();
        assertThat(cut.get("startWithout").doubleValue()).isLessThan(0.5);
    }

    @Test
    void simulationAgreesAndRepeats() {
        JsonNode rolled = get("/odds/simulation?rounds=20000&seed=4");
        double solved = get("/odds").get("start").doubleValue();
        assertThat(rolled.get("worth").doubleValue()).isCloseTo(solved, within(4 * rolled.get("error").doubleValue()));
        assertThat(get("/odds/simulation?rounds=20000&seed=4")).isEqualTo(rolled);
        assertThat(rolled.get("stories").get(0).get("steps").size()).isPositive();
    }

    @Test
    void anUnchangedAnswerIsNotSentAgain() {
        String tag = client.tagOf(map + "/odds/gates?read=0.1");
        assertThat(client.getUnless(map + "/odds/gates?read=0.1", tag).status()).isEqualTo(304);
        assertThat(client.getUnless(map + "/odds/gates?read=0.2", tag).status()).isEqualTo(200);
        int revision = client.get(map).json().get("revision").intValue();
        client.post(map + "/reactions/hub-roll/responses",
                "{\"revision\":%d,\"cue\":\"They hop\",\"often\":{\"word\":\"rarely\"}}".formatted(revision));
        assertThat(client.getUnless(map + "/odds/gates?read=0.1", tag).status()).isEqualTo(200);
    }

    @Test
    void aRunIsWatchedAndItsResultIsTheSame() {
        JsonNode run = client.post(map + "/runs",
                "{\"kind\":\"simulation\",\"question\":{\"read\":0.2},\"rounds\":30000,\"seed\":9}").json();
        JsonNode over = await(run.get("id").stringValue());
        assertThat(over.get("state").stringValue()).isEqualTo("done");
        assertThat(over.get("simulation").get("worth"))
                .isEqualTo(get("/odds/simulation?read=0.2&rounds=30000&seed=9").get("worth"));
    }

    @Test
    void aRunCanBeStoppedAndBelongsToWhoStartedIt() {
        String id = client.post(map + "/runs",
                "{\"kind\":\"simulation\",\"question\":{},\"rounds\":1000000}").json().get("id").stringValue();
        assertThat(server.client().signIn("bram", "open-the-gate").get(map + "/runs/" + id).status()).isEqualTo(404);
        assertThat(client.delete(map + "/runs/" + id).status()).isEqualTo(200);
        assertThat(await(id).get("state").stringValue()).isEqualTo("stopped");
    }

    private static JsonNode await(String run) {
        Instant until = Instant.now().plus(Duration.ofMinutes(1));
        while (Instant.now().isBefore(until)) {
            JsonNode view = get("/runs/" + run);
            if (!Set.of("waiting", "running").contains(view.get("state").stringValue())) {
                return view;
            }
        }
        throw new AssertionError("The run never ended");
    }

    @Test
    void reviewAndComparisonAnswer() {
        JsonNode findings = get("/review?matchup=children");
        assertThat(findings.findValuesAsString("kind")).contains("unanswered-response");
        Answer compared = client.post(map + "/comparison",
                "{\"before\":{\"question\":{}},\"after\":{\"question\":{\"weightGap\":30}}}");
        assertThat(compared.status()).as(compared.text()).isEqualTo(200);
        assertThat(compared.json().get("startAfter").doubleValue())
                .isLessThan(compared.json().get("startBefore").doubleValue());
        assertThat(compared.json().get("situations").get(0).get("difference").doubleValue()).isNegative();
    }

    @Test
    void aRuleCanBeChangedAndTheOddsFollow() {
        double before = get("/odds?weightGap=30").get("start").doubleValue();
        int revision = client.get(map).json().get("revision").intValue();
        ObjectNode rule = (ObjectNode) client.get(map + "/parts/rules/heavier-strength").json();
        rule.put("amount", -0.2).put("reason", "Seen on our mat.").put("source", "our record");
        Answer changed = client.put(map + "/parts/rules/heavier-strength",
                "{\"revision\":%d,\"part\":%s}".formatted(revision, rule));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        assertThat(get("/odds?weightGap=30").get("start").doubleValue()).isLessThan(before);
        client.post(map + "/undo?revision=" + (revision + 1), "");
        assertThat(get("/odds?weightGap=30").get("start").doubleValue()).isEqualTo(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/odds?matchup=giant", "/odds?weightGap=900", "/odds?weightGap=NaN", "/odds?stance=near-hand",
        "/odds?stance=near-hand/nowhere", "/odds?level=expert", "/odds?injury=soul", "/odds/explanation?reaction=none",
        "/odds/explanation", "/odds/explanation?reaction=crossface-at-once", "/odds/cut?threshold=2", "/odds/cut",
        "/odds/cut?threshold=NaN", "/odds/flow?from=nowhere", "/odds/flow?exchanges=99", "/odds/simulation?rounds=0",
        "/odds/simulation?rounds=99999999", "/runs/00000000-0000-0000-0000-000000000000"})
    void badQuestionsAreRefused(String path) {
        Answer answer = client.get(map + path);
        assertThat(answer.status()).as(answer.text()).isBetween(400, 499);
        assertThat(answer.json().get("detail").stringValue()).isNotBlank().doesNotContain("Exception", "java.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{}", "{\"kind\":\"cut\",\"question\":{}}", "{\"kind\":\"all\",\"question\":{}}",
        "{\"kind\":\"simulation\",\"question\":{\"read\":7}}", "{\"kind\":\"simulation\",\"question\":{},\"rounds\":-1}"})
    void badRunsAreRefused(String body) {
        assertThat(client.post(map + "/runs", body).status()).isBetween(400, 499);
    }
}
