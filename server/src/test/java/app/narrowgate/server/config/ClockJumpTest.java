package app.narrowgate.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.ClockedMapTest;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** The machine's clock is put right while the house works: by hours, in either direction. */
class ClockJumpTest extends ClockedMapTest {

    private static final int HOUR = 3_600;
    private static final String RUN = "{\"kind\":\"simulation\",\"rounds\":10000,\"seed\":%d,\"question\":{}}";

    private static int revision() {
        return client.get(map).json().get("revision").intValue();
    }

    private static List<String> people() {
        return StreamSupport.stream(client.get("/api/people").json().spliterator(), false)
                .filter(one -> one.get("age").stringValue().equals("adults")).map(one -> one.get("id").stringValue()).toList();
    }

    /** Notes a round by the clock of a telephone, which nobody sets. */
    private static void note(UUID id) {
        Answer noted = client.post(map + "/record/events", """
                {"events":[{"id":"%s","kind":"round","at":"%s","person":"%s","partner":"%s","start":"mount-low","ending":"guard"}]}"""
                .formatted(id, Instant.now(), people().get(0), people().get(1)));
        assertThat(noted.status()).as(noted.text()).isEqualTo(204);
        assertThat(client.get(map + "/record/events").text()).contains(id.toString());
    }

    private static void add(String place) {
        Answer added = client.putPart(map, revision(), "situations", place, """
                {"title":"A place by the clock: %s","family":"turtle","stage":"joined"}""".formatted(place));
        assertThat(added.status()).as(added.text()).isEqualTo(200);
    }

    private static boolean holds(String place) {
        return client.get(map).text().contains("A place by the clock: " + place);
    }

    private static void takeBack() {
        Answer taken = client.post(map + "/undo?revision=" + revision(), "");
        assertThat(taken.status()).as(taken.text()).isEqualTo(200);
    }

    /** What a coach does on an evening: comes in, edits, takes back, has something computed, notes a round. */
    private static void anEvening(String place) {
        assertThat(server.signedIn().get(map).status()).isEqualTo(200);
        add(place);
        assertThat(holds(place)).isTrue();
        takeBack();
        assertThat(holds(place)).isFalse();
        assertThat(client.run(map, RUN.formatted(place.length())).get("state").stringValue()).isEqualTo("done");
        note(UUID.randomUUID());
    }

    @Test
    void setBackItKeepsNobodyOutAndLosesNothing() throws IOException {
        later(2 * HOUR);
        TestClient from = server.signedIn();
        add("later");
        note(UUID.randomUUID());
        later(-2 * HOUR);
        assertThat(from.get(map).status()).as("whoever came in by the wrong clock").isEqualTo(200);
        assertThat(holds("later")).isTrue();
        takeBack();
        assertThat(holds("later")).as("the last change is the last one, whatever the clock said").isFalse();
        anEvening("set-back");
    }

    @Test
    void putAheadItKeepsNobodyOutAndLosesNothing() throws IOException {
        TestClient from = server.signedIn();
        add("earlier");
        later(2 * HOUR);
        assertThat(from.get(map).status()).isEqualTo(200);
        assertThat(holds("earlier")).isTrue();
        takeBack();
        assertThat(holds("earlier")).isFalse();
        anEvening("put-ahead");
        later(-2 * HOUR);
    }
}
