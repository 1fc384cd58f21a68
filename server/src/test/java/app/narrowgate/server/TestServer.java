package app.narrowgate.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The whole application on a free port and a database of its own, made for one test class and dropped after it. */
public final class TestServer implements AutoCloseable {

    private static final String HOST = "jdbc:postgresql://127.0.0.1:" + required("NARROWGATE_TEST_DB_PORT") + "/";
    private static final String USER = required("NARROWGATE_TEST_DB_USER");
    private static final String PASSWORD = required("NARROWGATE_TEST_DB_PASSWORD");
    /** As in a real house the server works as somebody who may do no more than work: above whom the rows' own rules stand. */
    private static final String WORKER = "narrowgate_work";
    /** Whoever has it may open a gym. */
    public static final String HOUSE_CODE = "two owls on one skateboard";

    private static final String GRANT_TO_WORKER = """
            do $$ begin create role %1$s; exception when duplicate_object or unique_violation then null; end $$;
            grant usage on schema public to %1$s;
            alter default privileges in schema public grant select, insert, update, delete on tables to %1$s;
            """.formatted(WORKER);

    /** What all begin with: migrated and with the demo gym in it, made once for all classes of this virtual machine. */
    private static String begun;

    private final String database;
    /** False for one more node on the database of another. */
    private final boolean own;
    private final ConfigurableApplicationContext context;

    private TestServer(String database, boolean own, String... more) {
        this.database = database;
        this.own = own;
        context = new SpringApplicationBuilder(NarrowGateApplication.class).run(Stream.concat(Stream.of(more), Stream.of(
                "--server.port=0", "--narrowgate.demo=true", "--narrowgate.house-code=" + HOUSE_CODE, "--spring.datasource.url=" + HOST + database,
                "--spring.datasource.username=" + USER, "--spring.datasource.password=" + PASSWORD,
                // No test is about how fast this machine is today.
                "--narrowgate.answer-time=5m",
                "--spring.datasource.hikari.connection-init-sql=set role " + WORKER)).toArray(String[]::new));
    }

    /** @param more settings, as on a command line */
    public static synchronized TestServer start(String... more) {
        if (begun == null) {
            String name = freshName();
            sql("create database " + name);
            sql(name, GRANT_TO_WORKER);
            new TestServer(name, true).context.close();
            begun = name;
        }
        String name = freshName();
        sql("create database " + name + " template " + begun);
        return new TestServer(name, true, more);
    }

    /** One more node of the same house. */
    public TestServer beside() {
        return new TestServer(database, false);
    }

    private static String freshName() {
        return "test_" + UUID.randomUUID().toString().replace("-", "");
    }

    /** A client that nobody has signed in with. */
    public TestClient client() {
        return new TestClient("http://127.0.0.1:" + port());
    }

    /** Where it listens. */
    public int port() {
        return ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    /** A client signed in as the demo gym's first instructor. */
    public TestClient signedIn() {
        return client().signIn("tamsin", "open-the-gate");
    }

    /** A connection of whoever may do everything, to look behind the server. */
    public Connection behind() throws SQLException {
        return DriverManager.getConnection(HOST + database, USER, PASSWORD);
    }

    /** Where its database is. */
    public String databaseUrl() {
        return HOST + database;
    }

    /** A part of the running application. */
    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    @Override
    public void close() {
        context.close();
        if (own) {
            sql("drop database " + database + " with (force)");
        }
    }

    private static void sql(String statement) {
        sql("postgres", statement);
    }

    private static void sql(String database, String statement) {
        try (Connection connection = DriverManager.getConnection(HOST + database, USER, PASSWORD)) {
            connection.createStatement().execute(statement);
        } catch (SQLException e) {
            throw new IllegalStateException("The test database does not answer; start the tests with ./test", e);
        }
    }

    private static String required(String name) {
        String value = System.getenv(name);
        if (value == null) {
            throw new IllegalStateException(name + " is not set; start the tests with ./test");
        }
        return value;
    }
}
