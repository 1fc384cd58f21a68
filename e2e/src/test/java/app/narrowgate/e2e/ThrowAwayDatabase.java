package app.narrowgate.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** A database server of one story's own, as careful with what it stores as a real one, and one that may be killed. */
final class ThrowAwayDatabase implements AutoCloseable {

    private final String script;
    private final Path folder;
    private final boolean small;

    private ThrowAwayDatabase(String script, boolean small) throws IOException {
        this.script = script;
        this.small = small;
        // Not below a home folder, into which the database's own user could not reach.
        folder = Files.createTempDirectory(Path.of("/tmp"), "narrowgate-cut",
                PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwxr-xr-x")));
    }

    /** On the disk that everything is on; not started. */
    static ThrowAwayDatabase onTheDisk() throws IOException {
        return new ThrowAwayDatabase("throw-away-database", false);
    }

    /** Two nodes of which one leads; not started. Killed, the leader is, and the other takes its place. */
    static ThrowAwayDatabase onACluster() throws IOException {
        return new ThrowAwayDatabase("cluster", false);
    }

    /** On a disk of its own in memory; not started. Null where this machine does not let it be made: that takes the rights of root, not asked for. */
    static ThrowAwayDatabase onASmallDisk(int megabytes) throws IOException {
        ThrowAwayDatabase database = new ThrowAwayDatabase("throw-away-database", true);
        // Whoever may use sudo has root mount it, and writes to it as themselves.
        String options = "mode=755,uid=%s,size=%dm".formatted(Files.getAttribute(database.folder, "unix:uid"), megabytes);
        if (asRoot("mount", "-t", "tmpfs", "-o", options, "none", database.folder.toString())) {
            return database;
        }
        Files.delete(database.folder);
        return null;
    }

    private static boolean asRoot(String... words) {
        List<String> command = new ArrayList<>(System.getProperty("user.name").equals("root") ? List.of() : List.of("sudo", "-n"));
        command.addAll(List.of(words));
        try {
            return new ProcessBuilder(command).inheritIO().start().onExit().join().exitValue() == 0;
        } catch (IOException notInstalled) {
            // A machine without sudo.
            return false;
        }
    }

    /** Starts it, at the same port as before where it was started before. */
    RunningApp.Cluster start() {
        String[] said = does("start").strip().split(" ");
        return new RunningApp.Cluster(said[0], "narrowgate", said[1]);
    }

    /** Ends it and all that write for it, at once. */
    void kill() {
        does("kill");
    }

    /** Starts again what was killed of a cluster, and waits until it has every commit. */
    void heal() {
        does("heal");
    }

    private String does(String what) {
        try {
            // Its complaint goes into a file: what it leaves running would hold a pipe open.
            Path complaint = Files.createTempFile("narrowgate-complaint", null);
            try {
                Process doing = new ProcessBuilder("../scripts/" + script, what, folder.resolve("postgres").toString())
                        .redirectError(complaint.toFile()).start();
                String said = new String(doing.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
                if (doing.onExit().join().exitValue() != 0) {
                    throw new IllegalStateException("The database did not do this: " + what + ". " + Files.readString(complaint));
                }
                return said;
            } finally {
                Files.delete(complaint);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Leaves no byte of room on its disk. */
    void fillDisk() throws IOException {
        byte[] much = new byte[1 << 16];
        try (var filling = Files.newOutputStream(filler())) {
            while (folder.toFile().getUsableSpace() > 0) {
                filling.write(much, 0, (int) Math.min(much.length, folder.toFile().getUsableSpace()));
            }
        } catch (IOException full) {
            if (folder.toFile().getUsableSpace() > much.length) {
                throw full;
            }
        }
    }

    /** Gives the room back. */
    void freeDisk() throws IOException {
        Files.delete(filler());
    }

    private Path filler() {
        return folder.resolve("filler");
    }

    @Override
    public void close() throws IOException {
        does("stop");
        if (small) {
            if (!asRoot("umount", folder.toString())) {
                throw new IOException("Still mounted: " + folder);
            }
        }
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
        }
    }
}
