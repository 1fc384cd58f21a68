package app.narrowgate.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/** An empty database, made for one test and dropped after it. */
public final class TestDatabase implements AutoCloseable {

    private static final String HOST = "jdbc:postgresql://127.0.0.1:" + System.getenv("NARROWGATE_TEST_DB_PORT") + "/";
    public static final String USER = System.getenv("NARROWGATE_TEST_DB_USER");
    public static final String PASSWORD = System.getenv("NARROWGATE_TEST_DB_PASSWORD");

    private final String name = "empty_" + UUID.randomUUID().toString().replace("-", "");

    /** On the test's database server. */
    public TestDatabase() throws SQLException {
        inAll("create database " + name);
    }

    /** Where it is. */
    public String url() {
        return HOST + name;
    }

    /** A connection of whoever may do everything. */
    public Connection connect() throws SQLException {
        return DriverManager.getConnection(url(), USER, PASSWORD);
    }

    /** Does what the statements say. */
    public void in(String sql) throws SQLException {
        try (Connection connection = connect(); Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    /** The one value that the query gives, as text. */
    public String one(String query) throws SQLException {
        try (Connection connection = connect(); Statement statement = connection.createStatement(); ResultSet rows = statement.executeQuery(query)) {
            rows.next();
            return rows.getString(1);
        }
    }

    private static void inAll(String sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection(HOST + "postgres", USER, PASSWORD);
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @Override
    public void close() throws SQLException {
        inAll("drop database " + name + " with (force)");
    }
}
