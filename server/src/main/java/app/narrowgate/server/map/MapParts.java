package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.revision.PartKey;
import app.narrowgate.server.revision.PartState;
import app.narrowgate.server.revision.Parts;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A map as the parts that are stored: every entry of every list of the map file on its own, and the file's head (title
 * and note) as one part more. Taking apart and putting together are inverse.
 */
final class MapParts {

    /** The list name of the part that holds what stands outside the lists. */
    static final String HEAD = "map";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private MapParts() {
    }

    /** The parts of {@code map} as they begin in {@code revision}, in the file's order. */
    static Parts of(EscapeMap map, int revision) {
        Map<PartKey, PartState> rows = new LinkedHashMap<>();
        ObjectNode head = JSON.createObjectNode();
        for (Map.Entry<String, JsonNode> field : MapJson.write(map).properties()) {
            if (!field.getValue().isArray()) {
                head.set(field.getKey(), field.getValue());
                continue;
            }
            int position = 0;
            for (JsonNode part : field.getValue()) {
                add(rows, new PartState(field.getKey(), part.get("id").stringValue(), revision, null, position++,
                        part.toString()));
            }
        }
        add(rows, new PartState(HEAD, HEAD, revision, null, 0, head.toString()));
        return new Parts(rows);
    }

    private static void add(Map<PartKey, PartState> rows, PartState row) {
        rows.put(row.key(), row);
    }

    /** The map that the parts make together. */
    static EscapeMap toMap(Parts parts) {
        ObjectNode root = JSON.createObjectNode();
        for (PartState row : parts.ordered()) {
            if (row.list().equals(HEAD)) {
                JSON.readTree(row.body()).properties().forEach(field -> root.set(field.getKey(), field.getValue()));
            } else {
                JsonNode list = root.get(row.list());
                (list == null ? root.putArray(row.list()) : list.asArray()).add(JSON.readTree(row.body()));
            }
        }
        return MapJson.read(root);
    }

    /** A part's content; null for a part that is not there. */
    static JsonNode json(PartState row) {
        return row == null ? null : JSON.readTree(row.body());
    }
}
