package app.narrowgate.server.backup;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A table that is kept in a backup.
 *
 * @param columns all of them, in their order
 * @param texts which of them hold text, whose order is told without a language's rules
 * @param key the columns of its primary key
 * @param counter a column whose numbers the database gives by itself; null where there is none
 * @param owner the column that says whose gym a row is; null for a table of the house
 * @param needs tables that must be filled before this one
 */
record Table(String name, List<String> columns, List<String> texts, List<String> key, String counter, String owner, List<String> needs) {

    /** Stands where a hashed password would, and is the hash of none that anybody will find: 32 bytes of zero. */
    private static final String NO_PASSWORD = "$argon2id$v=19$m=19456,t=2,p=1$" + "A".repeat(22) + "$" + "A".repeat(43);

    /** Where its rows stand in an archive. */
    String file() {
        return "tables/" + name + ".csv";
    }

    /** The database reads rows as {@link #copyOut} writes them, and refuses columns of other names. */
    String copyIn() {
        return "copy %s (%s) from stdin (format csv, header match)".formatted(quoted(name), list(columns));
    }

    /** The same, but what the database counts by itself it counts anew. */
    String copyInAnew() {
        return "copy %s (%s) from stdin (format csv, header match)".formatted(quoted(name), list(counted()));
    }

    /**
     * The database writes rows in the order of their keys.
     *
     * @param gym whose; null for all
     * @param passwords false to leave out what somebody could guess passwords by
     */
    String copyOut(UUID gym, boolean passwords) {
        return copyOut(columns, gym, passwords);
    }

    /** The rows of a gym without what the database counts by itself. */
    String copyOutUncounted(UUID gym) {
        return copyOut(counted(), gym, true);
    }

    private String copyOut(List<String> chosen, UUID gym, boolean passwords) {
        String columnsOut = chosen.stream().map(column -> !passwords && name.equals("account") && column.equals("password_hash")
                ? "'" + NO_PASSWORD + "' as " + quoted(column) : quoted(column)).collect(Collectors.joining(", "));
        String which = gym == null ? "" : " where %s = '%s'".formatted(quoted(owner), gym);
        String none = !passwords && name.equals("device") ? (which.isEmpty() ? " where false" : " and false") : "";
        String order = key.stream().map(column -> quoted(column) + (texts.contains(column) ? " collate \"C\"" : ""))
                .collect(Collectors.joining(", "));
        return "copy (select %s from %s%s%s order by %s) to stdout (format csv, header)".formatted(columnsOut, quoted(name), which, none, order);
    }

    private List<String> counted() {
        return columns.stream().filter(column -> !column.equals(counter)).toList();
    }

    private static String list(List<String> columns) {
        return columns.stream().map(Table::quoted).collect(Collectors.joining(", "));
    }

    private static String quoted(String name) {
        return '"' + name.replace("\"", "\"\"") + '"';
    }
}
