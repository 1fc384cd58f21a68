package app.narrowgate.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * Whatever is sent, the server answers with a sentence, blames itself for nothing and goes on. {@code scripts/fuzz} sends
 * more: {@code -Dfuzz.requests} and {@code -Dfuzz.seed}.
 */
class FuzzTest extends DemoMapTest {

    private static final int REQUESTS = Integer.getInteger("fuzz.requests", 2000);
    private static final long SEED = Long.getLong("fuzz.seed", 1);
    /** Words of the program's own that are for nobody outside. */
    private static final String OWN_WORDS = ".*(java\\.|jakarta\\.|tools\\.jackson|springframework|app\\.narrowgate|Exception|"
            + "jdbc|PSQL|select |insert into).*";

    @Test
    void everyRequestGetsASentence() {
        String copy = client.post("/api/maps/new", """
                {"title":"For anything","source":"copy","from":"%s"}""".formatted(client.firstMap())).json().get("id").stringValue();
        String away = client.post("/api/maps/new", "{\"title\":\"Away\",\"source\":\"empty\"}").json().get("id").stringValue();
        client.put("/api/maps/" + away + "/archived?away=true", "");
        Map<String, List<String>> known = Map.of("mapId", List.of(copy, copy, copy, away, UUID.randomUUID().toString()),
                "from", List.of(copy, "mount-low"), "other", List.of(away, copy), "before", List.of(away),
                "situation", List.of("mount-low", "side-framed"), "reaction", List.of("side-framed-bridge", "low-trap-bridge"),
                "list", List.of("facts", "reactions", "situations", "techniques", "families"), "revision", List.of("1", "2", "3"),
                "name", List.of("tamsin", "Before spring"), "id", List.of(UUID.randomUUID().toString(), "mount-low", "no-such"));
        Fuzzer fuzzer = new Fuzzer(client.get("/api/openapi").text(), SEED, known);
        assertThat(fuzzer.operations()).isGreaterThan(30);
        Map<Integer, Integer> statuses = new TreeMap<>();
        for (int i = 0; i < REQUESTS; i++) {
            Fuzzer.Request request = fuzzer.next();
            boolean session = request.path().startsWith("/api/session") && !request.method().equals("GET");
            Answer answer = (session ? server.client() : client).send(request.method(), request.path(), request.body());
            String what = "seed %d, request %d: %s → %s".formatted(SEED, i, request, answer);
            statuses.merge(answer.status(), 1, Integer::sum);
            assertThat(answer.status()).as(what).isNotEqualTo(500).isNotEqualTo(401 + (session ? 1000 : 0)).isLessThan(504);
            if (answer.status() >= 400) {
                requireASentence(answer, what);
            }
        }
        assertThat(statuses.keySet()).as("some are taken, some are not").contains(200, 400, 404, 422);
        assertThat(client.get(map).status()).as("and it goes on").isEqualTo(200);
        System.out.println("Fuzz, seed " + SEED + ": answers by status " + statuses);
    }

    private static void requireASentence(Answer answer, String what) {
        assertThat(answer.type()).as(what).startsWith("application/problem+json");
        JsonNode detail = answer.json().path("detail");
        assertThat(detail.isString()).as(what).isTrue();
        assertThat(detail.stringValue()).as(what).matches("(?s).*[.!?”)].*").doesNotMatch("(?s)" + OWN_WORDS);
    }
}
