package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.EscapeMap;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.json.JsonFactory;
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

    /** Names, values and brackets of a file. The demo’s map has 14,000 at 300 responses: room for 40,000 responses. */
    public static final int MOST_TOKENS = 2_000_000;
    /**
     * Objects of a file, each of which costs memory however empty it is. The demo’s map has 1,200: room for 50,000
     * responses.
     */
    public static final int MOST_OBJECTS = 200_000;
    /** Brackets within brackets; a map needs {@code Requirement.MOST_DEPTH} and a few. */
    private static final int MOST_DEPTH = 64;

    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder().maxNestingDepth(MOST_DEPTH).build()).build())
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

    /** What of the file stands outside the lists of parts. */
    public static ObjectNode writeHead(EscapeMap map) {
        return MapWriter.head(map);
    }

    /** The file's text, indented. */
    public static String writeText(EscapeMap map) {
        return text(write(map));
    }

    static JsonNode parse(String text) {
        try {
            requireReadable(text);
            JsonNode root = MAPPER.readTree(text);
            if (root.isMissingNode()) {
                throw new ProblemsException(List.of(new Problem("", "The file is empty; a map file is a JSON object.")));
            }
            return root;
        } catch (JacksonException e) {
            throw new ProblemsException(List.of(
                    new Problem(place(e.getLocation()), "This is not JSON: %s.".formatted(Text.shown(e.getOriginalMessage())))));
        }
    }

    /**
     * Nothing, where the text holds no more than a large map does. Looked at as it streams by, so that what would not fit
     * into memory is refused before it is built there.
     */
    private static void requireReadable(String text) {
        int tokens = 0;
        int objects = 0;
        try (JsonParser parser = MAPPER.createParser(text)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                tokens++;
                objects += token == JsonToken.START_OBJECT ? 1 : 0;
                if (tokens > MOST_TOKENS || objects > MOST_OBJECTS) {
                    throw new ProblemsException(List.of(new Problem(place(parser.currentLocation()),
                            "The file holds more than a map can: at most %d objects, and %d names, values and brackets. Split it."
                                    .formatted(MOST_OBJECTS, MOST_TOKENS))));
                }
            }
        }
    }

    private static String place(TokenStreamLocation at) {
        return at == null ? "" : "line %d, column %d".formatted(at.getLineNr(), at.getColumnNr());
    }
}
