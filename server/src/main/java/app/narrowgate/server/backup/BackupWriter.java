package app.narrowgate.server.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.postgresql.PGConnection;

/**
 * Writes what a house or a gym keeps into an archive: each table as it was at one instant, in files of comma-separated values. Nobody has to
 * wait meanwhile. Memory: some kilobytes, however much there is.
 */
final class BackupWriter {

    private final Connection connection;
    private final Clock clock;

    /** @param connection of somebody who sees every row that is to be written; left in the transaction mode in which it came */
    BackupWriter(Connection connection, Clock clock) {
        this.connection = connection;
        this.clock = clock;
    }

    /** Writes the whole house. */
    Manifest house(OutputStream out) throws SQLException, IOException {
        return write(null, true, out);
    }

    /**
     * Writes one gym.
     *
     * @param passwords false to leave out by what somebody could guess passwords; then everybody chooses one anew where the gym is put in
     */
    Manifest gym(UUID gym, boolean passwords, OutputStream out) throws SQLException, IOException {
        return write(gym, passwords, out);
    }

    private Manifest write(UUID gym, boolean passwords, OutputStream out) throws SQLException, IOException {
        boolean committing = connection.getAutoCommit();
        connection.setAutoCommit(false);
        try (Statement statement = connection.createStatement()) {
            // All tables as of the first question.
            statement.execute("set transaction isolation level repeatable read, read only");
            as(statement);
            Manifest manifest = written(statement, gym, passwords, out);
            connection.rollback();
            return manifest;
        } catch (SQLException | IOException | RuntimeException e) {
            connection.rollback();
            throw e;
        } finally {
            connection.setAutoCommit(committing);
        }
    }

    /** How values are written as text must not hang on how a database is set up. */
    static void as(Statement statement) throws SQLException {
        statement.execute("set local datestyle to iso, ymd");
        statement.execute("set local timezone to 'UTC'");
        statement.execute("set local intervalstyle to iso_8601");
        statement.execute("set local bytea_output to hex");
        statement.execute("set local extra_float_digits to 3");
    }

    private Manifest written(Statement statement, UUID gym, boolean passwords, OutputStream out) throws SQLException, IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        List<Manifest.Listed> files = new ArrayList<>();
        for (Table table : gym == null ? Catalogue.tables(connection) : Catalogue.tablesOfGyms(connection)) {
            zip.putNextEntry(new ZipEntry(table.file()));
            Digested through = new Digested(zip);
            long rows = connection.unwrap(PGConnection.class).getCopyAPI().copyOut(table.copyOut(gym, passwords), through);
            zip.closeEntry();
            files.add(new Manifest.Listed(table.file(), table.name(), rows, through.bytes(), through.digest()));
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        Manifest manifest = new Manifest(Manifest.FORMAT, gym == null ? Manifest.HOUSE : Manifest.GYM, now, build(), schema(statement), passwords,
                gyms(connection, gym), List.copyOf(files));
        zip.putNextEntry(new ZipEntry(Manifest.FILE));
        zip.write(BackupFile.JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(manifest));
        zip.closeEntry();
        zip.finish();
        return manifest;
    }

    static List<Manifest.Named> gyms(Connection connection, UUID only) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(
                "select id, name from gym where ?::uuid is null or id = ? order by created_at, id")) {
            statement.setObject(1, only, Types.OTHER);
            statement.setObject(2, only, Types.OTHER);
            List<Manifest.Named> gyms = new ArrayList<>();
            try (ResultSet rows = statement.executeQuery()) {
                while (rows.next()) {
                    gyms.add(new Manifest.Named(rows.getObject(1, UUID.class), rows.getString(2)));
                }
            }
            return gyms;
        }
    }

    /** Up to what the tables were brought. */
    static String schema(Statement statement) throws SQLException {
        try (ResultSet rows = statement.executeQuery(
                "select version from flyway_schema_history where success and version is not null order by installed_rank desc limit 1")) {
            rows.next();
            return rows.getString(1);
        }
    }

    private static String build() throws IOException {
        Properties properties = new Properties();
        try (InputStream in = BackupWriter.class.getResourceAsStream("/META-INF/build-info.properties")) {
            if (in != null) {
                properties.load(in);
            }
        }
        return properties.getProperty("build.time", "none");
    }
}
