package app.narrowgate.e2e;

import java.util.List;
import java.util.Set;

/**
 * Fills a house with gyms that are like one that is there already: every row of it again, under other ids. Only for measuring; a gym that
 * moves goes by its archive. What stands inside a class or a plan still names the first gym's people.
 */
final class ManyGyms {

    /** What is of a device, an hour or an address, and the same nowhere twice. */
    private static final Set<String> NOT_AGAIN = Set.of("invitation", "shared_link", "mat_link", "mail", "device", "run", "audit", "demo_part");

    private static final String COLUMNS = """
            from information_schema.columns where table_schema = 'public' and table_name = '%s' and is_generated = 'NEVER' and is_identity = 'NO'
            order by ordinal_position""";

    private final RunningApp app;
    private final String gym;
    private final List<String> tables;

    /** @param gym the id of the one that is made again */
    ManyGyms(RunningApp app, String gym) {
        this.app = app;
        this.gym = gym;
        tables = app.stored("""
                select table_name from information_schema.columns join information_schema.tables using (table_schema, table_name)
                where table_schema = 'public' and table_type = 'BASE TABLE' and column_name = 'gym_id'""").stream()
                .filter(table -> !NOT_AGAIN.contains(table)).toList();
    }

    /** Makes those that are lacking until there are so many; whoever signs in there has the same password, and {@link #named} as a name. */
    void until(int many) {
        int there = Integer.parseInt(app.stored("select count(*) from gym").get(0));
        for (int number = there; number < many; number++) {
            // Rows come in any order: what they point to may come after them.
            StringBuilder all = new StringBuilder("set session_replication_role = replica;");
            all.append(again("gym", "id", number));
            for (String table : tables) {
                all.append(again(table, "gym_id", number));
            }
            app.execute(all.toString());
        }
        app.execute("analyze");
    }

    /** What somebody of the first gym is called in another. */
    static String named(String name, int number) {
        return number == 0 ? name : name + "-" + number;
    }

    private String again(String table, String column, int number) {
        List<String> columns = app.stored(("select quote_ident(column_name) " + COLUMNS).formatted(table));
        List<String> values = app.stored(("""
                select case when data_type = 'uuid' then format('md5(%%I::text || ''-%d'')::uuid', column_name)
                    when table_name = 'account' and column_name = 'name' then 'name || ''-%d''' else quote_ident(column_name) end\s"""
                + COLUMNS).formatted(number, number, table));
        return "insert into %s (%s) select %s from %1$s where %s = '%s';%n".formatted(table, String.join(", ", columns), String.join(", ", values),
                column, gym);
    }
}
