package app.narrowgate.server.review;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.Optional;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class ReviewApiTest extends DemoMapTest {

    private static Optional<JsonNode> finding(String kind, String place) {
        return StreamSupport.stream(client.run(map, "{\"kind\":\"review\",\"question\":{}}").get("findings").spliterator(), false)
                .filter(f -> f.get("kind").stringValue().equals(kind) && f.get("place").stringValue().equals(place))
                .findFirst();
    }

    private static int revision() {
        return client.get(map).json().get("revision").intValue();
    }

    @Test
    void aFindingIsDismissedWithAReasonAndTakenBack() {
        String body = """
                {"kind":"unanswered-response","place":"side-framed-bridge","response":"%s","reason":"%s"}""";
        JsonNode open = finding("unanswered-response", "side-framed-bridge").orElseThrow();
        String response = open.get("response").stringValue();
        assertThat(client.put(map + "/review/dismissals", body.formatted(response, "Nobody here does that")).status())
                .isEqualTo(204);
        JsonNode dismissed = finding("unanswered-response", "side-framed-bridge").orElseThrow().get("dismissed");
        assertThat(dismissed.get("reason").stringValue()).isEqualTo("Nobody here does that");
        assertThat(dismissed.get("author").stringValue()).isEqualTo("Tamsin Orrel");
        client.delete(map + "/review/dismissals?kind=unanswered-response&place=side-framed-bridge&response=" + response);
        assertThat(finding("unanswered-response", "side-framed-bridge").orElseThrow().has("dismissed")).isFalse();
        assertThat(client.put(map + "/review/dismissals", body.formatted(response, " ")).status()).isEqualTo(400);
        assertThat(client.put(map + "/review/dismissals", body.formatted(response, "ok").replace("unanswered-response",
                "boring")).status()).isEqualTo(422);
    }

    @Test
    void aMendIsOneChangeAndCanBeUndone() {
        Answer added = client.putPart(map, revision(), "situations", "lost-place", """
                {"title":"Lost place","family":"turtle","stage":"joined"}""");
        assertThat(added.status()).as(added.text()).isEqualTo(200);
        JsonNode finding = finding("unreachable", "lost-place").orElseThrow();
        assertThat(finding.get("mends").findValuesAsString("title")).containsExactly("Let some rounds start here");
        Answer mended = client.post(map + "/review/mend", """
                {"revision":%d,"kind":"unreachable","place":"lost-place","mend":"start-here"}""".formatted(revision()));
        assertThat(mended.status()).as(mended.text()).isEqualTo(200);
        assertThat(mended.json().get("undo").get("summary").stringValue()).isEqualTo("Mended: Let some rounds start here");
        assertThat(finding("unreachable", "lost-place")).isEmpty();
        assertThat(client.post(map + "/review/mend", """
                {"revision":%d,"kind":"unreachable","place":"lost-place","mend":"start-here"}""".formatted(revision()))
                .status()).isEqualTo(404);
        client.post(map + "/undo?revision=" + revision(), "");
        assertThat(finding("unreachable", "lost-place")).isPresent();
    }
}
