package app.narrowgate.e2e;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/**
 * What a gym takes in the database: a roster, rounds, classes and changes of a map are written as people write them, and each table is
 * asked what it has grown by, with its indexes. Run by {@code scripts/size}; no test.
 */
final class SizeMeasurement {

    private final RunningApp app;

    private SizeMeasurement(RunningApp app) {
        this.app = app;
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
            Years years = new Years(new Coach(app.address()));
            List<String> people = years.people(many[0]);
            years.rounds(people, many[1]);
            years.classes(people, many[2]);
            years.changes(many[3]);
            measurement.tell(before, measurement.sizes());
        }
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
