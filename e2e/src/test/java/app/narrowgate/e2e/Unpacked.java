package app.narrowgate.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The packaged application, unpacked once for all stories of this virtual machine, with an archive of its classes that the first one to end
 * leaves to the others: so each starts in a third of the time.
 */
final class Unpacked {

    static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();

    private static final Path PLACE = unpacked();

    static final Path JAR = PLACE.resolve(Path.of(System.getProperty("narrowgate.jar")).getFileName());
    static final File CLASSES = PLACE.resolve("classes.jsa").toFile();
    static final String WRITE_CLASSES = "-XX:ArchiveClassesAtExit=" + CLASSES;
    static final String READ_CLASSES = "-XX:SharedArchiveFile=" + CLASSES;

    private Unpacked() {
    }

    private static Path unpacked() {
        try {
            Path place = Files.createDirectories(Path.of("target", "unpacked-" + System.getProperty("narrowgate.fork", "1"))).toAbsolutePath();
            Files.deleteIfExists(place.resolve("classes.jsa"));
            Process process = new ProcessBuilder(JAVA, "-Djarmode=tools", "-jar", System.getProperty("narrowgate.jar"), "extract", "--force",
                    "--destination", place.toString()).redirectErrorStream(true).redirectOutput(place.resolve("unpacked.log").toFile()).start();
            if (process.waitFor() != 0) {
                throw new IllegalStateException("The application could not be unpacked; see " + place.resolve("unpacked.log"));
            }
            return place;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
