package app.narrowgate.server.backup;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.flywaydb.core.api.MigrationVersion;
import org.postgresql.PGConnection;

/**
 * Fills an empty database from an archive: its tables are made as they were when the archive was written, filled, read back and compared with
 * it byte by byte, and only then brought up to today. Whatever fails leaves the archive and every other database as they were.
 */
final class Restoring {

    private final Place place;

    /** @param place an empty database, and a superuser of it, above whom no rules over rows stand */
    Restoring(Place place) {
        this.place = place;
    }

    /**
     * Fills it.
     *
     * @throws RefusedException where the archive is of a later version, or the database is not empty
     */
    void fill(BackupFile file) throws SQLException, IOException {
        Manifest manifest = file.manifest();
        requireKnown(manifest);
        try (Connection connection = place.connect()) {
            if (!Catalogue.tables(connection).isEmpty()) {
                throw new RefusedException("The database %s is not empty.".formatted(place.url()));
            }
            place.migrate(manifest.schema());
            connection.setAutoCommit(false);
            try (Statement statement = connection.createStatement()) {
                BackupWriter.as(statement);
            }
            fill(connection, file);
            connection.commit();
        }
        place.migrate("latest");
    }

    private void requireKnown(Manifest manifest) {
        MigrationVersion version;
        try {
            version = MigrationVersion.fromVersion(manifest.schema());
        } catch (RuntimeException e) {
            throw new RefusedException("The archive is damaged at %s: “%s” is no version of the tables.".formatted(Manifest.FILE, manifest.schema()));
        }
        if (version.isNewerThan(place.newest())) {
            throw new RefusedException(("The archive was written by a later Narrow Gate (its tables are of version %s, this one knows %s). "
                    + "Update this one first.").formatted(manifest.schema(), place.newest()));
        }
    }

    private static void fill(Connection connection, BackupFile file) throws SQLException, IOException {
        Manifest manifest = file.manifest();
        boolean house = manifest.of().equals(Manifest.HOUSE);
        List<Table> tables = house ? Catalogue.tables(connection) : Catalogue.tablesOfGyms(connection);
        Map<String, Manifest.Listed> byTable = manifest.files().stream()
                .collect(Collectors.toMap(Manifest.Listed::table, Function.identity(), (first, second) -> first));
        if (byTable.size() != manifest.files().size() || !byTable.keySet().equals(tables.stream().map(Table::name).collect(Collectors.toSet()))) {
            throw new RefusedException("The archive is damaged at %s: it does not have the tables of version %s.".formatted(Manifest.FILE, manifest.schema()));
        }
        for (Table table : tables) {
            Manifest.Listed listed = byTable.get(table.name());
            try (InputStream rows = file.read(listed)) {
                connection.unwrap(PGConnection.class).getCopyAPI().copyIn(table.copyIn(), rows);
            }
            goOnCounting(connection, table);
            Digested again = new Digested(OutputStream.nullOutputStream());
            connection.unwrap(PGConnection.class).getCopyAPI().copyOut(table.copyOut(null, true), again);
            if (!again.digest().equals(listed.sha256())) {
                throw new RefusedException("What was read back from the table %s is not what the archive says; nothing was changed.".formatted(table.name()));
            }
        }
    }

    /** The next number that the database gives comes after those that are there. */
    private static void goOnCounting(Connection connection, Table table) throws SQLException {
        if (table.counter() != null) {
            try (PreparedStatement statement = connection.prepareStatement(
                    "select setval(pg_get_serial_sequence(?, ?), coalesce((select max(\"%s\") from \"%s\"), 0) + 1, false)"
                            .formatted(table.counter(), table.name()))) {
                statement.setString(1, table.name());
                statement.setString(2, table.counter());
                statement.execute();
            }
        }
    }

    /** Notes for the owner of each gym that it was brought back. */
    void note(Clock clock, Manifest manifest) throws SQLException {
        try (Connection connection = place.connect()) {
            for (Manifest.Named gym : manifest.gyms()) {
                note(connection, clock, gym.id(), Deed.RESTORE, "from the backup of " + manifest.written());
            }
        }
    }

    static void note(Connection connection, Clock clock, UUID gym, Deed deed, String detail) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(
                "insert into audit (gym_id, at, actor, deed, detail) values (?, ?, ?, ?, ?)")) {
            statement.setObject(1, gym);
            statement.setObject(2, OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC));
            statement.setObject(3, Audit.HOUSE);
            statement.setString(4, deed.code());
            statement.setString(5, detail);
            statement.execute();
        }
    }
}
