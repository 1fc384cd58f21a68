package app.narrowgate.server.backup;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * What an archive says of itself.
 *
 * @param format {@value #FORMAT}
 * @param of {@value #HOUSE} or {@value #GYM}
 * @param written when
 * @param build which build of the program wrote it
 * @param schema the version of the tables
 * @param passwords false where everybody must choose a password anew
 * @param gyms whose rows are in it
 * @param files every other file of the archive, in the order in which they are read
 */
record Manifest(String format, String of, Instant written, String build, String schema, boolean passwords, List<Named> gyms, List<Listed> files) {

    static final String FORMAT = "narrowgate-backup/1";
    static final String HOUSE = "house";
    static final String GYM = "gym";
    /** Where it stands in an archive. */
    static final String FILE = "manifest.json";

    /** Whether nothing is missing; what was read from a file may lack anything. */
    boolean isWhole() {
        return Stream.of(of, written, build, schema, gyms, files).noneMatch(Objects::isNull) && (of.equals(HOUSE) || of.equals(GYM) && gyms.size() == 1)
                && gyms.stream().allMatch(gym -> gym != null && gym.id() != null && gym.name() != null)
                && files.stream().allMatch(file -> file != null && file.name() != null && file.table() != null && file.sha256() != null);
    }

    /** A gym. */
    record Named(UUID id, String name) {
    }

    /**
     * A file of the archive.
     *
     * @param rows how many rows of the table are in it
     * @param bytes how long it is
     * @param sha256 in hexadecimal digits
     */
    record Listed(String name, String table, long rows, long bytes, String sha256) {
    }
}
