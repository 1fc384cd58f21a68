package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A house is written into an archive, and another machine becomes it: by the commands as whoever runs the house types them. */
class BackupStory {

    private static final int REFUSED = 2;
    private static final String ITS_OWN = "tables/audit.csv";
    private static final String MANIFEST = "manifest.json";

    private static Path folder;
    private static Path house;
    private static Path archive;

    /** What a command ended with, and all that it said. */
    private record Said(int ended, String words) {
    }

    @BeforeAll
    static void prepare() throws IOException {
        // Not below a home folder, into which the database's own user could not reach.
        folder = Files.createTempDirectory(Path.of("/tmp"), "narrowgate-keep",
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwxr-xr-x")));
        house = Files.createDirectory(folder.resolve("house"));
        archive = folder.resolve("full house.zip");
        try (RunningApp app = RunningApp.start()) {
            assertThat(app.backUp(archive)).isZero();
        }
        copyOfTheProgram();
    }

    @AfterAll
    static void clear() throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        }
    }

    /** So that nothing is built. */
    private static void copyOfTheProgram() throws IOException {
        Path from = Unpacked.JAR.getParent();
        Path to = house.resolve("app");
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.filter(file -> !file.getFileName().toString().startsWith("classes.jsa")).toList()) {
                Files.copy(file, to.resolve(from.relativize(file).toString()), StandardCopyOption.REPLACE_EXISTING);
            }
        }
        Files.createFile(to.resolve("compiled"));
        Files.createFile(to.resolve("built"));
    }

    private static ProcessBuilder command(String... words) {
        ProcessBuilder run = new ProcessBuilder(Stream.concat(Stream.of(Path.of("../run").toAbsolutePath().normalize().toString()), Stream.of(words)).toList());
        run.environment().put("NARROWGATE_HOME", house.toString());
        return run.directory(folder.toFile()).redirectErrorStream(true);
    }

    private static Said run(String... words) throws IOException {
        Process process = command(words).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.onExit().join().exitValue(), said);
    }

    private static Map<String, String> files(Path zipped) throws IOException {
        Map<String, String> files = new TreeMap<>();
        try (ZipFile zip = new ZipFile(zipped.toFile())) {
            for (ZipEntry entry : zip.stream().toList()) {
                try (InputStream in = zip.getInputStream(entry)) {
                    files.put(entry.getName(), new String(in.readAllBytes(), StandardCharsets.UTF_8));
                }
            }
        }
        return files;
    }

    @Test
    void anotherMachineBecomesTheHouseAndOpensItAgain() throws Exception {
        assertThat(run("gyms").words()).as("before there is a house").contains("There is no house in " + house);
        byte[] whole = Files.readAllBytes(archive);
        Path cut = Files.write(folder.resolve("cut.zip"), Arrays.copyOf(whole, whole.length / 2));
        Said damaged = run("restore", "cut.zip");
        assertThat(damaged.ended()).isEqualTo(REFUSED);
        assertThat(damaged.words()).contains("cut.zip", "damaged");
        assertThat(house.resolve("postgres")).as("nothing was begun").doesNotExist();

        Said restored = run("restore", archive.getFileName().toString());
        assertThat(restored.words()).contains("Restored.");
        assertThat(restored.ended()).isZero();
        Path again = folder.resolve("again.zip");
        assertThat(run("backup", again.toString()).ended()).isZero();
        Map<String, String> first = files(archive);
        Map<String, String> second = files(again);
        assertThat(second.remove(ITS_OWN)).as("the owner sees that it was restored").startsWith(first.remove(ITS_OWN)).contains(",restore,");
        first.remove(MANIFEST);
        second.remove(MANIFEST);
        assertThat(second).isEqualTo(first);
        assertThat(run("restore", "--back").words()).contains("no restore to take back");

        anotherDayBegins();
    }

    /** The house is opened with what was in the archive, keeps one of its own that day, and is not restored under the feet of those in it. */
    private static void anotherDayBegins() throws Exception {
        int port = RunningApp.freePort();
        Path nightly = folder.resolve("nightly");
        ProcessBuilder starting = command();
        starting.environment().putAll(Map.of("PORT", Integer.toString(port), "NARROWGATE_NIGHTLY", nightly.toString(), "NARROWGATE_NIGHTLY_AT", "00:00"));
        Process running = starting.redirectOutput(folder.resolve("run.log").toFile()).start();
        try {
            until(running, () -> Files.readString(folder.resolve("run.log")).contains("Ctrl-C stops it."));
            HttpRequest ready = HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d/actuator/health/readiness".formatted(port))).build();
            assertThat(HttpClient.newHttpClient().send(ready, BodyHandlers.ofString()).statusCode()).isEqualTo(200);
            assertThat(Files.readString(folder.resolve("run.log"))).as("its people and passwords are those of the archive").contains("Sign in to the demo gym");
            Said refused = run("restore", archive.toString());
            assertThat(refused.words()).contains("is running from " + house, "Stop it");
            assertThat(refused.ended()).isNotZero();
            until(running, () -> Files.exists(house.resolve("log/last-backup")));
            try (Stream<Path> kept = Files.list(nightly)) {
                List<Path> archives = kept.toList();
                assertThat(archives).singleElement().asString().matches(".*/narrowgate-\\d{4}-\\d\\d-\\d\\d\\.zip");
                assertThat(files(archives.get(0))).containsKey(MANIFEST);
            }
        } finally {
            running.destroy();
            running.onExit().join();
        }
    }

    private interface Seen {
        boolean now() throws IOException;
    }

    private static void until(Process running, Seen seen) throws Exception {
        while (!seen.now()) {
            assertThat(running.isAlive()).as("./run goes on: " + Files.readString(folder.resolve("run.log"))).isTrue();
            running.waitFor(200, TimeUnit.MILLISECONDS);
        }
    }
}
