package app.narrowgate.server.question;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class QuestionApiTest extends DemoMapTest {

    private static List<String> open() {
        return StreamSupport.stream(client.get(map + "/questions").json().spliterator(), false)
                .map(q -> q.get("words").stringValue()).toList();
    }

    private static Answer ask(UUID id, String words, String situation) {
        return client.post(map + "/questions", situation == null
                ? "{\"id\":\"%s\",\"words\":\"%s\"}".formatted(id, words)
                : "{\"id\":\"%s\",\"words\":\"%s\",\"situation\":\"%s\"}".formatted(id, words, situation));
    }

    private static int revision() {
        return client.get(map).json().get("revision").intValue();
    }

    @Test
    void aQuestionWaitsBecomesAResponseAndUndoingOpensItAgain() {
        UUID id = UUID.randomUUID();
        assertThat(ask(id, "hop over the legs?", "mount-low").status()).isEqualTo(201);
        assertThat(ask(id, "hop over the legs?", "mount-low").status()).as("sent twice").isEqualTo(201);
        assertThat(open()).containsOnlyOnce("hop over the legs?");

        Answer answered = client.post(map + "/questions/" + id + "/answer", """
                {"revision":%d,"reaction":"low-trap-bridge","often":{"word":"rarely"},"leads":"half-guard"}"""
                .formatted(revision()));
        assertThat(answered.status()).as(answered.text()).isEqualTo(200);
        assertThat(answered.text()).contains("They hop over the legs");
        assertThat(open()).doesNotContain("hop over the legs?");

        client.post(map + "/undo?revision=" + revision(), "");
        assertThat(open()).contains("hop over the legs?");
        assertThat(client.delete(map + "/questions/" + id).status()).isEqualTo(204);
        assertThat(client.delete(map + "/questions/" + id).status()).isEqualTo(404);
        assertThat(open()).doesNotContain("hop over the legs?");
    }

    @Test
    void theOneWorthMostComesFirstAndWhatCannotBeToldLast() {
        UUID loose = UUID.randomUUID();
        UUID placed = UUID.randomUUID();
        ask(loose, "turn the lights off", null);
        ask(placed, "crawl up the mat", "mount-low");
        JsonNode questions = client.get(map + "/questions").json();
        double last = Double.MAX_VALUE;
        for (JsonNode question : questions) {
            double gain = question.path("gain").asDouble(-1);
            assertThat(gain).isLessThanOrEqualTo(last);
            last = gain;
        }
        assertThat(questions.get(questions.size() - 1).get("words").stringValue()).isEqualTo("turn the lights off");
        assertThat(questions.findValuesAsString("words")).contains("They sit back and wait", "crawl up the mat");
        client.delete(map + "/questions/" + loose);
        client.delete(map + "/questions/" + placed);
    }

    @Test
    void whatIsWrongIsSaidAndNothingIsKept() {
        int before = open().size();
        assertThat(ask(UUID.randomUUID(), " ", null).status()).isEqualTo(400);
        assertThat(ask(UUID.randomUUID(), "<b>sit", null).status()).isEqualTo(422);
        assertThat(ask(UUID.randomUUID(), "sit", "nowhere").status()).isEqualTo(404);
        assertThat(client.post(map + "/questions/" + UUID.randomUUID() + "/answer", """
                {"revision":1,"reaction":"hub-roll","often":{"word":"rarely"}}""").status()).isEqualTo(404);
        assertThat(open()).hasSize(before);
        assertThat(server.client().get(map + "/questions").status()).isEqualTo(401);
    }
}
