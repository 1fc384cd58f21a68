package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.exchange.map.PartJson;
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
        return of(map, revision, (kind, part) -> null);
    }

    /** The same, for a map that came of {@code before}: what is still the same object is not written again. */
    static Parts of(EscapeMap map, int revision, MapStore.Head before) {
        return of(map, revision, (kind, part) -> before.map().index().part(kind, part.id()).orElse(null) == part
                ? before.parts().get(new PartKey(kind.list(), part.id().value())) : null);
    }

    /** Rows that are known already; null for what is not. */
    private interface Known {
        PartState row(PartKind<?> kind, Part part);
    }

    private static Parts of(EscapeMap map, int revision, Known known) {
        Map<PartKey, PartState> rows = new LinkedHashMap<>();
        PartKind.ALL.forEach(kind -> add(rows, kind, map, revision, known));
        PartState head = new PartState(HEAD, HEAD, revision, null, 0, MapJson.writeHead(map).toString());
        rows.put(head.key(), head);
        return new Parts(rows);
    }

    private static <T extends Part> void add(Map<PartKey, PartState> rows, PartKind<T> kind, EscapeMap map, int revision,
            Known known) {
        int position = 0;
        for (T part : map.parts(kind)) {
            PartState row = known.row(kind, part);
            if (row == null) {
                row = new PartState(kind.list(), part.id().value(), revision, null, position,
                        PartJson.write(kind, part).toString());
            }
            rows.put(row.key(), row);
            position++;
        }
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
