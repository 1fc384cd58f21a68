package app.narrowgate.exchange.json;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
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

/**
 * Text that is JSON, read strictly and within bounds: no name twice, nothing after the end, no more than a large map
 * holds.
 */
public final class JsonText {

    /** Names, values and brackets of a file. The demo’s map has 14,000 at 300 responses: room for 40,000 responses. */
    static final int MOST_TOKENS = 2_000_000;
    /**
     * Objects of a file, each of which costs memory however empty it is. The demo’s map has 1,200: room for 50,000
     * responses.
     */
    static final int MOST_OBJECTS = 200_000;
    /** Brackets within brackets; a map needs {@code Requirement.MOST_DEPTH} and a few. */
    private static final int MOST_DEPTH = 64;

    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder().maxNestingDepth(MOST_DEPTH).build()).build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build();

    private static final String NOT_OURS =
            "This is not a file of Narrow Gate, or a piece of it has been lost. Take the file out again, or choose another.";

    private JsonText() {
    }

    /** How much has been read of what belongs together: several files may hold no more than one. */
    public static final class Room {
        private int tokens;
        private int objects;

        private boolean isLeftFor(JsonToken token) {
            tokens++;
            objects += token == JsonToken.START_OBJECT ? 1 : 0;
            return tokens <= MOST_TOKENS && objects <= MOST_OBJECTS;
        }
    }

    /** Indented, as a person would read it. */
    public static String of(JsonNode node) {
        return MAPPER.writeValueAsString(node) + "\n";
    }

    /**
     * The tree of {@code text}.
     *
     * @throws ProblemsException when it is empty, no JSON, or larger than a file of ours can be; placed by line and column,
     *     with what the reader of the text says of it
     */
    public static JsonNode parse(String text) {
        return parse(text, new Room());
    }

    /**
     * The tree of {@code text}, which takes its part of the room.
     *
     * @throws ProblemsException as when it stands alone, and where there is no room left
     */
    public static JsonNode parse(String text, Room room) {
        try {
            requireRoom(text, room);
            JsonNode root = MAPPER.readTree(text);
            if (root.isMissingNode()) {
                throw new ProblemsException(List.of(new Problem("", "The file is empty.")));
            }
            return root;
        } catch (JacksonException e) {
            throw new ProblemsException(List.of(
                    new Problem(place(e.getLocation()) + ": " + Text.shown(e.getOriginalMessage()), NOT_OURS)));
        }
    }

    /**
     * Nothing, where the text holds no more than a large map does. Looked at as it streams by, so that what would not fit
     * into memory is refused before it is built there.
     */
    private static void requireRoom(String text, Room room) {
        try (JsonParser parser = MAPPER.createParser(text)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                if (!room.isLeftFor(token)) {
                    throw new ProblemsException(List.of(new Problem(place(parser.currentLocation()),
                            "The file holds more than one of ours can: at most %d objects, and %d names, values and brackets. Split it."
                                    .formatted(MOST_OBJECTS, MOST_TOKENS))));
                }
            }
        }
    }

    private static String place(TokenStreamLocation at) {
        return at == null ? "" : "line %d, column %d".formatted(at.getLineNr(), at.getColumnNr());
    }
}
