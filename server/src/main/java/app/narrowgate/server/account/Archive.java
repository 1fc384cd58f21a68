package app.narrowgate.server.account;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.json.JsonMapper;

/** Everything that is kept about one person, as an archive of JSON files; docs/formats/person.md says what stands in them. */
@Component
public class Archive {

    private final List<Kept> kept;
    private final ObjectWriter json;

    Archive(List<Kept> kept, JsonMapper json) {
        this.kept = kept;
        this.json = json.writerWithDefaultPrettyPrinter();
    }

    /** What every feature keeps of a member, by the name of its file. */
    public Map<String, Object> of(UUID account) {
        Map<String, Object> files = new LinkedHashMap<>();
        kept.forEach(one -> files.put(one.file(), one.of(account)));
        return files;
    }

    /** Those files as one archive. */
    public byte[] zip(Map<String, Object> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes, StandardCharsets.UTF_8)) {
            for (Map.Entry<String, Object> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey() + ".json"));
                zip.write(json.writeValueAsBytes(file.getValue()));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("Impossible state: an archive could not be written to memory", e);
        }
        return bytes.toByteArray();
    }
}
