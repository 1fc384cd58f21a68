package app.narrowgate.server.odds;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What the reading views ask for. */
class ReadingApiTest extends DemoMapTest {

    private static JsonNode get(String path) {
        Answer answer = client.get(map + path);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void storiesAreToldLikeliestFirst() {
        JsonNode stories = get("/odds/stories?most=3");
        assertThat(stories).hasSize(3);
        assertThat(stories.get(0).get("chance").doubleValue())
                .isGreaterThanOrEqualTo(stories.get(1).get("chance").doubleValue());
        assertThat(stories.get(0).get("words").get(0).stringValue()).isNotBlank();
        assertThat(client.get(map + "/odds/stories?most=99").status()).isEqualTo(400);
    }

    @Test
    void everyStanceHasItsWorth() {
        JsonNode stances = get("/odds/stances?matchup=much-heavier");
        assertThat(stances).hasSize(12);
        for (JsonNode principle : stances) {
            for (JsonNode choice : principle.get("choices")) {
                assertThat(choice.get("start").doubleValue()).isBetween(0.0, 1.0);
            }
        }
    }

    @Test
    void whatIsHeldLeadsToASituation() {
        JsonNode judged = get("/held?held=hips,trunk,head&free=near-leg&so=shoulders-forward&so=arm-to-trap");
        assertThat(judged.get("likely").get(0).get("situation").stringValue()).isEqualTo("mount-low");
        assertThat(client.get(map + "/held?held=tail").status()).isEqualTo(422);
        assertThat(client.get(map + "/held?so=ghost").status()).isEqualTo(422);
    }

    /** Where all names are looked at, one that ends a line is met after the request was let in. */
    @Test
    void aNameThatEndsALineIsRefusedInWords() {
        Answer answer = client.get(map + "/held?%0D%0ASet-Cookie%3A%20a%3Db=x");
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.json().get("detail").stringValue()).contains("the end of a line");
    }

    @Test
    void holdsSayWhatStopsThem() {
        JsonNode holds = get("/holds");
        assertThat(holds.findValuesAsString("title")).contains("Mount", "Choke from behind");
        for (JsonNode hold : holds) {
            assertThat(hold.get("denials")).isNotEmpty();
        }
    }
}
