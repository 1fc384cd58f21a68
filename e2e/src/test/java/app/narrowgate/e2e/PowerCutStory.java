package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The server, and the database under it, are killed in the middle of saves; nothing that was acknowledged is lost. */
class PowerCutStory {

    private static final int ACKNOWLEDGED_BEFORE_THE_CUT = 12;
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private static Path folder;
    private static RunningApp app;

    @BeforeAll
    static void start() throws IOException {
        // Not below a home folder, into which the database's own user could not reach.
        folder = Files.createTempDirectory(Path.of("/tmp"), "narrowgate-cut",
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwxr-xr-x")));
        app = RunningApp.on(startDatabase());
    }

    @AfterAll
    static void stop() throws IOException {
        app.close();
        database("stop");
        try (var files = Files.walk(folder)) {
            files.sorted(java.util.Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        }
    }

    private static RunningApp.Cluster startDatabase() {
        String[] said = database("start").strip().split(" ");
        return new RunningApp.Cluster(said[0], "narrowgate", said[1]);
    }

    private static String database(String what) {
        try {
            Process script = new ProcessBuilder("../scripts/throw-away-database", what, folder.resolve("postgres").toString())
                    .redirectError(ProcessBuilder.Redirect.INHERIT).start();
            String said = new String(script.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(script.waitFor()).as("throw-away-database " + what).isZero();
            return said;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Test
    void aServerKilledInTheMiddleOfSavesLosesNothing() throws InterruptedException {
        List<String> acknowledged = saveUntil("server", app::kill, app::startAgain);
        assertAllThere(acknowledged);
    }

    @Test
    void aDatabaseKilledInTheMiddleOfSavesLosesNothingAndTheServerGoesOn() throws InterruptedException {
        List<String> acknowledged = saveUntil("database", () -> database("kill"), PowerCutStory::startDatabase);
        assertAllThere(acknowledged);
    }

    /** Saves one response after the other, cuts while that goes on, starts again, and returns what was acknowledged. */
    private static List<String> saveUntil(String name, Runnable cut, Runnable again) throws InterruptedException {
        Client client = new Client(app.address());
        String map = client.firstMap();
        List<String> acknowledged = new CopyOnWriteArrayList<>();
        CountDownLatch enough = new CountDownLatch(ACKNOWLEDGED_BEFORE_THE_CUT);
        AtomicBoolean over = new AtomicBoolean();
        Thread saver = new Thread(() -> {
            for (int i = 0; !over.get(); i++) {
                String cue = "They try the %s %d".formatted(name, i);
                try {
                    HttpResponse<String> answer = client.post(map + "/reactions/hub-roll/responses",
                            "{\"revision\":1,\"cue\":\"%s\",\"often\":{\"word\":\"rarely\"}}".formatted(cue));
                    if (answer.statusCode() != 201) {
                        return;
                    }
                    acknowledged.add(cue);
                    enough.countDown();
                } catch (UncheckedIOException gone) {
                    return;
                }
            }
        });
        saver.start();
        assertThat(enough.await(PATIENCE.toSeconds(), TimeUnit.SECONDS)).as("saves are acknowledged").isTrue();
        cut.run();
        over.set(true);
        again.run();
        saver.join(PATIENCE.toMillis());
        assertThat(saver.isAlive()).as("still saving").isFalse();
        return acknowledged;
    }

    private static void assertAllThere(List<String> acknowledged) {
        Client client = new Client(app.address());
        String map = client.get(client.firstMap() + "/file").body();
        assertThat(acknowledged).hasSizeGreaterThanOrEqualTo(ACKNOWLEDGED_BEFORE_THE_CUT)
                .allSatisfy(cue -> assertThat(map).contains("\"" + cue + "\""));
        // Not half stored either: the map can be put together and solved.
        assertThat(client.get(client.firstMap() + "/odds").statusCode()).isEqualTo(200);
    }

    /** Somebody signed in, without a browser. */
    private static final class Client {

        private static final Pattern FIRST_ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).connectTimeout(PATIENCE).build();
        private final String address;

        Client(String address) {
            this.address = address;
            get("/api/session");
            assertThat(post("/api/session", "{\"name\":\"tamsin\",\"password\":\"open-the-gate\"}").statusCode())
                    .isEqualTo(200);
        }

        String firstMap() {
            Matcher id = FIRST_ID.matcher(get("/api/maps").body());
            assertThat(id.find()).isTrue();
            return "/api/maps/" + id.group(1);
        }

        HttpResponse<String> get(String path) {
            return send(HttpRequest.newBuilder().GET(), path);
        }

        HttpResponse<String> post(String path, String body) {
            return send(HttpRequest.newBuilder().POST(BodyPublishers.ofString(body)), path);
        }

        private HttpResponse<String> send(HttpRequest.Builder request, String path) {
            cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue).findFirst().ifPresent(token -> request.header("X-XSRF-TOKEN", token));
            try {
                return http.send(request.uri(URI.create(address + path)).timeout(PATIENCE)
                        .header("Content-Type", "application/json").build(), BodyHandlers.ofString());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
    }
}
