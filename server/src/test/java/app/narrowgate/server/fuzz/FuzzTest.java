package app.narrowgate.server.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * Whatever is sent, the server answers with a sentence, blames itself for nothing and goes on. {@code scripts/fuzz} sends
 * more: {@code -Dfuzz.requests} and {@code -Dfuzz.seed}.
 */
class FuzzTest extends DemoMapTest {

    private static final int REQUESTS = Integer.getInteger("fuzz.requests", 5000);
    /** How often a stranger sends the same. */
    private static final int STRANGER_EVERY = 5;
    /** What opens to a stranger, as the tests of rights list it, begins so. */
    private static final Pattern OPEN = Pattern.compile("/api/(session|gyms|invitations/(look|join|password)|links/look|screens/.*)");
    /** Of what is known some has been taken out or put away by then. */
    private static final int RENEWED_EVERY = 1000;
    /** A long run is not lost for the first of them. */
    private static final int MOST_FOUND = 10;
    /** A long run says how far it is. */
    private static final int TOLD_EVERY = 10_000;
    private static final long SEED = Long.getLong("fuzz.seed", 1);
    /** Words of the program's own that are for nobody outside. */
    private static final String OWN_WORDS = ".*(java\\.|jakarta\\.|tools\\.jackson|springframework|app\\.narrowgate|Exception|"
            + "jdbc|PSQL|select |insert into).*";

    @Test
    void everyRequestGetsASentenceNobodyComesInAndNothingBadIsStored() throws SQLException {
        Fuzzer fuzzer = new Fuzzer(client.get("/api/openapi").text(), SEED);
        assertThat(fuzzer.operations()).isGreaterThan(30);
        Knowledge knowledge = new Knowledge(client, fuzzer);
        Map<Integer, Integer> statuses = new TreeMap<>();
        Set<String> taken = new HashSet<>();
        List<AssertionError> all = new ArrayList<>();
        TestClient stranger = arriving();
        for (int i = 0; i < REQUESTS; i++) {
            if (i % RENEWED_EVERY == 0) {
                knowledge.renew();
            }
            if (i > 0 && i % TOLD_EVERY == 0) {
                System.out.printf("Fuzz, seed %d: %d of %d requests, %d findings%n", SEED, i, REQUESTS, all.size());
            }
            Fuzzer.Request request = fuzzer.next();
            boolean session = request.path().startsWith("/api/session") && !request.method().equals("GET");
            Answer answer = (session ? arriving() : client).send(request.method(), request.path(), request.body());
            statuses.merge(answer.status(), 1, Integer::sum);
            String what = "seed %d, request %d: %s → %s".formatted(SEED, i, request, answer);
            if (answer.status() >= 400) {
                try {
                    requireASentence(answer, what);
                    assertThat(answer.status()).as(what).isLessThan(500);
                    assertThat(answer.status() == 401).as(what).isEqualTo(session && answer.status() == 401);
                } catch (AssertionError found) {
                    all.add(found);
                    System.out.println(found.getMessage());
                    if (all.size() == MOST_FOUND) {
                        break;
                    }
                }
            } else {
                taken.add(request.method() + " " + request.operation());
                knowledge.learn(request, answer);
            }
            if (i % STRANGER_EVERY == 0 && !OPEN.matcher(request.path().replaceFirst("\\?.*", "")).matches()) {
                Answer closed = stranger.send(request.method(), request.path(), request.body());
                assertThat(closed.status()).as("a stranger's: " + what + " → " + closed).isIn(400, 401, 403);
            }
        }
        assertThat(all).isEmpty();
        requireNothingBadIsStored();
        assertThat(statuses.keySet()).as("some are taken, some are not").contains(200, 400, 404, 422);
        assertThat(client.get(map).status()).as("and it goes on").isEqualTo(200);
        assertThat(taken).as("most get as far as what they ask for").hasSizeGreaterThan(fuzzer.operations() * 2 / 3);
        System.out.printf("Fuzz, seed %d: answers by status %s; %d of %d operations taken%n", SEED, statuses, taken.size(), fuzzer.operations());
    }

    /** Somebody of whom nothing is known but the token that the first page gives. */
    private static TestClient arriving() {
        TestClient arriving = server.client();
        arriving.get("/api/session");
        return arriving;
    }

    /** Every number is one, no text has what no keyboard writes, and every map is one that could be read in from a file. */
    private static void requireNothingBadIsStored() throws SQLException {
        try (Connection behind = server.behind(); Statement statement = behind.createStatement()) {
            for (Column column : columns(statement)) {
                String wrong = column.type().startsWith("double") || column.type().equals("numeric")
                        ? "%1$s = 'NaN' or %1$s = 'Infinity' or %1$s = '-Infinity'" : "%1$s::text ~ '[\\x01-\\x08\\x0b\\x0c\\x0e-\\x1f\\x7f]'";
                try (ResultSet rows = statement.executeQuery("select count(*) from %s where %s".formatted(column.table(),
                        wrong.formatted(column.name())))) {
                    rows.next();
                    assertThat(rows.getLong(1)).as("%s in %s", column.name(), column.table()).isZero();
                }
            }
        }
        for (JsonNode known : client.get("/api/maps").json()) {
            String file = client.get("/api/maps/" + known.get("id").stringValue() + "/file").text();
            assertThat(MapJson.read(file)).as(known.toString()).isNotNull();
        }
    }

    private record Column(String table, String name, String type) {
    }

    private static List<Column> columns(Statement statement) throws SQLException {
        List<Column> columns = new ArrayList<>();
        try (ResultSet rows = statement.executeQuery("""
                select table_name, column_name, data_type from information_schema.columns join information_schema.tables using (table_schema, table_name)
                where table_schema = 'public' and table_type = 'BASE TABLE' and data_type in ('double precision', 'numeric', 'text', 'jsonb')""")) {
            while (rows.next()) {
                columns.add(new Column(rows.getString(1), "\"" + rows.getString(2) + "\"", rows.getString(3)));
            }
        }
        return columns;
    }

    private static void requireASentence(Answer answer, String what) {
        assertThat(answer.type()).as(what).startsWith("application/problem+json");
        JsonNode detail = answer.json().path("detail");
        assertThat(detail.isString()).as(what).isTrue();
        assertThat(detail.stringValue()).as(what).matches("(?s).*[.!?”)].*").doesNotMatch("(?s)" + OWN_WORDS);
    }
}
