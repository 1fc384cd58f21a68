package app.narrowgate.exchange.map;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.json.JsonText;
import app.narrowgate.exchange.parts.MapReading;
import app.narrowgate.exchange.posture.PostureReader;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The map file {@value #FORMAT}: JSON, described in {@code docs/formats}. Reading and writing are inverse: what was
 * read comes back with the same content.
 */
public final class MapJson {

    /** The format's name and version, which stands in every file. */
    public static final String FORMAT = MapReading.FORMAT;

    private MapJson() {
    }

    /**
     * Reads a map file.
     *
     * @throws ProblemsException with every problem by JSON pointer; a text that is not JSON at all has one problem,
     *     placed by line and column
     */
    public static EscapeMap read(String text) {
        return read(JsonText.parse(text));
    }

    /**
     * Reads the tree of a map file.
     *
     * @throws ProblemsException with every problem by JSON pointer
     */
    public static EscapeMap read(JsonNode root) {
        return MapReading.read(new JacksonValue(root), PostureReader::read);
    }

    /** The tree of the file. */
    public static ObjectNode write(EscapeMap map) {
        return MapWriter.write(map);
    }

    /**
     * The tree of the file without what no odds are computed from: without postures and holds, and without the names of
     * postures. It is a map file like any other, a third smaller.
     */
    public static ObjectNode writeSolvable(EscapeMap map) {
        ObjectNode root = write(map);
        root.remove(List.of(PartKind.HOLDS.list(), PartKind.POSTURES.list()));
        for (PartKind<?> kind : List.of(PartKind.FAMILIES, PartKind.SITUATIONS, PartKind.OUTCOMES)) {
            root.path(kind.list()).forEach(part -> ((ObjectNode) part).remove("posture"));
        }
        return root;
    }

    /** What of the file stands outside the lists of parts. */
    public static ObjectNode writeHead(EscapeMap map) {
        return MapWriter.head(map);
    }

    /** The file's text, indented. */
    public static String writeText(EscapeMap map) {
        return JsonText.of(write(map));
    }
}
