package app.narrowgate.server.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The reading trainer, over HTTP on the real database. */
class ReadingApiTest extends DemoMapTest {

    private static String reading(UUID id, boolean right, int answers, int milliseconds) {
        return """
                {"id":"%s","situation":"mount-low","reaction":"low-trap-bridge","chosen":"%s","correct":%s,"answers":%d,\
                "milliseconds":%d,"at":"2026-11-20T10:00:00Z"}""".formatted(id, right ? "trap-and-bridge" : "hip-frame-scoop", right,
                answers, milliseconds);
    }

    private static Answer keep(String... readings) {
        return client.post(map + "/readings", "[" + String.join(",", readings) + "]");
    }

    @Test
    void everyCueHasOneRightAnswerAndTheSeedDecides() {
        JsonNode deck = client.get(map + "/readings/deck?cards=12&seed=5").json();
        assertThat(deck.size()).isEqualTo(12);
        for (JsonNode card : deck) {
            int right = 0;
            for (JsonNode choice : card.get("choices")) {
                right += choice.get("right").booleanValue() ? 1 : 0;
            }
            assertThat(right).isEqualTo(1);
            assertThat(card.get("cue").stringValue()).isNotBlank();
        }
        assertThat(client.get(map + "/readings/deck?cards=12&seed=5").json()).isEqualTo(deck);
        assertThat(client.get(map + "/readings/deck?cards=12&seed=6").json()).isNotEqualTo(deck);
        assertThat(client.get(map + "/readings/deck?cards=0").status()).isEqualTo(400);
    }

    @Test
    void whatWasReadIsKeptOnceAndSaysWhenItKnows() {
        UUID twice = UUID.randomUUID();
        JsonNode little = keep(reading(twice, true, 2, 900)).json();
        int before = little.get("readings").intValue();
        assertThat(keep(reading(twice, true, 2, 900)).json().get("readings").intValue()).as("sent twice").isEqualTo(before);
        // 0.3 s and 0.4 s for each doubling: exact, so that the fit is too.
        for (int answers : new int[] {1, 3, 7, 1, 3, 7}) {
            keep(reading(UUID.randomUUID(), true, answers, (int) Math.round(300 + 400 * Math.log(answers + 1) / Math.log(2))));
        }
        JsonNode said = keep(reading(UUID.randomUUID(), false, 3, 2000)).json();
        assertThat(said.get("fit").get("perBit").get("value").doubleValue()).isCloseTo(0.4, within(0.05));
        assertThat(said.get("right").intValue()).isEqualTo(said.get("readings").intValue() - 1);
        assertThat(said.get("mixUps").get(0).get("chosenTitle").stringValue()).isEqualTo("Frame across the hips, scoop the foot");
        assertThat(server.client().signIn("bram", "open-the-gate").get(map + "/readings/mine").json().get("readings").intValue())
                .as("one's own and nobody else's").isZero();
    }

    @Test
    void whatIsWrongIsRefusedWhole() {
        int before = client.get(map + "/readings/mine").json().get("readings").intValue();
        assertThat(keep(reading(UUID.randomUUID(), true, 3, 900), reading(UUID.randomUUID(), true, 13, 900)).status()).isEqualTo(400);
        assertThat(keep(reading(UUID.randomUUID(), true, 3, 900), reading(UUID.randomUUID(), true, 3, 9)).status()).isEqualTo(400);
        assertThat(keep(reading(UUID.randomUUID(), true, 3, 900), reading(UUID.randomUUID(), true, 3, 900).replace("mount-low", "A b"))
                .status()).isEqualTo(422);
        assertThat(keep("null").status()).isEqualTo(400);
        assertThat(client.get(map + "/readings/mine").json().get("readings").intValue()).isEqualTo(before);
        assertThat(server.client().get(map + "/readings/mine").status()).isEqualTo(401);
    }
}
