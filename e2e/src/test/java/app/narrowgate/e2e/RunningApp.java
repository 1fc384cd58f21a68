package app.narrowgate.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/** The packaged jar, running on a database of its own with the demo gym in it. */
final class RunningApp implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(200);

    /** Whoever has it may open a gym. */
    static final String HOUSE_CODE = "two-owls-on-one-skateboard";

    /** As in a real house the server works as somebody who may do no more than work: above whom the rows' own rules stand. */
    private static final String WORKER = "narrowgate_work";
    private static final String GRANT_TO_WORKER = """
            do $$ begin create role %1$s; exception when duplicate_object or unique_violation then null; end $$;
            grant usage on schema public to %1$s;
            alter default privileges in schema public grant select, insert, update, delete on tables to %1$s;
            """.formatted(WORKER);

    private static final int FIRST_PORT = 16_000;
    private static final int PORTS = 8_000;
    private static final AtomicInteger PORTS_TRIED = new AtomicInteger();

    /** A virtual machine of which nobody has use at the moment. */
    private static Process free;

    private final String database;
    private final Cluster cluster;
    private final int port = freePort();
    private final String address = "http://127.0.0.1:" + port;
    private final boolean hosted;
    /** False for one more node on the database of another. */
    private final boolean own;
    private Process process;
    private int ahead;

    /** Where the database server is. */
    record Cluster(String port, String user, String password) {
        String url() {
            return "jdbc:postgresql://127.0.0.1:" + port + "/";
        }
    }

    /** On a database of its own with nothing in it. */
    private RunningApp(Cluster cluster) {
        this.cluster = cluster;
        database = freshName();
        own = true;
        hosted = false;
        sql("postgres", "create database " + database);
        sql(database, GRANT_TO_WORKER);
        List<String> command = new ArrayList<>(List.of(Unpacked.CLASSES.exists() ? Unpacked.READ_CLASSES : Unpacked.WRITE_CLASSES, "-jar",
                Unpacked.JAR.toString()));
        command.addAll(settings());
        process = machine(command);
        awaitHealth();
    }

    /** On a copy of another one's database, which nobody may be using. */
    private RunningApp(Cluster cluster, String begun) {
        this.cluster = cluster;
        database = freshName();
        own = true;
        hosted = true;
        sql("postgres", "create database " + database + " template " + begun);
        startAgain();
    }

    private RunningApp(RunningApp other) {
        cluster = other.cluster;
        database = other.database;
        own = false;
        hosted = true;
        startAgain();
    }

    private static String freshName() {
        return "e2e_" + UUID.randomUUID().toString().replace("-", "");
    }

    /** One more node of the same house. */
    RunningApp beside() {
        return new RunningApp(this);
    }

    /** Starts the server, again on the same database and the same address where it was killed. */
    void startAgain() {
        process = free != null && free.isAlive() ? free : machine(List.of(Unpacked.READ_CLASSES, "-cp",
                Unpacked.JAR + File.pathSeparator + Path.of("target", "test-classes").toAbsolutePath(), Host.class.getName()));
        free = null;
        tell(Host.RUN + Host.BETWEEN + String.join(Host.BETWEEN, settings()));
        awaitHealth();
    }

    private List<String> settings() {
        return List.of("--server.port=" + port, "--narrowgate.demo=true", "--narrowgate.clock-ahead-file=" + clock(), "--narrowgate.house-code=" + HOUSE_CODE,
                "--spring.datasource.url=" + cluster.url() + database, "--spring.datasource.username=" + cluster.user(),
                "--spring.datasource.password=" + cluster.password(), "--spring.datasource.hikari.connection-init-sql=set role " + WORKER);
    }

    private Process machine(List<String> what) {
        List<String> command = new ArrayList<>(List.of(Unpacked.JAVA));
        command.addAll(List.of(System.getProperty("narrowgate.java-options", "-XX:TieredStopAtLevel=1 -XX:+UseSerialGC").split(" ")));
        command.add(Unpacked.WIRED);
        command.addAll(what);
        try {
            Path log = Files.createDirectories(Path.of("target")).resolve("app-" + port + ".log");
            return new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile())).start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void tell(String line) {
        try {
            process.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
            process.getOutputStream().flush();
        } catch (IOException e) {
            throw new UncheckedIOException("The virtual machine of the application has ended; see e2e/target/app-*.log", e);
        }
    }

    /** Puts the server's clock ahead, by so many seconds more. */
    void later(int seconds) {
        ahead += seconds;
        try {
            // At once, as the server looks at it whenever it is asked for the time.
            Path next = Files.writeString(clock().resolveSibling(clock().getFileName() + "-next"), Integer.toString(ahead));
            Files.move(next, clock(), StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Path clock() {
        return Path.of("target").resolve("clock-" + port).toAbsolutePath();
    }

    static synchronized RunningApp start() {
        Cluster cluster = new Cluster(env("PORT"), env("USER"), env("PASSWORD"));
        return new RunningApp(cluster, begun(cluster));
    }

    /**
     * What all begin with: the database of an application that has loaded the demo gym, made once for all stories of a day, since the demo gym has a class
     * on the day it is loaded and who was there stands only in that. Whoever comes first makes it, the other virtual machine waits for it: two at once would
     * take both of them as long as one after the other.
     */
    private static String begun(Cluster cluster) {
        String name = "begun_%d_%s".formatted(Unpacked.BUILT, LocalDate.now(ZoneOffset.UTC).format(DateTimeFormatter.BASIC_ISO_DATE));
        try (Connection connection = DriverManager.getConnection(cluster.url() + "postgres", cluster.user(), cluster.password());
                Statement statement = connection.createStatement()) {
            statement.execute("select pg_advisory_lock(%d)".formatted(Unpacked.BUILT));
            try (ResultSet there = statement.executeQuery("select 1 from pg_database where datname = '%s'".formatted(name))) {
                if (there.next()) {
                    return name;
                }
            }
            RunningApp first = new RunningApp(cluster);
            first.end();
            statement.execute("alter database %s rename to %s".formatted(first.database, name));
            return name;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** On a database server of its own. */
    static RunningApp on(Cluster cluster) {
        return new RunningApp(cluster);
    }

    /** The one column of a query, asked behind the server. */
    List<String> stored(String query) {
        List<String> values = new ArrayList<>();
        try (Connection connection = DriverManager.getConnection(cluster.url() + database, cluster.user(), cluster.password());
                Statement statement = connection.createStatement(); ResultSet rows = statement.executeQuery(query)) {
            while (rows.next()) {
                values.add(rows.getString(1));
            }
            return values;
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Does something behind the server's back. */
    void execute(String statements) {
        sql(database, statements);
    }

    /** Ends the server as a failing machine would: at once, in the middle of whatever it does. */
    void kill() {
        process.destroyForcibly();
        process.onExit().join();
    }

    String address() {
        return address;
    }

    int port() {
        return port;
    }

    /** Writes all that it keeps into an archive, and gives what the command ended with. */
    int backUp(Path archive) {
        ProcessBuilder command = new ProcessBuilder(Unpacked.JAVA, "-cp", Unpacked.JAR.toString(), "app.narrowgate.server.backup.BackupCommand", "backup",
                archive.toString()).inheritIO();
        command.environment().putAll(Map.of("NARROWGATE_DB_URL", cluster.url() + database, "NARROWGATE_DB_USER", cluster.user(),
                "NARROWGATE_DB_PASSWORD", cluster.password()));
        try {
            return command.start().onExit().join().exitValue();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The number of the server's process. */
    long process() {
        return process.pid();
    }

    /** Processor time that the server has used since it was started. */
    double processorSeconds() {
        return seconds(process.toHandle());
    }

    /** The same of the processes that the database has now. */
    double databaseSeconds() {
        return stored("select pid from pg_stat_activity").stream().flatMap(pid -> ProcessHandle.of(Long.parseLong(pid)).stream())
                .mapToDouble(RunningApp::seconds).sum();
    }

    private static double seconds(ProcessHandle process) {
        return process.info().totalCpuDuration().map(used -> used.toNanos() / 1e9).orElse(0.0);
    }

    /** Waits until the server says that it takes requests. */
    void awaitHealth() {
        awaitHealth(address);
    }

    /** The same where one comes to it by another address. */
    void awaitHealth(String at) {
        Instant until = Instant.now().plus(PATIENCE);
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest health = HttpRequest.newBuilder(URI.create(at + "/actuator/health")).build();
        do {
            if (answers(http, health)) {
                return;
            }
        } while (Instant.now().isBefore(until) && !ends(BETWEEN_LOOKS));
        close();
        throw new IllegalStateException("The application did not start; see e2e/target/app-*.log");
    }

    private static boolean answers(HttpClient http, HttpRequest health) {
        try {
            return http.send(health, BodyHandlers.discarding()).statusCode() == 200;
        } catch (IOException notYet) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private boolean ends(Duration within) {
        try {
            return process.waitFor(within.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private void end() {
        process.destroy();
        process.onExit().join();
    }

    @Override
    public void close() {
        if (free == null && hosted && process.isAlive()) {
            tell(Host.END);
            free = process;
        } else {
            end();
        }
        if (own) {
            sql("postgres", "drop database " + database + " with (force)");
        }
    }

    private static String env(String name) {
        String value = System.getenv("NARROWGATE_TEST_DB_" + name);
        if (value == null) {
            throw new IllegalStateException("NARROWGATE_TEST_DB_" + name + " is not set; start the tests with ./test");
        }
        return value;
    }

    private void sql(String where, String statement) {
        try (Connection connection = DriverManager.getConnection(cluster.url() + where, cluster.user(), cluster.password())) {
            connection.createStatement().execute(statement);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * None of those that the machine gives to whoever connects: while an application is away from its port, one of them could have it. Each
     * process looks somewhere else first.
     */
    static int freePort() {
        while (true) {
            int port = FIRST_PORT + Math.floorMod(ProcessHandle.current().pid() * 61 + PORTS_TRIED.getAndIncrement(), PORTS);
            try (ServerSocket socket = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
                return socket.getLocalPort();
            } catch (BindException taken) {
                // The next one, then.
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
