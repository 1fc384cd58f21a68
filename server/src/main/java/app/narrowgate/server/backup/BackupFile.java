package app.narrowgate.server.backup;

import app.narrowgate.core.check.RefusedException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** An archive that was opened and is sound: every file that it lists is there as it was written, and no other. */
final class BackupFile implements AutoCloseable {

    static final JsonMapper JSON = JsonMapper.builder().enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES).build();

    private static final int LONGEST_MANIFEST = 16 << 20;

    private final ZipFile zip;
    private final Manifest manifest;

    private BackupFile(ZipFile zip, Manifest manifest) {
        this.zip = zip;
        this.manifest = manifest;
    }

    /**
     * Opens an archive and reads it from end to end once.
     *
     * @throws RefusedException where it is none, of a format that this program does not know, or damaged, with what is wrong
     */
    static BackupFile open(Path path) throws IOException {
        if (!Files.isRegularFile(path) || !Files.isReadable(path)) {
            throw new RefusedException("There is no file “%s” that can be read.".formatted(path));
        }
        ZipFile zip;
        try {
            zip = new ZipFile(path.toFile());
        } catch (ZipException e) {
            throw new RefusedException("“%s” is damaged or no archive of Narrow Gate: it cannot be opened (%s).".formatted(path, e.getMessage()));
        }
        try {
            Manifest manifest = manifest(zip, path);
            BackupFile file = new BackupFile(zip, manifest);
            file.requireSound(path);
            return file;
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    private static Manifest manifest(ZipFile zip, Path path) throws IOException {
        ZipEntry entry = zip.getEntry(Manifest.FILE);
        if (entry == null) {
            throw new RefusedException("“%s” is no archive of Narrow Gate: there is no %s in it.".formatted(path, Manifest.FILE));
        }
        Manifest manifest;
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes(LONGEST_MANIFEST);
            // What another format says of itself may be anything; its name comes first.
            String format = JSON.readTree(bytes).path("format").asString("");
            if (!format.equals(Manifest.FORMAT)) {
                throw new RefusedException("“%s” is of the format “%s”; this program reads %s.".formatted(path, format, Manifest.FORMAT));
            }
            manifest = JSON.readValue(bytes, Manifest.class);
        } catch (JacksonException | ZipException e) {
            throw damaged(path, Manifest.FILE, "it cannot be read");
        }
        if (!manifest.isWhole()) {
            throw damaged(path, Manifest.FILE, "something is missing in it");
        }
        return manifest;
    }

    private void requireSound(Path path) throws IOException {
        Set<String> there = new HashSet<>(zip.stream().map(ZipEntry::getName).collect(Collectors.toSet()));
        there.remove(Manifest.FILE);
        for (Manifest.Listed file : manifest.files()) {
            if (!there.remove(file.name())) {
                throw damaged(path, file.name(), "it is missing");
            }
            Digested read = new Digested(OutputStream.nullOutputStream());
            try (InputStream in = read(file)) {
                byte[] piece = new byte[1 << 16];
                // Not a byte further than it says: what unpacks to more is not what was written.
                for (int length = in.read(piece); length >= 0 && read.bytes() <= file.bytes(); length = in.read(piece)) {
                    read.write(piece, 0, length);
                }
            } catch (ZipException e) {
                throw damaged(path, file.name(), "it cannot be unpacked");
            }
            if (read.bytes() != file.bytes() || !read.digest().equals(file.sha256())) {
                throw damaged(path, file.name(), "it is not what was written");
            }
        }
        if (!there.isEmpty()) {
            throw damaged(path, there.iterator().next(), "it does not belong there");
        }
    }

    private static RefusedException damaged(Path path, String file, String how) {
        return new RefusedException("“%s” is damaged at %s: %s. Nothing was changed; take another backup.".formatted(path, file, how));
    }

    Manifest manifest() {
        return manifest;
    }

    /** What stands in one of its files; to be closed. */
    InputStream read(Manifest.Listed file) throws IOException {
        return zip.getInputStream(zip.getEntry(file.name()));
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
