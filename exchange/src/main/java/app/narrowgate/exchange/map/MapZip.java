package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** A map that is kept in several files, all of them in one archive; see {@link MapFolder}. */
public final class MapZip {

    /** Files and folders that an archive may hold. */
    public static final int MOST_FILES = 200;
    /** Bytes that its files may come to once unpacked. */
    public static final int MOST_BYTES = 20_000_000;

    private MapZip() {
    }

    /** The map as an archive; read again it gives the same map but for the order of parts. */
    public static byte[] write(EscapeMap map) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            for (Map.Entry<String, String> file : MapFolder.write(map).entrySet()) {
                ZipEntry entry = new ZipEntry(file.getKey());
                // Without the hour of packing, the same map gives the same bytes.
                entry.setTime(0);
                zip.putNextEntry(entry);
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("Impossible state: memory could not be written", e);
        }
        return bytes.toByteArray();
    }

    /**
     * Reads a map from an archive. Folders within it do not matter, only the files' own names.
     *
     * @throws ProblemsException with every problem by file and JSON pointer; also where it is no archive, holds no
     *     {@value MapFolder#HEAD}, more than {@value #MOST_FILES} files and folders, a file twice, or more than {@value #MOST_BYTES} bytes
     */
    public static EscapeMap read(byte[] archive) {
        Map<String, String> files = unpack(archive);
        return MapFolder.read(name -> {
            String text = files.get(name);
            if (text == null) {
                throw refused(name.equals(MapFolder.HEAD) ? "" : name,
                        "The archive holds no file “%s”.".formatted(name.length() > 90 ? name.substring(0, 90) + "…" : name));
            }
            return text;
        });
    }

    private static Map<String, String> unpack(byte[] archive) {
        Map<String, String> files = new LinkedHashMap<>();
        int left = MOST_BYTES;
        int entries = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(archive), StandardCharsets.UTF_8)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                entries++;
                if (entries > MOST_FILES) {
                    throw refused("", "The archive holds more than %d files.".formatted(MOST_FILES));
                }
                // Also of what calls itself a folder: to go on, it would be unpacked, however much it is.
                byte[] bytes = zip.readNBytes(left + 1);
                if (bytes.length > left) {
                    throw refused("", "Unpacked, the archive is larger than %d MB.".formatted(MOST_BYTES / 1_000_000));
                }
                left -= bytes.length;
                String path = entry.getName();
                String name = path.substring(path.lastIndexOf('/') + 1);
                // What systems hide in every folder is nobody's file.
                if (!name.isEmpty() && !name.startsWith(".") && files.put(name, new String(bytes, StandardCharsets.UTF_8)) != null) {
                    throw refused(name, "The archive holds this file twice. Take one of them out.");
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw refused("", "This archive cannot be unpacked: " + e.getMessage());
        }
        if (files.isEmpty()) {
            throw refused("", "This is not an archive, or an empty one.");
        }
        return files;
    }

    private static ProblemsException refused(String place, String message) {
        return new ProblemsException(List.of(new Problem(place, message)));
    }
}
