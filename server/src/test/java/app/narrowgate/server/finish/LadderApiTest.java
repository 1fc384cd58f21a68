package app.narrowgate.server.finish;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Pins and finishes as ladders, over HTTP on the real database. */
class LadderApiTest extends DemoMapTest {

    private static JsonNode ladder(String question) {
        return client.get(map + "/holds/rear-choke/ladder" + question).json();
    }

    @Test
    void theLadderIsBuiltFromEarlyToLast() {
        JsonNode ladder = ladder("");
        List<String> order = List.of("early", "joined", "settled", "last-chance");
        List<Integer> stages = new ArrayList<>();
        List<Double> closes = new ArrayList<>(List.of(ladder.get("closes").doubleValue()));
        for (JsonNode rung : ladder.get("rungs")) {
            stages.add(order.indexOf(rung.get("stage").stringValue()));
            closes.add(rung.get("closes").doubleValue());
            assertThat(rung.get("gets").doubleValue()).isBetween(0.0, 1.0);
        }
        assertThat(stages).isSorted();
        assertThat(closes).isSorted().endsWith(1.0);
        assertThat(ladder.get("cautions").size()).isPositive();
        assertThat(ladder.get("neverClosed").booleanValue()).isFalse();
    }

    @Test
    void anAnswerOfTheSettingsPairCounts() {
        JsonNode early = ladder("").get("steps").get(0);
        JsonNode late = ladder("?late=3").get("steps").get(0);
        assertThat(early.get("answer").get("closes").doubleValue()).isLessThan(early.get("closes").doubleValue());
        assertThat(late.get("answer").get("inTime").doubleValue()).isLessThan(early.get("answer").get("inTime").doubleValue());
        assertThat(ladder("?age=children").get("neverClosed").booleanValue()).isTrue();
    }

    @Test
    void theListHasEveryHold() {
        JsonNode lines = client.get(map + "/holds/ladders").json();
        assertThat(lines.findValuesAsString("id")).contains("side-pin", "rear-choke", "guillotine");
        for (JsonNode line : lines) {
            assertThat(line.get("closes").doubleValue()).as(line.get("id").stringValue()).isBetween(0.0, 1.0);
            assertThat(line.get("needs").intValue()).isGreaterThan(1);
        }
    }

    /** What does most at each stage becomes the calls of one drill, from early to late. */
    @Test
    void theDenialsBecomeADrill() {
        JsonNode drill = client.get(map + "/drills/design?how=denials&place=rear-choke&minutes=8").json();
        List<String> best = new ArrayList<>();
        for (JsonNode step : ladder("").get("steps")) {
            String reaction = step.get("answer").get("reaction").stringValue();
            if (!best.contains(reaction)) {
                best.add(reaction);
            }
        }
        assertThat(drill.get("kind").stringValue()).isEqualTo("called");
        assertThat(drill.get("links").findValuesAsString("reaction")).isNotEmpty().isSubsetOf(best);
        assertThat(client.get(map + "/drills/design?how=denials&place=gone").status()).isEqualTo(404);
    }

    @Test
    void whatIsNotThereIsSaidAndStrangersSeeNothing() {
        assertThat(client.get(map + "/holds/gone/ladder").status()).isEqualTo(404);
        assertThat(client.get(map + "/holds/Not%20an%20id/ladder").status()).isIn(404, 422);
        assertThat(client.get(map + "/holds/rear-choke/ladder?late=-1").status()).isIn(400, 422);
        assertThat(server.client().get(map + "/holds/ladders").status()).isEqualTo(401);
    }
}
