package app.narrowgate.server.gym;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A house from before there were gyms: what is in it becomes one gym's, and nothing is lost. */
class UpgradeTest {

    private static final String BEFORE_GYMS = "9";
    private static final String HOST = "jdbc:postgresql://127.0.0.1:" + System.getenv("NARROWGATE_TEST_DB_PORT") + "/";
    private static final String USER = System.getenv("NARROWGATE_TEST_DB_USER");
    private static final String PASSWORD = System.getenv("NARROWGATE_TEST_DB_PASSWORD");

    private final String database = "upgrade_" + UUID.randomUUID().toString().replace("-", "");

    @BeforeEach
    void create() throws SQLException {
        in("postgres", "create database " + database);
        migrate(BEFORE_GYMS);
    }

    @AfterEach
    void drop() throws SQLException {
        in("postgres", "drop database " + database + " with (force)");
    }

    private void migrate(String version) {
        Flyway.configure().dataSource(HOST + database, USER, PASSWORD).target(version).load().migrate();
    }

    private static void in(String database, String sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection(HOST + database, USER, PASSWORD);
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private String one(String query) throws SQLException {
        try (Connection connection = DriverManager.getConnection(HOST + database, USER, PASSWORD);
                Statement statement = connection.createStatement(); ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getString(1);
        }
    }

    @Test
    void whatIsThereBecomesOneGyms() throws SQLException {
        in(database, """
                insert into account (id, name, display_name, password_hash, created_at) values
                    ('00000000-0000-0000-0000-000000000001', 'second', 'Second', 'x', '2026-02-01'),
                    ('00000000-0000-0000-0000-000000000002', 'first', 'First', 'x', '2026-01-01');
                insert into map (id, title, head, created_at) values
                    ('00000000-0000-0000-0000-000000000003', 'Old', 1, '2026-03-01');
                insert into map_revision (map_id, number, kind, author, at, summary) values
                    ('00000000-0000-0000-0000-000000000003', 1, 'edit', '00000000-0000-0000-0000-000000000001', '2026-03-01', 'Began');
                insert into question (id, map_id, words, author, at) values
                    ('00000000-0000-0000-0000-000000000004', '00000000-0000-0000-0000-000000000003', 'they sit up',
                    '00000000-0000-0000-0000-000000000001', '2026-03-02');""");
        migrate("latest");
        assertThat(one("select count(*) from gym")).isEqualTo("1");
        assertThat(one("select string_agg(name || ' ' || role, ', ' order by name) from account")).isEqualTo("first owner, second instructor");
        for (String table : new String[] {"map", "map_revision", "question", "account"}) {
            assertThat(one("select bool_and(gym_id = (select id from gym)) from " + table)).as(table).isEqualTo("t");
        }
        assertThat(one("select shared from map")).as("nothing is shared that nobody shared").isEqualTo("f");
    }

    @Test
    void anEmptyHouseStaysEmpty() throws SQLException {
        migrate("latest");
        assertThat(one("select count(*) from gym")).isEqualTo("0");
    }
}
