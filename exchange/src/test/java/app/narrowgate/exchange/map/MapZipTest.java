package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

class MapZipTest {

    private static final EscapeMap DEMO = MapFolder.read(Path.of("../demo/map"));

    private static byte[] zip(Map<String, String> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    @Test
    void isReadAsItWasWritten() {
        EscapeMap again = MapZip.read(MapZip.write(DEMO));
        assertThat(again.reactions()).containsExactlyInAnyOrderElementsOf(DEMO.reactions());
        assertThat(again.situations()).containsExactlyInAnyOrderElementsOf(DEMO.situations());
        assertThat(again.techniques()).containsExactlyInAnyOrderElementsOf(DEMO.techniques());
        assertThat(again.house()).isEqualTo(DEMO.house());
        assertThat(MapZip.write(DEMO)).as("the same bytes every time").isEqualTo(MapZip.write(DEMO));
    }

    @Test
    void mayLieInAFolderOfTheArchive() {
        Map<String, String> files = new LinkedHashMap<>();
        MapFolder.write(DEMO).forEach((name, text) -> files.put("house/" + name, text));
        files.put("house/.hidden", "");
        files.put(".hidden", "");
        assertThat(MapZip.read(zip(files)).title()).isEqualTo(DEMO.title());
    }

    @Test
    void isRefusedWithWhatIsWrong() {
        assertThatThrownBy(() -> MapZip.read("no archive".getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(ProblemsException.class).hasMessageContaining("not an archive");
        assertThatThrownBy(() -> MapZip.read(zip(Map.of("other.json", "{}")))).hasMessageContaining("map.json");
        Map<String, String> lacking = new LinkedHashMap<>(MapFolder.write(DEMO));
        lacking.remove("mount.json");
        assertThatThrownBy(() -> MapZip.read(zip(lacking))).isInstanceOf(ProblemsException.class)
                .hasMessageContaining("mount.json");
        Map<String, String> wrong = new LinkedHashMap<>(MapFolder.write(DEMO));
        wrong.put("mount.json", wrong.get("mount.json").replaceFirst("\"settled\"", "\"late\""));
        assertThatThrownBy(() -> MapZip.read(zip(wrong))).isInstanceOf(ProblemsException.class)
                .hasMessageContaining("mount.json#/situations/");
    }

    /** A small archive that unpacks to more than fits is refused before it is unpacked. */
    @Test
    void doesNotUnpackMoreThanFits() {
        String much = " ".repeat(MapZip.MOST_BYTES + 1);
        assertThatThrownBy(() -> MapZip.read(zip(Map.of("map.json", much)))).isInstanceOf(ProblemsException.class)
                .hasMessageContaining("larger than");
        Map<String, String> many = new LinkedHashMap<>();
        for (int i = 0; i <= MapZip.MOST_FILES; i++) {
            many.put("part" + i + ".json", "{}");
        }
        assertThatThrownBy(() -> MapZip.read(zip(many))).hasMessageContaining("more than %d files".formatted(MapZip.MOST_FILES));
    }

    /** What calls itself a folder may hold bytes; passing it by unpacks them. */
    @Test
    void aFolderIsNoPlaceToHideAThousandTimesItsBytes() {
        String much = " ".repeat(MapZip.MOST_BYTES + 1);
        assertThatThrownBy(() -> MapZip.read(zip(Map.of("house/", much)))).isInstanceOf(ProblemsException.class).hasMessageContaining("larger than");
        Map<String, String> folders = new LinkedHashMap<>();
        for (int i = 0; i <= MapZip.MOST_FILES; i++) {
            folders.put("house" + i + "/", "");
        }
        assertThatThrownBy(() -> MapZip.read(zip(folders))).hasMessageContaining("more than %d files".formatted(MapZip.MOST_FILES));
    }

    @Test
    void noFileIsThereTwiceAndNoPartIsNamedTwice() {
        Map<String, String> twice = new LinkedHashMap<>();
        MapFolder.write(DEMO).forEach((name, text) -> twice.put("house/" + name, text));
        twice.put("house/elsewhere/mount.json", "{}");
        assertThatThrownBy(() -> MapZip.read(zip(twice))).isInstanceOf(ProblemsException.class).hasMessageContaining("mount.json")
                .hasMessageContaining("twice");
        // One of five megabytes, named a hundred thousand times, would fill any memory.
        Map<String, String> named = new LinkedHashMap<>(MapFolder.write(DEMO));
        named.compute("map.json", (name, text) -> text.replace("\"mount.json\"", "\"mount.json\", \"mount.json\""));
        assertThatThrownBy(() -> MapZip.read(zip(named))).isInstanceOf(ProblemsException.class).hasMessageContaining("named twice");
    }

    /** Objects cost memory however empty they are; many files of them are no way around what one may hold. */
    @Test
    void allFilesTogetherHoldNoMoreThanOneMay() {
        Map<String, String> many = new LinkedHashMap<>();
        String part = "{\"format\":\"narrowgate-map-part/1\",\"facts\":[" + "{},".repeat(60_000) + "{}]}";
        StringBuilder parts = new StringBuilder();
        for (int i = 0; i < 4; i++) {
            many.put("part%d.json".formatted(i), part);
            parts.append(i == 0 ? "" : ",").append("\"part%d.json\"".formatted(i));
        }
        many.put("map.json", "{\"parts\":[%s]}".formatted(parts));
        assertThatThrownBy(() -> MapZip.read(zip(many))).isInstanceOf(ProblemsException.class).hasMessageContaining("part3.json")
                .hasMessageContaining("holds more than");
    }
}
