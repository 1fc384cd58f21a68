package app.narrowgate.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Classes, drills, terms, gates and a record outlive the parts of the map that they name. */
class EmptiedMapTest extends DemoMapTest {

    private static final long SEED = 7;
    /** How often each address is asked for, with other ids each time. */
    private static final int TIMES = 6;

    @Test
    void whatTheMapNoLongerHasStopsNothing() {
        Fuzzer fuzzer = new Fuzzer(client.get("/api/openapi").text(), SEED);
        new Knowledge(client, fuzzer).lookAt(client.firstMap());
        fuzzer.onlyRead();
        JsonNode nothing = client.post("/api/maps/new", "{\"title\":\"Nothing\",\"source\":\"empty\"}").json();
        Answer emptied = client.post(map + "/import", JsonNodeFactory.instance.objectNode().put("revision", client.get(map).json().get("revision").intValue())
                .put("format", "json").put("text", client.get("/api/maps/" + nothing.get("id").stringValue() + "/file").text()).put("whole", true).toString());
        assertThat(emptied.status()).as(emptied.text()).isEqualTo(200);
        for (int i = 0; i < TIMES * fuzzer.operations(); i++) {
            Fuzzer.Request request = fuzzer.next();
            Answer answer = client.get(request.path());
            assertThat(answer.status()).as("%s → %s", request, answer).isLessThan(500);
        }
        List<Integer> onTheMat = client.get(map + "/classes?from=2020-01-01&until=2040-01-01").json().findValuesAsString("id").stream().distinct()
                .map(id -> client.get(map + "/classes/" + id + "/mat").status()).toList();
        assertThat(onTheMat).as("one is on the mat and stays there").contains(200).allMatch(status -> status < 500);
    }
}
