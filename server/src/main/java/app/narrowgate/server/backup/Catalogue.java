package app.narrowgate.server.backup;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;

/** The tables that a house keeps, as the database tells them. */
final class Catalogue {

    /**
     * What is not kept: who is signed in at the moment, whom nobody should find signed in again where they have signed out since; what is being
     * computed at the moment; and what the database was brought up to, which an archive says beside its tables.
     */
    static final Set<String> NOT_KEPT = Set.of("spring_session", "spring_session_attributes", "run", "sign_in_try", "flyway_schema_history");

    private static final String SCHEMA = "public";
    private static final String GYM = "gym";
    private static final String OWNER = "gym_id";

    private Catalogue() {
    }

    /** Every table that is kept, each after those it needs. Cost: a few questions a table. */
    static List<Table> tables(Connection connection) throws SQLException {
        DatabaseMetaData told = connection.getMetaData();
        Map<String, Table> byName = new TreeMap<>();
        for (String name : strings(told.getTables(null, SCHEMA, "%", new String[] {"TABLE", "PARTITIONED TABLE"}), "TABLE_NAME")) {
            if (!NOT_KEPT.contains(name)) {
                byName.put(name, table(told, name));
            }
        }
        DirectedAcyclicGraph<String, DefaultEdge> before = new DirectedAcyclicGraph<>(DefaultEdge.class);
        byName.keySet().forEach(before::addVertex);
        byName.values().forEach(table -> table.needs().forEach(need -> before.addEdge(need, table.name())));
        List<Table> ordered = new ArrayList<>();
        before.iterator().forEachRemaining(name -> ordered.add(byName.get(name)));
        return ordered;
    }

    /** Those whose rows belong to a gym each, each after those it needs. */
    static List<Table> tablesOfGyms(Connection connection) throws SQLException {
        return tables(connection).stream().filter(table -> table.owner() != null).toList();
    }

    private static Table table(DatabaseMetaData told, String name) throws SQLException {
        List<String> columns = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        String counter = null;
        try (ResultSet rows = told.getColumns(null, SCHEMA, name, "%")) {
            while (rows.next()) {
                String column = rows.getString("COLUMN_NAME");
                columns.add(column);
                if (rows.getInt("DATA_TYPE") == Types.VARCHAR) {
                    texts.add(column);
                }
                if (rows.getString("IS_AUTOINCREMENT").equals("YES")) {
                    counter = column;
                }
            }
        }
        Map<Integer, String> key = new TreeMap<>();
        try (ResultSet rows = told.getPrimaryKeys(null, SCHEMA, name)) {
            while (rows.next()) {
                key.put(rows.getInt("KEY_SEQ"), rows.getString("COLUMN_NAME"));
            }
        }
        if (key.isEmpty()) {
            throw new IllegalStateException("The table " + name + " has no key, so that its rows have no order");
        }
        Set<String> needs = new TreeSet<>(Comparator.naturalOrder());
        needs.addAll(strings(told.getImportedKeys(null, SCHEMA, name), "PKTABLE_NAME"));
        needs.remove(name);
        String owner = name.equals(GYM) ? "id" : columns.contains(OWNER) ? OWNER : null;
        return new Table(name, List.copyOf(columns), List.copyOf(texts), List.copyOf(key.values()), counter, owner, List.copyOf(needs));
    }

    private static List<String> strings(ResultSet rows, String column) throws SQLException {
        try (rows) {
            List<String> strings = new ArrayList<>();
            while (rows.next()) {
                strings.add(rows.getString(column));
            }
            return strings;
        }
    }
}
