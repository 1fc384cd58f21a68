package app.narrowgate.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * The packaged application, unpacked once for all stories, with an archive of its classes that the first one to end leaves to the others: so
 * each starts in a third of the time.
 */
final class Unpacked {

    static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();

    /** When the application was packaged: what was made for another one is no good for it. */
    static final long BUILT = new File(System.getProperty("narrowgate.jar")).lastModified();

    private static final Path PLACE = unpacked();

    static final Path JAR = PLACE.resolve(Path.of(System.getProperty("narrowgate.jar")).getFileName());
    static final File CLASSES = PLACE.resolve("classes.jsa").toFile();
    static final String WRITE_CLASSES = "-XX:ArchiveClassesAtExit=" + CLASSES;
    /** As people start it: with its wiring as the build worked it out. */
    static final String WIRED = "-Dspring.aot.enabled=true";
    static final String READ_CLASSES = "-XX:SharedArchiveFile=" + CLASSES;

    private Unpacked() {
    }

    private static Path unpacked() {
        Path place = Path.of("target", "unpacked-" + BUILT).toAbsolutePath();
        // The other virtual machine may be about to do the same.
        try (FileChannel lock = FileChannel.open(Path.of("target", "unpacked.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = lock.lock()) {
            Path done = place.resolve("done");
            if (held.isValid() && !Files.exists(done)) {
                unpack(Files.createDirectories(place));
                Files.createFile(done);
            }
            return place;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void unpack(Path place) throws IOException {
        Process process = new ProcessBuilder(JAVA, "-Djarmode=tools", "-jar", System.getProperty("narrowgate.jar"), "extract", "--force",
                "--destination", place.toString()).redirectErrorStream(true).redirectOutput(place.resolve("unpacked.log").toFile()).start();
        if (process.onExit().join().exitValue() != 0) {
            throw new IllegalStateException("The application could not be unpacked; see " + place.resolve("unpacked.log"));
        }
    }
}
