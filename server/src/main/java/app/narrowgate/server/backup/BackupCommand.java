package app.narrowgate.server.backup;

import app.narrowgate.core.check.RefusedException;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/**
 * Backups from a command line. Which database, and who asks, it reads where the server does: {@code NARROWGATE_DB_URL},
 * {@code NARROWGATE_DB_USER} and {@code NARROWGATE_DB_PASSWORD} name a superuser, {@code NARROWGATE_DB_OWNER} whose the tables are.
 */
public final class BackupCommand {

    private static final String USAGE = """
            backup FILE            writes the whole house into an archive
            check FILE             reads an archive and says whether it is sound
            restore FILE           fills the empty database NARROWGATE_DB_URL from the archive of a house
            gyms                   lists the gyms
            gym-out GYM FILE       writes one gym, by its name or id, into an archive
            gym-in FILE EMPTY      puts the gym of an archive into the house, by way of the empty database EMPTY, an address like NARROWGATE_DB_URL""";

    private final Map<String, String> environment;
    private final PrintStream out;
    private final Clock clock;

    /** What it is told comes from {@code environment}; what it says goes to {@code out}. */
    BackupCommand(Map<String, String> environment, PrintStream out, Clock clock) {
        this.environment = environment;
        this.out = out;
        this.clock = clock;
    }

    /** Ends with 0, with 2 where something was refused, with 1 where something failed. */
    public static void main(String[] arguments) {
        ((Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME)).setLevel(Level.ERROR);
        try {
            new BackupCommand(System.getenv(), new PrintStream(System.out, true, StandardCharsets.UTF_8), Clock.systemUTC()).run(List.of(arguments));
        } catch (RefusedException refused) {
            new PrintStream(System.err, true, StandardCharsets.UTF_8).println(refused.getMessage());
            System.exit(2);
        } catch (IOException | SQLException | RuntimeException failed) {
            failed.printStackTrace();
            System.exit(1);
        }
    }

    /** Does what the words say. */
    void run(List<String> words) throws IOException, SQLException {
        String what = words.isEmpty() ? "" : words.get(0);
        int more = words.size() - 1;
        if (what.equals("backup") && more == 1) {
            backup(Path.of(words.get(1)));
        } else if (what.equals("check") && more == 1) {
            check(Path.of(words.get(1)));
        } else if (what.equals("restore") && more == 1) {
            restore(Path.of(words.get(1)));
        } else if (what.equals("gyms") && more == 0) {
            gyms().forEach(gym -> out.println(gym.id() + "  " + gym.name()));
        } else if (what.equals("gym-out") && more == 2) {
            gymOut(words.get(1), Path.of(words.get(2)));
        } else if (what.equals("gym-in") && more == 2) {
            gymIn(Path.of(words.get(1)), words.get(2));
        } else {
            throw new RefusedException("This is what can be asked for:\n" + USAGE);
        }
    }

    private Place house() {
        return at(Optional.ofNullable(environment.get("NARROWGATE_DB_URL")).orElseThrow(() -> new RefusedException("NARROWGATE_DB_URL is not set.")));
    }

    private Place at(String url) {
        return new Place(url, environment.get("NARROWGATE_DB_USER"), environment.get("NARROWGATE_DB_PASSWORD"),
                environment.getOrDefault("NARROWGATE_DB_OWNER", ""));
    }

    private interface Writing {
        Manifest to(BackupWriter writer, OutputStream out) throws SQLException, IOException;
    }

    private void backup(Path file) throws IOException, SQLException {
        written(file, BackupWriter::house);
    }

    private void gymOut(String name, Path file) throws IOException, SQLException {
        List<Manifest.Named> found = gyms().stream().filter(gym -> gym.name().equals(name) || gym.id().toString().equals(name)).toList();
        if (found.size() != 1) {
            throw new RefusedException(found.isEmpty() ? "No gym in this house is called “%s”. There are:\n%s".formatted(name, listed(gyms()))
                    : "Several gyms are called “%s”; say which by its id:\n%s".formatted(name, listed(found)));
        }
        written(file, (writer, to) -> writer.gym(found.get(0).id(), true, to));
    }

    private static String listed(List<Manifest.Named> gyms) {
        StringBuilder lines = new StringBuilder();
        gyms.forEach(gym -> lines.append("  ").append(gym.id()).append("  ").append(gym.name()).append('\n'));
        return lines.toString();
    }

    private List<Manifest.Named> gyms() throws SQLException {
        try (Connection connection = house().connect()) {
            return BackupWriter.gyms(connection, null);
        }
    }

    /** The archive takes its name only when it is complete and on the disk; nothing is written over. */
    private void written(Path file, Writing writing) throws IOException, SQLException {
        if (Files.exists(file)) {
            throw new RefusedException("There is a file “%s” already. Choose another name.".formatted(file));
        }
        Path folder = file.toAbsolutePath().getParent();
        Path part;
        try {
            part = Files.createTempFile(folder, file.getFileName().toString(), ".part",
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        } catch (NoSuchFileException e) {
            throw new RefusedException("There is no folder “%s”.".formatted(folder));
        }
        try {
            Manifest manifest;
            try (Connection connection = house().connect(); OutputStream to = Files.newOutputStream(part)) {
                manifest = writing.to(new BackupWriter(connection, clock), to);
            }
            try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
            BackupFile.open(part).close();
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
            say(file, manifest);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private void check(Path file) throws IOException {
        try (BackupFile archive = BackupFile.open(file)) {
            say(file, archive.manifest());
        }
    }

    private void say(Path file, Manifest manifest) throws IOException {
        out.println("%s, %s: %s, %d rows, written %s, tables of version %s, %s".formatted(file, size(Files.size(file)),
                manifest.of().equals(Manifest.HOUSE) ? "a house with " + gymsIn(manifest) : "the gym " + manifest.gyms().get(0).name(),
                manifest.files().stream().mapToLong(Manifest.Listed::rows).sum(), manifest.written(), manifest.schema(),
                manifest.passwords() ? "keep it as safe as the house itself" : "without passwords"));
    }

    private static String gymsIn(Manifest manifest) {
        return manifest.gyms().size() == 1 ? "one gym" : manifest.gyms().size() + " gyms";
    }

    private static String size(long bytes) {
        return bytes < 10_000_000 ? "%d kB".formatted((bytes + 999) / 1_000) : String.format(Locale.ROOT, "%.1f MB", bytes / 1e6);
    }

    private void restore(Path file) throws IOException, SQLException {
        try (BackupFile archive = BackupFile.open(file)) {
            if (!archive.manifest().of().equals(Manifest.HOUSE)) {
                throw new RefusedException("“%s” is the archive of a gym, not of a house; it is put into a house that is there.".formatted(file));
            }
            Restoring restoring = new Restoring(house());
            restoring.fill(archive);
            restoring.note(clock, archive.manifest());
            say(file, archive.manifest());
        }
    }

    private void gymIn(Path file, String empty) throws IOException, SQLException {
        try (BackupFile archive = BackupFile.open(file)) {
            Manifest manifest = archive.manifest();
            if (!manifest.of().equals(Manifest.GYM) || manifest.gyms().size() != 1) {
                throw new RefusedException("“%s” is the archive of a house, not of a gym. Take the gym out of that house first.".formatted(file));
            }
            new Restoring(at(empty)).fill(archive);
            PuttingIn.PutIn done = new PuttingIn(at(empty), house(), clock).put(manifest);
            out.println("“%s” is in this house now.".formatted(done.gym().name()));
            done.renamed().forEach((before, now) -> out.println(
                    "“%s” was taken; whoever signed in by it signs in as “%s” from now on, with the same password.".formatted(before, now)));
            done.tokens().forEach((name, token) -> out.println(("There are no passwords in the archive. The owner %s chooses one by  /come-in#%s  at this "
                    + "house's address, once, within seven days.").formatted(name, token)));
        }
    }
}
