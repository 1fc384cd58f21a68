package app.narrowgate.server.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The record as files over HTTP on the real database: out, looked at, in, taken back. */
class RecordFilesApiTest extends DemoMapTest {

    private static final JsonMapper JSON = new JsonMapper();

    private static String copied(String title) {
        return "/api/maps/" + client.post("/api/maps/new", """
                {"title":"%s","source":"copy","from":"%s"}""".formatted(title, map.substring(map.lastIndexOf('/') + 1))).json().get("id").stringValue();
    }

    private static String file(String format, String text) {
        return JSON.writeValueAsString(JSON.createObjectNode().put("name", "term." + format).put("format", format).put("text", text));
    }

    private static JsonNode look(String on, String format, String text) {
        Answer answer = client.post(on + "/record/imports/preview", file(format, text));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static Answer read(TestClient by, String on, UUID id, String format, String text, boolean add) {
        return by.post(on + "/record/imports", "{\"id\":\"%s\",\"addPeople\":%s,\"file\":%s}".formatted(id, add, file(format, text)));
    }

    private static int rounds(String on) {
        return client.get(on + "/record/odds").json().get("rounds").intValue();
    }

    private static List<JsonNode> roster() {
        return StreamSupport.stream(client.get("/api/people").json().spliterator(), false).toList();
    }

    private static String adult(int nth) {
        return roster().stream().filter(one -> one.get("age").stringValue().equals("adults")).toList().get(nth).get("name").stringValue();
    }

    /** Twelve weeks of another house, written down by hand, in which some are on no roster. */
    private static String term() {
        List<String> rows = new ArrayList<>(List.of("kind,at,person,partner,start,ending"));
        IntStream.range(0, 60).forEach(i -> rows.add("round,2024-0%d-%02d,%s,%s,mount-low,%s".formatted(6 + i / 28, 1 + i % 28,
                i % 6 == 0 ? "Nova Reed" : adult(0), i % 5 == 0 ? "Otis Vale" : adult(1), i % 3 == 0 ? "tap" : "guard")));
        IntStream.range(0, 12).forEach(i -> rows.add("attendance,2024-06-%02d,%s,,,".formatted(1 + i, adult(0))));
        return String.join("\n", rows);
    }

    @Test
    void aTermIsLookedAtReadInTakenBackAndReadInAgain() {
        String own = copied("A term by hand");
        JsonNode preview = look(own, "table", term());
        assertThat(preview.get("rounds").intValue()).isEqualTo(60);
        assertThat(preview.get("attendances").intValue()).isEqualTo(12);
        assertThat(preview.get("known").intValue()).isZero();
        assertThat(preview.get("strangers")).hasSize(2);
        assertThat(preview.get("strangers").get(0).get("name").stringValue()).isEqualTo("Nova Reed");
        assertThat(preview.get("strangers").get(0).get("times").intValue()).isEqualTo(10);
        assertThat(rounds(own)).as("a look keeps nothing").isZero();
        int people = roster().size();

        UUID id = UUID.randomUUID();
        Answer first = read(client, own, id, "table", term(), false);
        assertThat(first.status()).as(first.text()).isEqualTo(200);
        assertThat(first.json().get("events").intValue()).as("without those of Nova").isEqualTo(62);
        assertThat(read(client, own, id, "table", term(), false).json()).as("sent twice").isEqualTo(first.json());
        assertThat(roster()).hasSize(people);
        assertThat(rounds(own)).isEqualTo(50);
        assertThat(look(own, "table", term()).get("known").intValue()).isEqualTo(62);

        assertThat(client.put(own + "/record/imports/" + id, "{\"undone\":true}").json().get("undone").booleanValue()).isTrue();
        assertThat(rounds(own)).isZero();
        assertThat(client.get(own + "/record/table").text().lines()).as("nothing that was taken back").hasSize(1);

        Answer again = read(client, own, UUID.randomUUID(), "table", term(), true);
        assertThat(again.json().get("events").intValue()).isEqualTo(72);
        assertThat(roster()).hasSize(people + 2);
        assertThat(rounds(own)).isEqualTo(60);
        assertThat(client.put(own + "/record/imports/" + id, "{\"undone\":false}").status()).isEqualTo(200);
        assertThat(rounds(own)).as("nothing is kept twice").isEqualTo(60);
        assertThat(client.get(own + "/record/imports").json()).hasSize(2);
    }

    @Test
    void whatIsTakenOutAsAFileIsKnownWhereItWasAndComesWholeWhereItWasNot() {
        String lines = client.get(map + "/record/lines").text();
        assertThat(lines.lines().findFirst()).get().asString().contains("narrowgate-record/1");
        long events = lines.lines().count() - 1;
        assertThat(events).isGreaterThan(500);
        assertThat(look(map, "lines", lines).get("known").intValue()).isEqualTo(events);
        String other = copied("The same elsewhere");
        assertThat(read(client, other, UUID.randomUUID(), "lines", lines, false).json().get("events").intValue()).isEqualTo(events);
        assertThat(rounds(other)).isEqualTo(rounds(map));
        JsonNode learned = client.get(other + "/record/places/mount-low").json();
        assertThat(learned.get("likely").doubleValue()).as("but for what fades meanwhile")
                .isCloseTo(client.get(map + "/record/places/mount-low").json().get("likely").doubleValue(), within(1e-4));
        assertThat(client.get(other + "/record/lines").text().lines().skip(1).sorted()).containsExactlyElementsOf(lines.lines().skip(1).sorted().toList());
        String table = client.get(map + "/record/table").text();
        assertThat(look(other, "table", table).get("known").intValue()).isEqualTo((int) table.lines().count() - 1);
        assertThat(client.get(map + "/record/table?from=2024-01-01&until=2024-01-02").text().lines()).hasSize(1);
    }

    @Test
    void whatWasTakenOutStandsInTheLinesAndNotInTheTable() {
        String own = copied("With a mistake");
        String two = """
                {"format":"narrowgate-record/1"}
                {"kind":"void","at":"2024-09-14T19:00:00Z","voids":"00000000-0000-4000-8000-000000000001"}
                {"kind":"round","at":"2024-09-14T18:00:00Z","person":"%1$s","start":"mount-low","ending":"tap","id":"00000000-0000-4000-8000-000000000001"}
                {"kind":"round","at":"2024-09-14T18:05:00Z","person":"%1$s","start":"mount-low","ending":"guard","id":"00000000-0000-4000-8000-000000000002"}
                {"kind":"void","at":"2024-09-14T19:00:00Z","voids":"00000000-0000-4000-8000-000000000003"}
                """.formatted(adult(2));
        assertThat(look(own, "lines", two).get("loose").intValue()).isEqualTo(1);
        UUID id = UUID.randomUUID();
        assertThat(read(client, own, id, "lines", two, false).json().get("events").intValue()).isEqualTo(3);
        assertThat(rounds(own)).isEqualTo(1);
        assertThat(client.get(own + "/record/table").text().lines()).hasSize(2);
        assertThat(client.get(own + "/record/lines").text().lines()).hasSize(4);
        client.put(own + "/record/imports/" + id, "{\"undone\":true}");
        UUID fresh = UUID.randomUUID();
        client.post(own + "/record/events", """
                {"events":[{"id":"%s","kind":"round","at":"%s","person":"%s","start":"mount-low","ending":"tap"}]}"""
                .formatted(fresh, Instant.now().truncatedTo(ChronoUnit.SECONDS), roster().get(0).get("id").stringValue()));
        String voids = """
                {"format":"narrowgate-record/1"}
                {"kind":"void","at":"2024-09-15T19:00:00Z","voids":"%s"}""".formatted(fresh);
        UUID second = UUID.randomUUID();
        read(client, own, second, "lines", voids, false);
        assertThat(rounds(own)).isZero();
        client.put(own + "/record/imports/" + second, "{\"undone\":true}");
        assertThat(rounds(own)).as("what was taken out by a file that is taken back counts again").isEqualTo(1);
    }

    /** What was learned is learned anew whichever file counts. */
    @Test
    void ofTwoFilesTheOtherOneCounts() {
        String own = copied("With two files");
        List<UUID> ids = new ArrayList<>();
        for (String ending : List.of("tap", "guard")) {
            UUID id = UUID.randomUUID();
            ids.add(id);
            read(client, own, id, "table", "kind,at,start,ending\n"
                    + "round,%s,mount-low,%s\n".formatted(day(Instant.now().minus(9, ChronoUnit.DAYS)), ending).repeat(40), false);
        }
        client.put(own + "/record/imports/" + ids.get(1), "{\"undone\":true}");
        double taps = likely(own);
        client.put(own + "/record/imports/" + ids.get(0), "{\"undone\":true}");
        client.put(own + "/record/imports/" + ids.get(1), "{\"undone\":false}");
        assertThat(likely(own)).isGreaterThan(taps + 0.2);
    }

    private static double likely(String on) {
        return client.get(on + "/record/places/mount-low").json().get("likely").doubleValue();
    }

    @Test
    void aFileWithAFaultIsRefusedWholeByItsLines() {
        String own = copied("With faults");
        Answer refused = read(client, own, UUID.randomUUID(), "table", term() + "\nround,2024-13-45,%s,,mount-low,guard\nround,2024-09-14,%s,,nowhere,guard"
                .formatted(adult(0), adult(0)), true);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("line 74, at").contains("line 75, start");
        assertThat(rounds(own)).isZero();
        assertThat(client.get(own + "/record/imports").json()).isEmpty();
    }

    @Test
    void whoMayDoWhat() {
        TestClient ines = server.client().signIn("ines", "open-the-gate");
        TestClient joss = server.client().signIn("joss", "open-the-gate");
        for (TestClient one : List.of(ines, joss)) {
            assertThat(one.get(map + "/record/lines").status()).isEqualTo(403);
            assertThat(one.get(map + "/record/table").status()).isEqualTo(403);
            assertThat(read(one, map, UUID.randomUUID(), "table", term(), false).status()).isEqualTo(403);
        }
        String mine = joss.get(map + "/record/mine/lines").text();
        assertThat(mine.lines().skip(1).map(JSON::readTree)).isNotEmpty().allSatisfy(one -> {
            assertThat(one.get("person").stringValue()).contains("Joss");
            assertThat(one.has("partner")).isFalse();
        });
        assertThat(client.put(map + "/record/imports/" + UUID.randomUUID(), "{\"undone\":true}").status()).isEqualTo(404);
    }

    /** Who came before the gym kept classes here is known to the term. */
    @Test
    void whoCameByAFileCountsForTheTerm() {
        String own = copied("Who came");
        List<String> rows = new ArrayList<>(List.of("kind,at,person"));
        Instant now = Instant.now();
        IntStream.range(1, 8).forEach(week -> rows.add("attendance,%s,%s".formatted(day(now.minus(7L * week, ChronoUnit.DAYS)), adult(3))));
        String term = UUID.randomUUID().toString();
        String first = day(now);
        String last = day(now.plus(30, ChronoUnit.DAYS));
        client.post(own + "/terms", "{\"id\":\"%s\",\"title\":\"Next\",\"first\":\"%s\",\"last\":\"%s\"}".formatted(term, first, last));
        int before = client.get(own + "/terms/" + term + "?today=" + first).json().get("people").size();
        assertThat(read(client, own, UUID.randomUUID(), "table", String.join("\n", rows), false).json().get("events").intValue()).isEqualTo(7);
        assertThat(client.get(own + "/terms/" + term + "?today=" + first).json().get("people")).hasSize(1);
        assertThat(before).isGreaterThan(1);
    }

    private static String day(Instant at) {
        return at.toString().substring(0, 10);
    }
}
