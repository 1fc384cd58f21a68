package app.narrowgate.e2e;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a gym takes in the database: a roster, rounds, classes and changes of a map are written as people write them, and each table is
 * asked what it has grown by, with its indexes. Run by {@code scripts/size}; no test.
 */
final class SizeMeasurement {

    private static final int AT_ONCE = 200;
    private static final int DAYS = 1_000;
    private static final int HERE = 16;
    private static final List<String> ENDINGS = List.of("guard", "half", "turtle", "tap", "held", "standing");
    private static final long SEED = 20_261_129;

    private final RunningApp app;
    private final Coach coach;
    private final Random random = new Random(SEED);

    private SizeMeasurement(RunningApp app) {
        this.app = app;
        coach = new Coach(app.address());
    }

    /** Rows and bytes of a table. */
    private record Size(long rows, long bytes) {
    }

    /** How many people, rounds, classes and changes. */
    public static void main(String[] arguments) {
        int[] many = Stream.of(arguments).mapToInt(Integer::parseInt).toArray();
        try (RunningApp app = RunningApp.start()) {
            SizeMeasurement measurement = new SizeMeasurement(app);
            Map<String, Size> before = measurement.sizes();
            List<String> people = measurement.people(many[0]);
            measurement.rounds(people, many[1]);
            measurement.classes(people, many[2]);
            measurement.changes(many[3]);
            measurement.tell(before, measurement.sizes());
        }
    }

    private List<String> people(int many) {
        for (int from = 0; from < many; from += AT_ONCE) {
            int to = Math.min(from + AT_ONCE, many);
            taken(coach.visitor().send("POST", "/api/people", "{\"people\":[%s]}".formatted(IntStream.range(from, to)
                    .mapToObj("{\"name\":\"Pell Underhill %d\",\"age\":\"adults\",\"level\":\"novice\",\"weight\":71.5,\"notes\":\"\"}"::formatted)
                    .collect(Collectors.joining(",")))));
        }
        return coach.people(many);
    }

    private void rounds(List<String> people, int many) {
        for (int from = 0; from < many; from += AT_ONCE) {
            List<String> events = new ArrayList<>();
            for (int i = from; i < Math.min(from + AT_ONCE, many); i++) {
                int below = random.nextInt(people.size());
                int above = (below + 1 + random.nextInt(people.size() - 1)) % people.size();
                events.add("""
                        {"id":"%s","kind":"round","at":"%s","person":"%s","partner":"%s","start":"mount-low","side":"left","ending":"%s","seconds":%d,
                        "reaction":"low-trap-bridge"}""".formatted(UUID.randomUUID(), Instant.now().minus(random.nextInt(DAYS), ChronoUnit.DAYS),
                        people.get(below), people.get(above), ENDINGS.get(random.nextInt(ENDINGS.size())), 10 + random.nextInt(80)));
            }
            taken(coach.visitor().send("POST", coach.map() + "/record/events", "{\"events\":[%s]}".formatted(String.join(",", events))));
        }
    }

    private void classes(List<String> people, int many) {
        for (int i = 0; i < many; i++) {
            String id = UUID.randomUUID().toString();
            taken(coach.visitor().send("POST", coach.map() + "/classes", """
                    {"id":"%s","lesson":{"title":"Size %d","day":"2032-05-04","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                    "usual":"step-by-step","here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}}"""
                    .formatted(id, i, String.join("\",\"", people.subList(0, Math.min(HERE, people.size()))))));
            taken(coach.visitor().send("POST", coach.map() + "/classes/" + id + "/mat", ""));
            taken(coach.visitor().send("POST", coach.map() + "/classes/" + id + "/mat/presses",
                    "{\"id\":\"%s\",\"deed\":\"start\",\"step\":0,\"ago\":0}".formatted(UUID.randomUUID())));
        }
    }

    private void changes(int many) {
        int revision = Coach.revision(coach.visitor().get(coach.map()));
        for (int i = 0; i < many; i++) {
            revision = Coach.revision(taken(coach.save(revision, "Change %d of the map, in some words".formatted(i))));
        }
    }

    private static HttpResponse<byte[]> taken(HttpResponse<byte[]> answer) {
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException("Refused with %d: %s".formatted(answer.statusCode(), Visitor.text(answer)));
        }
        return answer;
    }

    private Map<String, Size> sizes() {
        Map<String, Size> sizes = new LinkedHashMap<>();
        for (String table : app.stored("select relname from pg_stat_user_tables where schemaname = 'public' order by relname")) {
            String told = app.stored("select count(*) || ' ' || pg_total_relation_size('%1$s') from %1$s".formatted(table)).get(0);
            sizes.put(table, new Size(Long.parseLong(told.split(" ")[0]), Long.parseLong(told.split(" ")[1])));
        }
        return sizes;
    }

    private void tell(Map<String, Size> before, Map<String, Size> after) {
        Map<String, Long> grown = new HashMap<>();
        after.forEach((table, size) -> grown.put(table, size.bytes() - before.get(table).bytes()));
        System.out.printf("%-24s %10s %12s %10s%n", "table", "more rows", "more kB", "bytes a row");
        after.keySet().stream().filter(table -> grown.get(table) > 0).sorted((a, b) -> Long.compare(grown.get(b), grown.get(a))).forEach(table -> {
            long rows = after.get(table).rows() - before.get(table).rows();
            System.out.printf(Locale.ROOT, "%-24s %10d %12.0f %10s%n", table, rows, grown.get(table) / 1e3, rows == 0 ? "" : grown.get(table) / rows);
        });
        System.out.printf(Locale.ROOT, "%-24s %10s %12.0f%n", "all", "", grown.values().stream().mapToLong(Long::longValue).sum() / 1e3);
        System.out.printf(Locale.ROOT, "%-24s %10s %12.0f%n", "the demo's before", "", before.values().stream().mapToLong(Size::bytes).sum() / 1e3);
    }
}
