package app.narrowgate.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Classes, drills, terms, gates and a record outlive the parts of the map that they name. */
class EmptiedMapTest extends DemoMapTest {

    private static final long SEED = 7;
    /** How often each address is asked for, with other ids each time. */
    private static final int TIMES = 8;

    @Test
    void whatTheMapNoLongerHasStopsNothing() {
        Fuzzer fuzzer = new Fuzzer(client.get("/api/openapi").text(), SEED);
        new Knowledge(client, fuzzer).lookAt(client.firstMap());
        fuzzer.onlyRead();
        requireAnswers(fuzzer, "as it was");
        JsonNode nothing = client.post("/api/maps/new", "{\"title\":\"Nothing\",\"source\":\"empty\"}").json();
        Answer emptied = client.post(map + "/import", JsonNodeFactory.instance.objectNode().put("revision", client.get(map).json().get("revision").intValue())
                .put("format", "json").put("text", client.get("/api/maps/" + nothing.get("id").stringValue() + "/file").text()).put("whole", true).toString());
        assertThat(emptied.status()).as(emptied.text()).isEqualTo(200);
        requireAnswers(fuzzer, "emptied");
    }

    private static void requireAnswers(Fuzzer fuzzer, String state) {
        for (int i = 0; i < TIMES * fuzzer.operations(); i++) {
            Fuzzer.Request request = fuzzer.next();
            Answer answer = client.get(request.path());
            assertThat(answer.status()).as("%s, %s → %s", state, request, answer).isLessThan(500);
        }
    }
}
