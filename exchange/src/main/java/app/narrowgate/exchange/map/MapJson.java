package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The map file {@value #FORMAT}: JSON, described in {@code docs/formats}. Reading and writing are inverse: what was
 * read comes back with the same content.
 */
public final class MapJson {

    /** The format's name and version, which stands in every file. */
    public static final String FORMAT = "narrowgate-map/1";

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    /** Indented, as a person would read it. */
    static String text(JsonNode node) {
        return MAPPER.writeValueAsString(node) + "\n";
    }

    private MapJson() {
    }

    /**
     * Reads a map file.
     *
     * @throws ProblemsException with every problem by JSON pointer; a text that is not JSON at all has one problem,
     *     placed by line and column
     */
    public static EscapeMap read(String text) {
        return read(parse(text));
    }

    /**
     * Reads the tree of a map file.
     *
     * @throws ProblemsException with every problem by JSON pointer
     */
    public static EscapeMap read(JsonNode root) {
        return MapReader.read(root);
    }

    /** The tree of the file. */
    public static ObjectNode write(EscapeMap map) {
        return MapWriter.write(map);
    }

    /** The file's text, indented. */
    public static String writeText(EscapeMap map) {
        return text(write(map));
    }

    static JsonNode parse(String text) {
        try {
            JsonNode root = MAPPER.readTree(text);
            if (root.isMissingNode()) {
                throw new ProblemsException(List.of(new Problem("", "The file is empty; a map file is a JSON object.")));
            }
            return root;
        } catch (JacksonException e) {
            TokenStreamLocation at = e.getLocation();
            String place = at == null ? "" : "line %d, column %d".formatted(at.getLineNr(), at.getColumnNr());
            throw new ProblemsException(List.of(new Problem(place, "This is not JSON: " + e.getOriginalMessage())));
        }
    }
}
