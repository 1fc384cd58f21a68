package app.narrowgate.server.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The record over HTTP on the real database: kept once, taken out, refused whole, and what it says of the odds. */
class RecordApiTest extends DemoMapTest {

    /** A map of which nothing has been logged. */
    private static String own;

    @BeforeAll
    static void copyTheMap() {
        own = copied("To be logged on");
    }

    private static String copied(String title) {
        return "/api/maps/" + client.post("/api/maps/new", """
                {"title":"%s","source":"copy","from":"%s"}""".formatted(title, map.substring(map.lastIndexOf('/') + 1))).json().get("id").stringValue();
    }

    private static List<String> people() {
        return StreamSupport.stream(client.get("/api/people").json().spliterator(), false)
                .filter(one -> one.get("age").stringValue().equals("adults")).map(one -> one.get("id").stringValue()).toList();
    }

    private static String round(UUID id, String start, String ending, Instant at, String more) {
        return """
                {"id":"%s","kind":"round","at":"%s","person":"%s","partner":"%s","start":"%s","ending":"%s"%s}"""
                .formatted(id, at, people().get(0), people().get(1), start, ending, more);
    }

    private static String round(String start, String ending) {
        return round(UUID.randomUUID(), start, ending, Instant.now(), "");
    }

    private static Answer keep(TestClient by, String... events) {
        return by.post(own + "/record/events", "{\"events\":[" + String.join(",", events) + "]}");
    }

    private static Answer keep(List<String> events) {
        return keep(client, events.toArray(String[]::new));
    }

    private static String taken(String event) {
        return "{\"id\":\"%s\",\"kind\":\"void\",\"at\":\"%s\",\"voids\":\"%s\"}".formatted(UUID.randomUUID(), Instant.now(), event);
    }

    private static JsonNode place(JsonNode odds, String place) {
        return StreamSupport.stream(odds.get("places").spliterator(), false).filter(one -> one.get("place").stringValue().equals(place)).findFirst()
                .orElseThrow();
    }

    private static JsonNode odds(String question) {
        Answer answer = client.get(own + "/record/odds" + question);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static JsonNode learned(String place) {
        return client.get(own + "/record/places/" + place).json();
    }

    private static int rounds() {
        return odds("").get("rounds").intValue();
    }

    @Test
    void twoPhonesThatSendTheSameRoundKeepItOnce() {
        int before = rounds();
        String one = round("mount-low", "guard");
        assertThat(keep(client, one).status()).isEqualTo(204);
        JsonNode first = learned("mount-low");
        assertThat(keep(server.client().signIn("ines", "open-the-gate"), one, one).status()).isEqualTo(204);
        assertThat(learned("mount-low")).isEqualTo(first);
        assertThat(rounds()).isEqualTo(before + 1);
        assertThat(first.get("place").stringValue()).isEqualTo("mount-low");
        assertThat(first.get("low").doubleValue()).isLessThan(first.get("likely").doubleValue());
        assertThat(first.get("high").doubleValue()).isGreaterThan(first.get("likely").doubleValue());
    }

    private static String stateBefore(Instant until) {
        UUID gym = server.bean(Gyms.class).all().get(0).id();
        return GymScope.of(gym).get(() -> server.bean(RecordStore.class).stateBefore(UUID.fromString(own.substring(own.lastIndexOf('/') + 1)), until));
    }

    /** What was worked out of what was known when a day began still holds while rounds of that day come in. */
    @Test
    void whatIsLoggedLaterIsNotOfTheStateBefore() {
        Instant morning = Instant.now().minus(Duration.ofHours(1));
        String begun = stateBefore(morning);
        UUID today = UUID.randomUUID();
        keep(client, round(today, "mount-low", "guard", Instant.now(), ""));
        assertThat(stateBefore(morning)).isEqualTo(begun);
        UUID early = UUID.randomUUID();
        keep(client, round(early, "mount-low", "guard", morning.minusSeconds(60), ""));
        String told = stateBefore(morning);
        assertThat(told).as("noted late, of the day before").isNotEqualTo(begun);
        keep(client, taken(early.toString()));
        assertThat(stateBefore(morning)).as("taken out").isNotEqualTo(told).isNotEqualTo(begun);
    }

    @Test
    void aMistakeIsTakenOutByAnotherEventAndEverythingIsAsBefore() {
        double before = place(odds(""), "scarf-light").get("likely").doubleValue();
        UUID id = UUID.randomUUID();
        keep(client, round(id, "scarf-light", "tap", Instant.now(), ""));
        assertThat(place(odds(""), "scarf-light").get("likely").doubleValue()).isLessThan(before);
        String gone = taken(id.toString());
        assertThat(keep(client, gone).status()).isEqualTo(204);
        assertThat(keep(client, gone, taken(id.toString())).status()).as("twice").isEqualTo(204);
        assertThat(place(odds(""), "scarf-light").get("likely").doubleValue()).isCloseTo(before, within(1e-6));
        JsonNode left = client.get(own + "/record/events?most=500").json();
        assertThat(StreamSupport.stream(left.spliterator(), false)).noneMatch(one -> one.get("id").stringValue().equals(id.toString()));
        assertThat(keep(client, taken(UUID.randomUUID().toString())).status()).as("of nothing").isEqualTo(204);
    }

    @Test
    void theOddsGoWhereTheRoundsGo() {
        JsonNode before = learned("knee-ride");
        assertThat(before.get("likely").doubleValue()).as("nothing seen there: about what stands on the map")
                .isCloseTo(before.get("written").doubleValue(), within(0.05));
        keep(IntStream.range(0, 60).mapToObj(i -> round("knee-ride", i % 10 == 0 ? "guard" : "tap")).toList());
        JsonNode after = learned("knee-ride");
        assertThat(after.get("rounds").intValue()).isEqualTo(60);
        assertThat(after.get("written")).isEqualTo(before.get("written"));
        assertThat(after.get("likely").doubleValue()).isLessThan(before.get("likely").doubleValue() - 0.05);
        assertThat(after.get("likely").doubleValue()).isBetween(after.get("low").doubleValue(), after.get("high").doubleValue());
        JsonNode all = place(odds(""), "knee-ride");
        assertThat(place(odds("?aim=come-on-top&read=0.5"), "knee-ride").get("likely").doubleValue()).as("by whatever is asked for")
                .isLessThan(all.get("likely").doubleValue());
        String somebodyElse = people().get(5);
        JsonNode theirs = place(odds("?person=" + somebodyElse), "knee-ride");
        assertThat(theirs.get("rounds").intValue()).isZero();
        assertThat(theirs.get("likely").doubleValue()).as("whoever was not seen is taken for one of the gym")
                .isCloseTo(all.get("likely").doubleValue(), within(0.02));
        assertThat(theirs.get("high").doubleValue() - theirs.get("low").doubleValue()).isGreaterThan(0.1);
    }

    @Test
    void whatIsHalfAYearOldCountsHalf() {
        UUID now = UUID.randomUUID();
        keep(client, round(now, "north-south", "guard", Instant.now(), ""));
        double one = learned("north-south").get("likely").doubleValue();
        keep(client, taken(now.toString()));
        Instant old = Instant.now().minus(Duration.ofDays(180));
        keep(client, round(UUID.randomUUID(), "north-south", "guard", old, ""), round(UUID.randomUUID(), "north-south", "guard", old, ""));
        assertThat(learned("north-south").get("likely").doubleValue()).isCloseTo(one, within(1e-4));
    }

    @Test
    void whatIsWrongIsRefusedWholeAndSaysHowToMendIt() {
        int before = rounds();
        String good = round("mount-low", "guard");
        for (List<String> wrong : List.of(
                List.of(round("nowhere", "guard"), "no place “nowhere”"),
                List.of(round("mount-low", "won"), "won"),
                List.of(round(UUID.randomUUID(), "mount-low", "guard", Instant.now(), ",\"reaction\":\"no-such\""), "no answer “no-such”"),
                List.of(round(UUID.randomUUID(), "mount-low", "guard", Instant.now(), ",\"reaction\":\"low-trap-bridge\",\"response\":\"never\""), "never"),
                List.of(round(UUID.randomUUID(), "mount-low", "guard", Instant.now(), ",\"response\":\"never\""), "but not to what"),
                List.of(round(UUID.randomUUID(), "mount-low", "held", Instant.now(), ",\"endedIn\":\"half-flat\""), "leave the place away"),
                List.of(round("mount-low", "guard").replace(people().get(1), people().get(0)), "Nobody rolls with themselves"),
                List.of(round("mount-low", "guard").replace(people().get(1), UUID.randomUUID().toString()), "not on the roster"),
                List.of("{\"id\":\"%s\",\"kind\":\"dream\",\"at\":\"2026-11-20T10:00:00Z\"}".formatted(UUID.randomUUID()), "dream"))) {
            Answer refused = keep(client, good, wrong.get(0));
            assertThat(refused.status()).as(refused.text()).isEqualTo(422);
            assertThat(refused.text()).contains(wrong.get(1));
        }
        assertThat(keep(client, round(UUID.randomUUID(), "mount-low", "guard", Instant.now(), ",\"seconds\":0")).status()).isEqualTo(400);
        assertThat(keep(client).status()).isEqualTo(400);
        assertThat(client.get(own + "/record/places/nowhere").status()).isEqualTo(404);
        assertThat(rounds()).isEqualTo(before);
    }

    @Test
    void studentsNeitherLogNorReadIt() {
        TestClient student = server.client().signIn("joss", "open-the-gate");
        assertThat(keep(student, round("mount-low", "guard")).status()).isEqualTo(403);
        assertThat(student.get(own + "/record/odds").status()).isEqualTo(403);
        assertThat(server.client().get(own + "/record/tonight").status()).isEqualTo(401);
    }

    /** The gym's counts stay; who it was does not, nor whose weight would tell theirs. */
    @Test
    void whoeverIsErasedLeavesTheirRoundsWithoutANameAndNothingElse() throws SQLException {
        String person = client.post("/api/people", "{\"people\":[{\"name\":\"Pell Gone\",\"age\":\"adults\",\"notes\":\"\",\"weight\":70}]}").json().get(0)
                .get("id").stringValue();
        UUID below = UUID.randomUUID();
        UUID asPartner = UUID.randomUUID();
        UUID repeated = UUID.randomUUID();
        keep(client, round(below, "mount-low", "guard", Instant.now(), "").replace(people().get(0), person),
                round(asPartner, "mount-low", "tap", Instant.now(), "").replace("\"partner\":\"" + people().get(1), "\"partner\":\"" + person),
                "{\"id\":\"%s\",\"kind\":\"repetitions\",\"at\":\"%s\",\"person\":\"%s\",\"technique\":\"trap-and-bridge\",\"role\":\"first\",\"many\":3}"
                        .formatted(repeated, Instant.now(), person));
        int before = rounds();
        double likely = learned("mount-low").get("likely").doubleValue();
        assertThat(logged(repeated)).isPresent();
        assertThat(client.get("/api/people/%s/archive".formatted(person)).status()).isEqualTo(200);
        assertThat(client.delete("/api/people/" + person).status()).isEqualTo(204);
        assertThat(rounds()).isEqualTo(before);
        assertThat(learned("mount-low").get("likely").doubleValue()).isCloseTo(likely, within(1e-4));
        assertThat(logged(repeated)).isEmpty();
        assertThat(logged(below)).get().satisfies(one -> {
            assertThat(one.path("person").isNull() || one.path("person").isMissingNode()).isTrue();
            assertThat(one.path("partner").isNull() || one.path("partner").isMissingNode()).isTrue();
        });
        assertThat(logged(asPartner)).get().satisfies(one -> {
            assertThat(one.get("person").stringValue()).isEqualTo(people().get(0));
            assertThat(one.path("partner").isNull() || one.path("partner").isMissingNode()).isTrue();
        });
        assertThat(client.get(own + "/standing").status()).isEqualTo(200);
        assertThat(client.get(own + "/record/truth").status()).isEqualTo(200);
        try (Connection behind = server.behind(); Statement statement = behind.createStatement();
                ResultSet left = statement.executeQuery("select count(*) from record_event e where e::text like '%" + person + "%'")) {
            left.next();
            assertThat(left.getInt(1)).isZero();
        }
    }

    private static Optional<JsonNode> logged(UUID id) {
        return StreamSupport.stream(client.get(own + "/record/events?most=500").json().spliterator(), false)
                .filter(one -> one.get("id").stringValue().equals(id.toString())).findFirst();
    }

    @Test
    void whatWasKeptIsNotChangedEvenBehindTheProgram() throws SQLException {
        keep(client, round("mount-low", "guard"));
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            Assertions.assertThatThrownBy(() -> statement.executeUpdate("update record_event set ending = 'tap'")).hasMessageContaining("stays as it was kept");
        }
    }

    @Test
    void theLogBeginsWithWhatIsPractisedToday() {
        JsonNode tonight = client.get(map + "/record/tonight").json();
        List<String> starts = new ArrayList<>();
        tonight.get("starts").forEach(one -> starts.add(one.stringValue()));
        assertThat(starts).doesNotHaveDuplicates().hasSizeGreaterThan(20);
        assertThat(tonight.get("title").stringValue()).isEqualTo("Tonight: mount");
        assertThat(tonight.get("tonight").intValue()).isPositive();
        assertThat(starts.get(0)).startsWith("mount");
        assertThat(tonight.get("pairs")).isNotEmpty();
        for (JsonNode pair : tonight.get("pairs")) {
            assertThat(people()).contains(pair.get("bottom").stringValue(), pair.get("top").stringValue());
        }
    }

    /** Nothing got going from the low mount. */
    private static String nothing() {
        return round(UUID.randomUUID(), "mount-low", "tap", Instant.now(), ",\"nothing\":true");
    }

    private static JsonNode truth(String map) {
        Answer answer = client.get(map + "/record/truth");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static int hundredths(JsonNode share) {
        return (int) Math.round(100 * share.doubleValue());
    }

    @Test
    void whereMapAndMatDisagreeTheLearnedFigureIsPutOnTheMapWithItsSource() {
        String held = copied("To be held against what was seen");
        assertThat(truth(held).get("places")).isEmpty();
        List<String> seen = IntStream.range(0, 30).mapToObj(i -> i % 6 == 0 ? round("mount-low", "reversal") : nothing()).toList();
        assertThat(client.post(held + "/record/events", "{\"events\":[" + String.join(",", seen) + "]}").status()).isEqualTo(204);
        JsonNode mount = truth(held).get("places").get(0);
        assertThat(mount.get("place").stringValue()).isEqualTo("mount-low");
        assertThat(mount.get("rounds").intValue()).isEqualTo(30);
        assertThat(mount.get("out").intValue()).isEqualTo(5);
        assertThat(mount.get("agrees").booleanValue()).isFalse();
        JsonNode explains = mount.get("explains");
        assertThat(explains.get("reaction").stringValue()).isEqualTo("low-trap-bridge");
        assertThat(explains.get("learned").doubleValue()).isLessThan(explains.get("before").doubleValue());
        assertThat(explains.get("moved").intValue()).isPositive();
        int learned = hundredths(explains.get("learned"));
        String at = held + "/record/truth/low-trap-bridge";
        assertThat(client.post(at + "/use", "{\"chance\":%s}".formatted((learned + 3) / 100.0)).status()).as("more was logged meanwhile").isEqualTo(409);
        assertThat(client.post(at + "/use", "{\"chance\":1.5}").status()).isEqualTo(400);
        assertThat(client.post(held + "/record/truth/no-such/use", "{\"chance\":0.5}").status()).isEqualTo(404);
        assertThat(server.client().signIn("ines", "open-the-gate").post(at + "/use", "{\"chance\":%s}".formatted(learned / 100.0)).status()).isEqualTo(403);
        Answer used = client.post(at + "/use", "{\"chance\":%s}".formatted(learned / 100.0));
        assertThat(used.status()).as(used.text()).isEqualTo(200);
        JsonNode bridge = StreamSupport.stream(used.json().get("reactions").spliterator(), false)
                .filter(one -> one.get("id").stringValue().equals("low-trap-bridge")).findFirst().orElseThrow();
        assertThat(hundredths(bridge.get("works").get("number"))).isEqualTo(learned);
        assertThat(bridge.get("source").get("before").get("number").doubleValue()).isEqualTo(0.7);
        assertThat(bridge.get("source").get("tries").doubleValue()).isBetween(20.0, 30.0);
        assertThat(client.get(held + "/parts/reactions/low-trap-bridge").json().get("source").get("chance").doubleValue()).isEqualTo(learned / 100.0);
        JsonNode after = client.get(held + "/record/truth").json().get("places").get(0);
        assertThat(after.get("said").doubleValue()).as("nearer to what was seen").isLessThan(mount.get("said").doubleValue());
        // The rounds behind it do not count twice: what is learned stays where it was.
        assertThat(client.post(at + "/use", "{\"chance\":%s}".formatted(learned / 100.0)).status()).isEqualTo(200);
    }

    @Test
    void aCoachKeepsWhatTheMapSaysAndDecidesAnew() {
        String held = copied("To be kept as it is");
        client.post(held + "/record/events",
                "{\"events\":[" + String.join(",", IntStream.range(0, 30).mapToObj(i -> i % 6 == 0 ? round("mount-low", "reversal") : nothing()).toList()) + "]}");
        String at = held + "/record/truth/low-trap-bridge/keep";
        UUID id = UUID.randomUUID();
        assertThat(client.post(at, "{\"id\":\"%s\"}".formatted(id)).status()).isEqualTo(204);
        JsonNode kept = truth(held).get("places").get(0).get("explains").get("kept");
        assertThat(kept.get("id").stringValue()).isEqualTo(id.toString());
        assertThat(kept.get("author").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(client.get(held + "/record/events?most=500").json()).as("it is no round").hasSize(30);
        client.post(held + "/record/events", "{\"events\":[" + taken(id.toString()) + "]}");
        JsonNode anew = truth(held).get("places").get(0).get("explains").get("kept");
        assertThat(anew == null || anew.isNull()).isTrue();
        assertThat(client.post(held + "/record/truth/no-such/keep", "{\"id\":\"%s\"}".formatted(UUID.randomUUID())).status()).isEqualTo(422);
    }

    @Test
    void tellsWhichRoundsWouldTellMost() {
        JsonNode next = client.get(own + "/record/next?most=2").json();
        assertThat(next).hasSize(2);
        next.forEach(one -> assertThat(one.get("then").doubleValue()).isLessThan(one.get("now").doubleValue()));
        JsonNode one = client.get(own + "/record/next?place=mount-high").json().get(0);
        assertThat(one.get("place").stringValue()).isEqualTo("mount-high");
        assertThat(client.get(own + "/record/next?place=nowhere").status()).isEqualTo(404);
        assertThat(client.get(own + "/record/next?most=0").status()).isEqualTo(400);
    }
}
