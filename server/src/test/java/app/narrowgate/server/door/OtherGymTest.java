package app.narrowgate.server.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import app.narrowgate.server.fuzz.Fuzzer;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Two gyms in one house: neither the server nor the database itself lets one at what is the other's. */
class OtherGymTest {

    private static final int REQUESTS = 1_500;
    /** What belongs to no gym: sessions, which are looked up before it is known whose they are, and what the house remembers of itself. */
    private static final Set<String> THE_HOUSES_OWN = Set.of("spring_session", "spring_session_attributes", "flyway_schema_history",
            "demo_part", "sign_in_try");

    private static TestServer server;
    private static TestClient tamsin;
    private static TestClient stranger;
    private static String map;
    private static UUID gym;
    private static UUID otherGym;

    @BeforeAll
    static void start() throws SQLException {
        server = TestServer.start();
        tamsin = server.signedIn();
        map = "/api/maps/" + tamsin.firstMap();
        leaveSomethingInEveryTable();
        stranger = server.client().openGym("Millrace Mats", "orla");
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            gym = only(statement, "select gym_id from account where name = 'tamsin'");
            otherGym = only(statement, "select gym_id from account where name = 'orla'");
        }
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static UUID only(Statement statement, String query) throws SQLException {
        try (ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getObject(1, UUID.class);
        }
    }

    private static void leaveSomethingInEveryTable() throws SQLException {
        tamsin.post("/api/invitations", "{\"role\":\"student\",\"whom\":\"the tall one\",\"address\":\"tall@mats.example\"}");
        tamsin.post("/api/links", """
                {"map":"%s","place":"mount-low","setting":{"read":0.25,"late":0.5,"stances":[]},"days":7}""".formatted(tamsin.firstMap()));
        tamsin.post(map + "/versions", "{\"revision\":1,\"name\":\"At the beginning\"}");
        String person = tamsin.post("/api/people", "{\"people\":[{\"name\":\"Pell\",\"age\":\"adults\",\"notes\":\"\"}]}").json().get(0)
                .get("id").stringValue();
        tamsin.put("/api/people/%s/health".formatted(person), "{\"ailments\":[{\"injury\":\"knee\",\"avoid\":\"\"}]}");
        tamsin.post(map + "/record/events", """
                {"events":[{"id":"%s","kind":"round","at":"2026-11-20T10:00:00Z","person":"%s","start":"mount-low","ending":"guard"}]}"""
                .formatted(UUID.randomUUID(), person));
        tamsin.post(map + "/record/imports", """
                {"id":"%s","addPeople":false,"file":{"name":"term.csv","format":"table","text":"kind,at,start,ending\\nround,2024-10-20,mount-low,tap"}}"""
                .formatted(UUID.randomUUID()));
        tamsin.put(map + "/standing/gates/novice", "{\"places\":[\"mount-low\"]}");
        tamsin.put(map + "/standing/goal", "{\"many\":300}");
        String lesson = UUID.randomUUID().toString();
        tamsin.post(map + "/classes", """
                {"id":"%s","lesson":{"title":"Mount","day":"2026-11-27","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                "usual":"step-by-step","here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"rest","limit":12,"turn":0}}"""
                .formatted(lesson, person));
        tamsin.post(map + "/classes/" + lesson + "/mat", "");
        tamsin.post("/api/class-shapes", "{\"id\":\"%s\",\"title\":\"Live\",\"minutes\":60,\"shape\":[]}".formatted(UUID.randomUUID()));
        tamsin.post(map + "/terms", "{\"id\":\"%s\",\"title\":\"Autumn\",\"first\":\"2026-10-05\",\"last\":\"2026-12-18\"}".formatted(UUID.randomUUID()));
        tamsin.post(map + "/classes/" + lesson + "/mat/links", "{\"kind\":\"screen\"}");
        String dismissal = """
                {"kind":"unanswered-response","place":"side-framed-bridge","response":"x","reason":"%s"}""";
        tamsin.put(map + "/review/dismissals", dismissal.formatted("Nobody does that"));
        // Written over, so that it leaves a trace.
        tamsin.put(map + "/review/dismissals", dismissal.formatted("Nobody here does that"));
        tamsin.post(map + "/readings", """
                [{"id":"%s","situation":"mount-low","reaction":"low-trap-bridge","chosen":"low-trap-bridge","correct":true,"answers":2,
                "milliseconds":900,"at":"2026-11-20T10:00:00Z"}]""".formatted(UUID.randomUUID()));
        // Only what takes long is kept, and on a fast machine nothing does.
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            statement.execute("""
                    insert into run (id, gym_id, map_id, owner, about, kind, request, revision, state, done, of, asked_at, node, heard_at)
                    select gen_random_uuid(), gym_id, '%s', id, 'x', 'gates', '{}', 1, 'done', 1, 1, now(), gen_random_uuid(), now()
                    from account where name = 'tamsin'""".formatted(tamsin.firstMap()));
        }
    }

    private static Map<String, String> fingerprints() throws SQLException {
        Map<String, String> prints = new LinkedHashMap<>();
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            for (String table : owned(behind)) {
                try (ResultSet rows = statement.executeQuery(
                        "select count(*) || ' ' || coalesce(md5(string_agg(t::text, ',' order by t::text)), '') from %s t where %s = '%s'"
                                .formatted(table, table.equals("gym") ? "id" : "gym_id", gym))) {
                    rows.next();
                    prints.put(table, rows.getString(1));
                }
            }
        }
        return prints;
    }

    private static List<String> owned(Connection behind) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = behind.createStatement(); ResultSet rows = statement.executeQuery(
                "select tablename from pg_tables where schemaname = 'public' order by tablename")) {
            while (rows.next()) {
                if (!THE_HOUSES_OWN.contains(rows.getString(1))) {
                    tables.add(rows.getString(1));
                }
            }
        }
        return tables;
    }

    /** With the ids of another gym an address answers word for word as with ids that nothing has. */
    @Test
    void idsOfAnotherGymAreUnknownAtEveryAddress() throws SQLException {
        Map<String, List<String>> known = new HashMap<>();
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            for (Map.Entry<String, String> id : Map.ofEntries(Map.entry("mapId", "map"), Map.entry("drill", "drill"),
                    Map.entry("lesson", "lesson"), Map.entry("term", "term"), Map.entry("shape", "class_shape"),
                    Map.entry("question", "question"), Map.entry("version", "map_version"), Map.entry("member", "account"),
                    Map.entry("invitation", "invitation"), Map.entry("link", "shared_link"), Map.entry("person", "person"), Map.entry("you", "person"),
                    Map.entry("they", "person"), Map.entry("run", "run")).entrySet()) {
                known.put(id.getKey(), List.of(only(statement, "select id from %s where gym_id = '%s' limit 1".formatted(id.getValue(), gym))
                        .toString()));
            }
        }
        known.put("from", known.get("mapId"));
        known.put("map", known.get("mapId"));
        known.put("other", known.get("mapId"));
        List<String> theirs = known.values().stream().flatMap(List::stream).distinct().toList();
        Map<String, String> twins = new HashMap<>();
        theirs.forEach(id -> twins.put(id, UUID.randomUUID().toString()));
        Fuzzer fuzzer = new Fuzzer(stranger.get("/api/openapi").text(), 16);
        known.forEach((name, ids) -> fuzzer.know(name, ids.toArray(String[]::new)));
        Map<String, String> before = fingerprints();
        int asked = 0;
        for (int i = 0; i < REQUESTS; i++) {
            Fuzzer.Request request = fuzzer.next();
            if (theirs.stream().noneMatch(id -> request.path().contains(id) || request.body() != null && request.body().contains(id))) {
                continue;
            }
            asked++;
            Answer answer = stranger.send(request.method(), request.path(), request.body());
            Answer twin = stranger.send(request.method(), twin(request.path(), twins), request.body() == null ? null : twin(request.body(), twins));
            assertThat(answer.status()).as("%s %s %s: %s", request.method(), request.path(), request.body(), answer.text())
                    .isEqualTo(twin.status());
            // Where the id stands beside what is asked and is not wanted, something else may come of it: never in the other gym.
            if (answer.status() >= 400 || theirs.stream().anyMatch(request.path()::contains)) {
                assertThat(answer.status()).as(request.path()).isBetween(400, 499);
                assertThat(twin(answer.text(), twins)).as(request.path()).isEqualTo(twin.text());
            }
        }
        assertThat(asked).isGreaterThan(REQUESTS / 2);
        assertThat(fingerprints()).isEqualTo(before);
    }

    private static String twin(String text, Map<String, String> twins) {
        String twin = text;
        for (Map.Entry<String, String> pair : twins.entrySet()) {
            twin = twin.replace(pair.getKey(), pair.getValue());
        }
        return twin;
    }

    /** The second wall: whatever the server asked in another gym's name, the database would not give it, change it, or take more. */
    @Test
    void everyTableKeepsToItsGym() throws SQLException {
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            List<String> tables = owned(behind);
            Map<String, String> samples = new LinkedHashMap<>();
            for (String table : tables) {
                String column = table.equals("gym") ? "id" : "gym_id";
                try (ResultSet rows = statement.executeQuery(
                        "select row_to_json(t) from %s t where %s = '%s' limit 1".formatted(table, column, gym))) {
                    assertThat(rows.next()).as("Gym has a row in " + table).isTrue();
                    samples.put(table, rows.getString(1));
                }
            }
            statement.execute("set role narrowgate_work");
            for (String[] name : new String[][] {{otherGym.toString(), ""}, {"", ""}, {otherGym.toString(), "yes"}}) {
                tell(behind, name[0], name[1]);
                for (String table : tables) {
                    String column = table.equals("gym") ? "id" : "gym_id";
                    String theirs = " where %s = '%s'".formatted(column, gym);
                    try (ResultSet rows = statement.executeQuery("select count(*) from " + table + theirs)) {
                        rows.next();
                        assertThat(rows.getInt(1)).as(table).isZero();
                    }
                    assertThat(changed(statement, "delete from " + table + theirs)).as(table).isZero();
                    assertThat(changed(statement, "update %s set %s = %2$s%s".formatted(table, column, theirs))).as(table).isZero();
                    assertThatThrownBy(() -> insert(behind, table, samples.get(table))).as(table).isInstanceOf(SQLException.class)
                            .hasMessageContaining("row-level security");
                }
            }
            tell(behind, gym.toString(), "");
            for (String table : tables) {
                try (ResultSet rows = statement.executeQuery("select count(*) from " + table)) {
                    rows.next();
                    assertThat(rows.getInt(1)).as(table).isPositive();
                }
            }
        }
    }

    /** What is noted stays: nobody who works with rows changes it or takes it away. */
    @Test
    void theAuditIsOnlyAddedTo() throws SQLException {
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            statement.execute("set role narrowgate_work");
            tell(behind, gym.toString(), "");
            assertThat(statement.executeUpdate("delete from audit")).isZero();
            assertThatThrownBy(() -> statement.executeUpdate("update audit set detail = 'nothing'")).hasMessageContaining("stays");
        }
    }

    private static int changed(Statement statement, String change) throws SQLException {
        try {
            return statement.executeUpdate(change);
        } catch (SQLException e) {
            // Refused altogether, as for the audit.
            assertThat(e.getMessage()).contains("stays");
            return 0;
        }
    }

    private static void tell(Connection connection, String gym, String onlyShared) throws SQLException {
        try (PreparedStatement tell = connection.prepareStatement("select set_config('narrowgate.gym', ?, false), "
                + "set_config('narrowgate.house', '', false), set_config('narrowgate.only_shared', ?, false)")) {
            tell.setString(1, gym);
            tell.setString(2, onlyShared);
            tell.execute();
        }
    }

    private static void insert(Connection connection, String table, String row) throws SQLException {
        try (PreparedStatement insert = connection.prepareStatement(
                "insert into %s overriding system value select (json_populate_record(null::%1$s, ?::json)).*".formatted(table))) {
            insert.setString(1, row);
            insert.execute();
        }
    }
}
