package app.narrowgate.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;

/** What is kept beside a map and is dropped or overwritten; and a map that has been put away. */
class TraceTest extends DemoMapTest {

    private static final String DISMISSAL = """
            {"kind":"unanswered-response","place":"side-framed-bridge","response":"x","reason":"%s"}""";
    private static final String WHICH = "?kind=unanswered-response&place=side-framed-bridge&response=x";

    private static List<String> traces() {
        return StreamSupport.stream(client.get(map + "/traces").json().spliterator(), false)
                .map(trace -> trace.get("author").stringValue() + ": " + trace.get("words").stringValue()).toList();
    }

    private static Answer ask(UUID id, String words) {
        return client.post(map + "/questions", "{\"id\":\"%s\",\"words\":\"%s\"}".formatted(id, words));
    }

    @Test
    void aDroppedQuestionLeavesItsWords() {
        UUID id = UUID.randomUUID();
        ask(id, "hop over the legs");
        assertThat(client.delete(map + "/questions/" + id).status()).isEqualTo(204);
        assertThat(traces()).contains("Tamsin Orrel: Dropped the question “hop over the legs”, which Tamsin Orrel had asked");
    }

    @Test
    void anIdThatIsTakenIsNotTakenAgain() {
        UUID id = UUID.randomUUID();
        assertThat(ask(id, "grab the far ankle").status()).isEqualTo(201);
        assertThat(ask(id, "grab the far ankle").status()).as("the same once more").isEqualTo(201);
        Answer other = ask(id, "something else");
        assertThat(other.status()).isEqualTo(409);
        assertThat(other.json().get("detail").stringValue()).contains("taken by another question");
    }

    @Test
    void aNameTakenAwayLeavesATrace() {
        String version = client.post(map + "/versions", "{\"revision\":1,\"name\":\"Before spring\"}").json().get("id")
                .stringValue();
        assertThat(client.delete(map + "/versions/" + version).status()).isEqualTo(204);
        assertThat(traces()).contains("Tamsin Orrel: Took the name “Before spring” off change 1");
        assertThat(client.delete(map + "/versions/" + version).status()).isEqualTo(404);
    }

    @Test
    void anOverwrittenReasonAndOneTakenBackLeaveTraces() {
        client.put(map + "/review/dismissals", DISMISSAL.formatted("Nobody does that"));
        client.put(map + "/review/dismissals", DISMISSAL.formatted("Nobody does that"));
        client.put(map + "/review/dismissals", DISMISSAL.formatted("Only beginners do"));
        client.delete(map + "/review/dismissals" + WHICH);
        client.delete(map + "/review/dismissals" + WHICH);
        assertThat(traces()).filteredOn(words -> words.contains("side-framed-bridge")).containsExactly(
                "Tamsin Orrel: Let the finding about “side-framed-bridge/x” count again; Tamsin Orrel had said “Only beginners do”",
                "Tamsin Orrel: Wrote over why the finding about “side-framed-bridge/x” is none; Tamsin Orrel had said "
                        + "“Nobody does that”");
    }

    @Test
    void anUnknownMapIsNotThere() {
        String nowhere = "/api/maps/" + UUID.randomUUID();
        assertThat(client.delete(nowhere + "/review/dismissals" + WHICH).status()).isEqualTo(404);
        assertThat(client.put(nowhere + "/review/dismissals", DISMISSAL.formatted("No")).status()).isEqualTo(404);
        assertThat(client.delete(nowhere + "/versions/" + UUID.randomUUID()).status()).isEqualTo(404);
        assertThat(client.delete(nowhere + "/questions/" + UUID.randomUUID()).status()).isEqualTo(404);
        assertThat(client.get(nowhere + "/traces").status()).isEqualTo(404);
    }

    /** Every way to change something about it. */
    @Test
    void aMapPutAwayIsReadOnly() {
        String away = "/api/maps/" + client.post("/api/maps/new", """
                {"title":"Away","source":"copy","from":"%s"}""".formatted(client.firstMap())).json().get("id").stringValue();
        UUID question = UUID.randomUUID();
        client.post(away + "/questions", "{\"id\":\"%s\",\"words\":\"roll\"}".formatted(question));
        String version = client.post(away + "/versions", "{\"revision\":1,\"name\":\"First\"}").json().get("id").stringValue();
        assertThat(client.put(away + "/archived?away=true", "").status()).isLessThan(300);
        List<Answer> refused = List.of(
                client.putPart(away, 1, "facts", "no", "{\"title\":\"No\"}"),
                client.put(away, "{\"revision\":1,\"title\":\"Other\",\"about\":\"\"}"),
                client.post(away + "/undo?revision=1", ""),
                client.post(away + "/restore?revision=1&to=1", ""),
                client.post(away + "/questions", "{\"id\":\"%s\",\"words\":\"spin\"}".formatted(UUID.randomUUID())),
                client.post(away + "/questions/" + question + "/answer", """
                        {"revision":1,"reaction":"side-framed-bridge","often":{"word":"sometimes"}}"""),
                client.delete(away + "/questions/" + question),
                client.put(away + "/review/dismissals", DISMISSAL.formatted("No")),
                client.delete(away + "/review/dismissals" + WHICH),
                client.post(away + "/versions", "{\"revision\":1,\"name\":\"Again\"}"),
                client.delete(away + "/versions/" + version));
        assertThat(refused).allSatisfy(answer -> {
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.json().get("detail").stringValue()).startsWith("“Away” has been put away");
        });
        assertThat(client.get(away).json().get("revision").intValue()).isEqualTo(1);
        assertThat(client.put(away + "/archived?away=false", "").status()).isLessThan(300);
        assertThat(client.delete(away + "/questions/" + question).status()).isEqualTo(204);
    }
}
