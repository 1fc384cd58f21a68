package app.narrowgate.server.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A term over HTTP on the real database, in years in which the demo has no classes: two classes that were, six that are still to come. */
class TermApiTest extends DemoMapTest {

    private static final LocalDate TODAY = LocalDate.of(2031, 3, 10);
    private static final List<UUID> CLASSES = new ArrayList<>();
    private static final UUID TERM = UUID.randomUUID();
    private static List<String> people;

    private static String lesson(LocalDate day, List<String> here) {
        return """
                {"title":"Everything","day":"%s","starts":"19:30","minutes":60,"read":0.25,"late":0.5,"usual":"step-by-step","here":[%s],"fixed":[],
                "out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}"""
                .formatted(day, String.join(",", here.stream().map(id -> "\"" + id + "\"").toList()));
    }

    private static String at() {
        return map + "/terms/" + TERM;
    }

    private static JsonNode kept() {
        return client.get(at() + "?today=" + TODAY).json();
    }

    private static JsonNode proposed() {
        Answer answer = client.post(at() + "/proposal?today=" + TODAY, "");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @BeforeAll
    static void twoWeeksThatWereAndThreeToCome() {
        people = StreamSupport.stream(client.get("/api/people").json().spliterator(), false)
                .filter(one -> one.get("age").stringValue().equals("adults")).map(one -> one.get("id").stringValue()).limit(8).toList();
        for (int day : new int[] {-7, -5, 1, 3, 8, 10, 15, 17}) {
            UUID id = UUID.randomUUID();
            CLASSES.add(id);
            List<String> here = day > 0 ? List.of() : day == -5 ? people.subList(0, 6) : people;
            assertThat(client.post(map + "/classes", "{\"id\":\"%s\",\"lesson\":%s}".formatted(id, lesson(TODAY.plusDays(day), here))).status())
                    .isEqualTo(201);
        }
        Answer made = client.post(map + "/terms", "{\"id\":\"%s\",\"title\":\"Spring\",\"first\":\"2031-03-01\",\"last\":\"2031-04-01\"}".formatted(TERM));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
    }

    @AfterAll
    static void away() {
        CLASSES.forEach(id -> client.delete(map + "/classes/" + id));
        client.delete(at());
    }

    /** What is asked for of each class, from where its reactions come. */
    private static String asked(JsonNode term, int less) {
        Map<String, List<String>> units = new HashMap<>();
        for (JsonNode one : term.get("plan").get("taught")) {
            boolean fresh = one.get("fresh").booleanValue();
            for (JsonNode id : one.get("classes")) {
                units.computeIfAbsent(id.stringValue(), i -> new ArrayList<>())
                        .add("\"%s:%s\"".formatted(fresh ? "new" : "recall", one.get("reaction").stringValue()));
                fresh = false;
            }
        }
        List<String> classes = new ArrayList<>();
        for (JsonNode one : term.get("classes")) {
            if (!one.get("over").booleanValue()) {
                classes.add("{\"id\":\"%s\",\"version\":%d,\"units\":[%s]}".formatted(one.get("id").stringValue(), one.get("version").intValue() - less,
                        String.join(",", units.getOrDefault(one.get("id").stringValue(), List.of()))));
            }
        }
        return "{\"classes\":[" + String.join(",", classes) + "]}";
    }

    @Test
    void whatWasTaughtIsToldWithWhoMissedItAndHowOftenTheyCome() {
        JsonNode term = kept();
        assertThat(term.get("classes")).hasSize(8);
        assertThat(term.get("people")).hasSize(8);
        assertThat(term.get("classes").get(1).get("over").booleanValue()).isTrue();
        assertThat(term.get("classes").get(2).get("over").booleanValue()).isFalse();
        Map<String, Double> comes = new HashMap<>();
        term.get("people").forEach(one -> comes.put(one.get("person").stringValue(), one.get("comes").doubleValue()));
        assertThat(comes.get(people.get(0))).isGreaterThan(comes.get(people.get(7)));
        JsonNode missed = term.get("plan").get("missed");
        assertThat(missed).isNotEmpty();
        for (JsonNode one : missed) {
            assertThat(one.get("taught").stringValue()).isEqualTo("2031-03-05");
            assertThat(one.get("who")).hasSize(2);
            assertThat(one.get("who").toString()).contains(people.get(6), people.get(7));
            assertThat(people.subList(0, 6)).contains(one.get("helper").stringValue());
        }
        assertThat(term.get("plan").get("without").doubleValue()).isGreaterThan(term.get("plan").get("now").doubleValue());
    }

    @Test
    void isPlannedKeptAndComesInTheClasses() {
        JsonNode proposal = proposed();
        double end = proposal.get("plan").get("end").doubleValue();
        assertThat(end).isGreaterThan(proposal.get("plan").get("without").doubleValue());
        Set<String> again = new HashSet<>();
        proposal.get("plan").get("taught").forEach(one -> {
            if (one.get("classes").size() > 1) {
                again.add(one.get("reaction").stringValue());
            }
        });
        assertThat(again).as("some of it comes back").isNotEmpty();
        assertThat(kept().get("classes").get(2).get("asked")).as("nothing is kept by asking").isEmpty();

        assertThat(client.put(at() + "/asked", asked(proposal, 1)).status()).as("on a state that is not there").isIn(400, 409);
        assertThat(client.put(at() + "/asked", asked(proposal, 0)).status()).isEqualTo(204);
        JsonNode term = kept();
        assertThat(term.get("plan").get("end").doubleValue()).isCloseTo(end, within(1e-9));
        assertThat(client.put(at() + "/asked", asked(proposal, 0)).status()).as("twice from the same state").isEqualTo(409);
        assertThat(proposed().get("plan").get("end").doubleValue()).as("what a term asked for binds no later one").isCloseTo(end, within(1e-9));

        JsonNode next = term.get("classes").get(2);
        String unit = next.get("asked").get(0).stringValue();
        String lesson = client.get(map + "/classes/" + next.get("id").stringValue() + "?today=" + TODAY).json().get("lesson").toString()
                .replace("\"here\":[]", "\"here\":[" + String.join(",", people.stream().map(id -> "\"" + id + "\"").toList()) + "]");
        Answer there = client.put(map + "/classes/" + next.get("id").stringValue(), "{\"version\":%d,\"over\":false,\"lesson\":%s}"
                .formatted(next.get("version").intValue(), lesson));
        assertThat(there.status()).as(there.text()).isEqualTo(200);
        List<String> keys = new ArrayList<>();
        there.json().get("plan").get("lines").forEach(line -> keys.add(line.get("unit").get("key").stringValue()));
        assertThat(keys).contains(unit);
    }

    @Test
    void aTermThatEndsBeforeItBeginsIsRefusedAndAStaleChangeTold() {
        Answer backwards = client.put(at(), "{\"version\":1,\"title\":\"Spring\",\"first\":\"2031-03-01\",\"last\":\"2031-02-01\"}");
        assertThat(backwards.status()).isEqualTo(422);
        assertThat(backwards.text()).contains("before it begins");
        Answer stale = client.put(at(), "{\"version\":7,\"title\":\"Spring\",\"first\":\"2031-03-01\",\"last\":\"2031-04-01\"}");
        assertThat(stale.status()).isEqualTo(409);
        assertThat(client.get(map + "/terms").json().findValuesAsString("title")).contains("Spring");
        assertThat(client.get(map + "/terms/" + UUID.randomUUID() + "?today=" + TODAY).status()).isEqualTo(404);
    }

    @Test
    void aTermWithVeryManyClassesIsOpenedAndItsFirstOnesArePlanned() {
        List<UUID> many = new ArrayList<>();
        for (int day = 0; day < 66; day++) {
            UUID id = UUID.randomUUID();
            many.add(id);
            assertThat(client.post(map + "/classes", "{\"id\":\"%s\",\"lesson\":%s}".formatted(id, lesson(LocalDate.of(2034, 1, 2).plusDays(day), List.of())))
                    .status()).isEqualTo(201);
        }
        UUID term = UUID.randomUUID();
        client.post(map + "/terms", "{\"id\":\"%s\",\"title\":\"Daily\",\"first\":\"2034-01-01\",\"last\":\"2034-03-31\"}".formatted(term));
        Answer opened = client.get(map + "/terms/" + term + "?today=2034-01-01");
        assertThat(opened.status()).as(opened.text()).isEqualTo(200);
        assertThat(opened.json().get("classes")).hasSize(66);
        assertThat(opened.json().get("later").intValue()).isEqualTo(6);
        client.delete(map + "/terms/" + term);
        many.forEach(id -> client.delete(map + "/classes/" + id));
    }
}
