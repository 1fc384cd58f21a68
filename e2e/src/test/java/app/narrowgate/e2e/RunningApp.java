package app.narrowgate.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;

/** The packaged jar, running on a database of its own with the demo gym in it. */
final class RunningApp implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(200);

    private final String database = "e2e_" + UUID.randomUUID().toString().replace("-", "");
    private final String address;
    private final Process process;

    private RunningApp() {
        sql("create database " + database);
        int port = freePort();
        address = "http://127.0.0.1:" + port;
        try {
            Path log = Files.createDirectories(Path.of("target")).resolve("app-" + port + ".log");
            ProcessBuilder builder = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1", "-Dnarrowgate.demo=true", "-jar", System.getProperty("narrowgate.jar"))
                    .redirectErrorStream(true).redirectOutput(log.toFile());
            builder.environment().put("PORT", Integer.toString(port));
            builder.environment().put("NARROWGATE_DB_URL", host() + database);
            builder.environment().put("NARROWGATE_DB_USER", env("USER"));
            builder.environment().put("NARROWGATE_DB_PASSWORD", env("PASSWORD"));
            process = builder.start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        awaitHealth();
    }

    static RunningApp start() {
        return new RunningApp();
    }

    String address() {
        return address;
    }

    private void awaitHealth() {
        Instant until = Instant.now().plus(PATIENCE);
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest health = HttpRequest.newBuilder(URI.create(address + "/actuator/health")).build();
        while (Instant.now().isBefore(until) && process.isAlive()) {
            try {
                if (http.send(health, BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
                Thread.sleep(BETWEEN_LOOKS.toMillis());
            } catch (IOException notYet) {
                pause();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
        close();
        throw new IllegalStateException("The application did not start; see e2e/target/app-*.log");
    }

    private static void pause() {
        try {
            Thread.sleep(BETWEEN_LOOKS.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
        sql("drop database " + database + " with (force)");
    }

    private static String host() {
        return "jdbc:postgresql://127.0.0.1:" + env("PORT") + "/";
    }

    private static String env(String name) {
        String value = System.getenv("NARROWGATE_TEST_DB_" + name);
        if (value == null) {
            throw new IllegalStateException("NARROWGATE_TEST_DB_" + name + " is not set; start the tests with ./test");
        }
        return value;
    }

    private static void sql(String statement) {
        try (Connection connection = DriverManager.getConnection(host() + "postgres", env("USER"), env("PASSWORD"))) {
            connection.createStatement().execute(statement);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
