package app.narrowgate.server.standing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Where people stand, over HTTP on the real database. */
class StandingApiTest extends DemoMapTest {

    /** A map on which nothing was taught or logged. */
    private static String own;

    @BeforeAll
    static void copyTheMap() {
        own = copied("To stand on");
    }

    private static String copied(String title) {
        return "/api/maps/" + client.post("/api/maps/new", """
                {"title":"%s","source":"copy","from":"%s"}""".formatted(title, map.substring(map.lastIndexOf('/') + 1))).json().get("id").stringValue();
    }

    private static JsonNode person(String firstName) {
        return stream(client.get("/api/people").json()).filter(one -> one.get("name").stringValue().startsWith(firstName + " ")).findFirst().orElseThrow();
    }

    private static String id(String firstName) {
        return person(firstName).get("id").stringValue();
    }

    private static Stream<JsonNode> stream(JsonNode all) {
        return StreamSupport.stream(all.spliterator(), false);
    }

    private static Answer keep(TestClient by, String on, String... events) {
        return by.post(on + "/record/events", "{\"events\":[" + String.join(",", events) + "]}");
    }

    private static String repetitions(UUID id, String person, String more) {
        return """
                {"id":"%s","kind":"repetitions","at":"%s","person":"%s","technique":"trap-and-bridge","role":"first"%s}"""
                .formatted(id, Instant.now(), person, more);
    }

    private static String round(String person, String start, String side, String ending) {
        return """
                {"id":"%s","kind":"round","at":"%s","person":"%s","start":"%s","side":"%s","ending":"%s"}"""
                .formatted(UUID.randomUUID(), Instant.now(), person, start, side, ending);
    }

    private static JsonNode standing(String on, String person) {
        Answer answer = client.get(on + "/standing/people/" + person);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static Optional<JsonNode> line(JsonNode standing, String technique) {
        return stream(standing.get("ledger")).filter(one -> one.get("technique").stringValue().equals(technique)).findFirst();
    }

    @Test
    void whatIsCountedStandsInTheLedgerOnceAndIsTakenOutAgain() {
        String who = id("Joss");
        UUID one = UUID.randomUUID();
        String event = repetitions(one, who, ",\"side\":\"left\",\"many\":20,\"clean\":14");
        assertThat(keep(client, own, event, event).status()).isEqualTo(204);
        assertThat(keep(server.client().signIn("ines", "open-the-gate"), own, event).status()).isEqualTo(204);
        JsonNode line = line(standing(own, who), "trap-and-bridge").orElseThrow();
        assertThat(line.at("/year/left").doubleValue()).isEqualTo(20);
        assertThat(line.at("/year/right").doubleValue()).isZero();
        assertThat(line.at("/year/clean/well").intValue()).isEqualTo(14);
        assertThat(line.at("/year/shorter").stringValue()).isEqualTo("right");
        assertThat(stream(standing(own, who).get("due")).map(each -> each.get("reaction").stringValue())).as("every answer by it").isNotEmpty();
        assertThat(keep(client, own, "{\"id\":\"%s\",\"kind\":\"void\",\"at\":\"%s\",\"voids\":\"%s\"}".formatted(UUID.randomUUID(), Instant.now(), one))
                .status()).isEqualTo(204);
        assertThat(line(standing(own, who), "trap-and-bridge")).isEmpty();
    }

    @Test
    void aBadCountIsRefusedWithWhatIsWrong() {
        String who = id("Joss");
        assertThat(keep(client, own, repetitions(UUID.randomUUID(), who, ",\"many\":5,\"clean\":6")).text()).contains("6 clean of 5");
        assertThat(keep(client, own, repetitions(UUID.randomUUID(), who, ",\"many\":0")).status()).isEqualTo(400);
        assertThat(keep(client, own, repetitions(UUID.randomUUID(), who, "")).text()).contains("how many there were");
        assertThat(keep(client, own, repetitions(UUID.randomUUID(), who, ",\"many\":5,\"reaction\":\"scarf-turn-in\"")).text()).contains("not an answer by");
        assertThat(keep(client, own, repetitions(UUID.randomUUID(), UUID.randomUUID().toString(), ",\"many\":5")).text()).contains("not on the roster");
        assertThat(keep(client, own, repetitions(UUID.randomUUID(), who, ",\"many\":5").replace("trap-and-bridge", "nowhere")).text())
                .contains("no technique “nowhere”");
    }

    @Test
    void gatesAreAskedForWeighedAndDecidedByACoach() {
        String on = copied("With gates");
        JsonNode novice = stream(client.get("/api/people").json()).filter(one -> one.hasNonNull("level") && one.get("level").stringValue().equals("novice")
                && one.get("age").stringValue().equals("adults")).findFirst().orElseThrow();
        String who = novice.get("id").stringValue();
        JsonNode list = client.get(on + "/standing/gates/novice").json();
        assertThat(list.get("places")).isEmpty();
        assertThat(list.get("suggested")).isNotEmpty();
        String place = list.at("/suggested/0/id").stringValue();
        assertThat(client.put(on + "/standing/gates/novice", "{\"places\":[\"%s\",\"%s\"]}".formatted(place, place)).text()).contains("each once");
        assertThat(client.put(on + "/standing/gates/novice", "{\"places\":[\"nowhere\"]}").text()).contains("no place “nowhere”");
        assertThat(client.put(on + "/standing/gates/advanced", "{\"places\":[]}").text()).contains("Nobody moves up");
        assertThat(client.put(on + "/standing/gates/novice", "{\"places\":[\"%s\"]}".formatted(place)).status()).isEqualTo(204);
        keep(client, on, IntStream.range(0, 3).mapToObj(i -> round(who, place, "left", "guard")).toArray(String[]::new));
        JsonNode gates = standing(on, who).get("gates");
        assertThat(gates.get("ready").intValue()).isEqualTo(1);
        assertThat(gates.at("/gates/0/says").stringValue()).isEqualTo("enough");
        assertThat(gates.at("/gates/1/missing").intValue()).isEqualTo(3);
        UUID decision = UUID.randomUUID();
        String decided = "{\"id\":\"%s\",\"place\":\"%s\",\"side\":\"left\",\"shown\":true,\"reason\":\"\"}".formatted(decision, place);
        assertThat(server.client().signIn("ines", "open-the-gate").post(on + "/standing/people/" + who + "/gates", decided).status()).isEqualTo(403);
        assertThat(client.post(on + "/standing/people/" + who + "/gates", decided).status()).isEqualTo(204);
        assertThat(client.post(on + "/standing/people/" + who + "/gates", decided).status()).as("sent twice").isEqualTo(204);
        JsonNode shown = standing(on, who).get("gates");
        assertThat(shown.get("shown").intValue()).isEqualTo(1);
        assertThat(shown.at("/gates/0/decision/by").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(client.post(on + "/standing/people/" + who + "/gates",
                "{\"id\":\"%s\",\"place\":\"%s\",\"side\":\"right\",\"shown\":false,\"reason\":\" \"}".formatted(UUID.randomUUID(), place)).text())
                .contains("what is missing");
        String gone = "{\"id\":\"%s\",\"kind\":\"void\",\"at\":\"%s\",\"voids\":\"%s\"}".formatted(UUID.randomUUID(), Instant.now(), decision);
        assertThat(keep(server.client().signIn("ines", "open-the-gate"), on, gone).text()).contains("ask an instructor");
        assertThat(standing(on, who).at("/gates/shown").intValue()).as("an assistant takes no decision out").isEqualTo(1);
        keep(client, on, gone);
        assertThat(standing(on, who).at("/gates/shown").intValue()).isZero();
    }

    @Test
    void aStudentSeesTheirOwnAndNobodyElses() {
        TestClient joss = server.client().signIn("joss", "open-the-gate");
        Answer mine = joss.get(map + "/standing/mine");
        assertThat(mine.status()).as(mine.text()).isEqualTo(200);
        assertThat(mine.json().get("name").stringValue()).startsWith("Joss");
        assertThat(mine.json()).isEqualTo(standing(map, id("Joss")));
        assertThat(joss.get(map + "/standing/people/" + id("Wren")).status()).isEqualTo(403);
        assertThat(joss.get(map + "/standing").status()).isEqualTo(403);
        assertThat(joss.get(map + "/standing/due?here=" + id("Wren")).status()).isEqualTo(403);
        assertThat(joss.get(map + "/standing/gates/novice").status()).isEqualTo(403);
    }

    @Test
    void whoIsNotOnTheRosterIsToldWhatToDo() {
        String who = id("Tamsin");
        assertThat(client.get("/api/people/" + who).json().hasNonNull("account")).as("the demo's owner trains").isTrue();
        assertThat(client.put("/api/people/" + who + "/account", "{}").status()).isEqualTo(200);
        Answer nobody = client.get(map + "/standing/mine");
        assertThat(nobody.status()).isEqualTo(404);
        assertThat(nobody.text()).contains("ask your instructor");
    }

    @Test
    void theGymAsksForSoManyRepetitions() {
        String on = copied("With a goal");
        assertThat(client.get(on + "/standing").json().get("ownGoal").booleanValue()).isFalse();
        assertThat(client.put(on + "/standing/goal", "{\"many\":-1}").status()).isEqualTo(400);
        assertThat(client.put(on + "/standing/goal", "{\"many\":1000}").status()).isEqualTo(204);
        JsonNode all = client.get(on + "/standing").json();
        assertThat(all.get("goal").intValue()).isEqualTo(1000);
        assertThat(all.get("ownGoal").booleanValue()).isTrue();
        assertThat(server.client().signIn("ines", "open-the-gate").put(on + "/standing/goal", "{\"many\":1}").status()).isEqualTo(403);
    }

    /** The demo gym's evenings: everybody has practised something, and what is due for two is due for a class of the two. */
    @Test
    void aClassIsToldWhatIsDueForThoseWhoAreInIt() {
        JsonNode all = client.get(map + "/standing").json();
        List<JsonNode> due = stream(all.get("people")).filter(one -> one.get("due").intValue() > 0).limit(2).toList();
        assertThat(due).hasSize(2);
        String here = due.get(0).get("person").stringValue() + "," + due.get(1).get("person").stringValue();
        JsonNode first = client.get(map + "/standing/due?here=" + here).json();
        double sum = due.stream().mapToDouble(one -> stream(standing(map, one.get("person").stringValue()).get("due"))
                .filter(each -> each.get("due").booleanValue()).mapToDouble(each -> each.get("cost").doubleValue()).sum()).sum();
        assertThat(stream(first).mapToDouble(one -> one.get("cost").doubleValue()).sum()).as("what it costs them on average").isCloseTo(sum / 2, within(1e-9));
    }

    /** What is open comes, what was shown does not; an answer that was counted in the class does not change what was planned for it. */
    @Test
    void aGateEveningIsGivenToWhatIsOpen() {
        String on = copied("For an evening");
        List<String> here = stream(client.get("/api/people").json()).filter(one -> one.hasNonNull("level") && one.get("age").stringValue().equals("adults")
                && one.get("level").stringValue().equals("novice")).map(one -> one.get("id").stringValue()).limit(3).toList();
        client.put(on + "/standing/gates/novice", "{\"places\":[\"mount-low\",\"side-crossface\"]}");
        for (String side : List.of("left", "right")) {
            here.forEach(who -> client.post(on + "/standing/people/" + who + "/gates",
                    "{\"id\":\"%s\",\"place\":\"side-crossface\",\"side\":\"%s\",\"shown\":true,\"reason\":\"\"}".formatted(UUID.randomUUID(), side)));
        }
        String lesson = """
                {"title":"Gates","day":"2031-05-01","starts":"19:30","minutes":60,"read":0.25,"late":0.5,"usual":"gate-evening",
                "here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"rest","limit":12,"turn":0}""".formatted(String.join("\",\"", here));
        Answer made = client.post(on + "/classes", "{\"id\":\"%s\",\"lesson\":%s}".formatted(UUID.randomUUID(), lesson));
        assertThat(made.status()).as(made.text()).isIn(200, 201);
        List<String> keys = stream(made.json().at("/plan/lines")).map(line -> line.at("/unit/key").stringValue()).toList();
        assertThat(keys).contains("live:mount-low~gate").doesNotContain("live:side-crossface~gate");
    }
}
