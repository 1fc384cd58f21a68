package app.narrowgate.server.backup;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;

/**
 * A database, and who asks it.
 *
 * @param user somebody who sees every row
 * @param owner whose the tables are to be; empty where they are the user's
 */
record Place(String url, String user, String password, String owner) {

    Connection connect() throws SQLException {
        return DriverManager.getConnection(url, user, password);
    }

    /** The newest version of the tables that this program knows. */
    MigrationVersion newest() {
        MigrationInfo[] known = flyway("latest").info().all();
        return known[known.length - 1].getVersion();
    }

    /** Brings the tables up to a version. */
    void migrate(String version) {
        flyway(version).migrate();
    }

    private Flyway flyway(String target) {
        return Flyway.configure().dataSource(url, user, password).initSql(owner.isEmpty() ? "select 1" : "set role \"" + owner + "\"")
                .target(target).load();
    }
}
