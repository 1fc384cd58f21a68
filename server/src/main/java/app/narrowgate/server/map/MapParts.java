package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.exchange.map.MapJson;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
    static Map<PartKey, PartRow> of(EscapeMap map, int revision) {
        Map<PartKey, PartRow> rows = new LinkedHashMap<>();
        ObjectNode head = JSON.createObjectNode();
        for (Map.Entry<String, JsonNode> field : MapJson.write(map).properties()) {
            if (!field.getValue().isArray()) {
                head.set(field.getKey(), field.getValue());
                continue;
            }
            int position = 0;
            for (JsonNode part : field.getValue()) {
                add(rows, new PartRow(field.getKey(), part.get("id").stringValue(), revision, null, position++,
                        part.toString()));
            }
        }
        add(rows, new PartRow(HEAD, HEAD, revision, null, 0, head.toString()));
        return rows;
    }

    private static void add(Map<PartKey, PartRow> rows, PartRow row) {
        rows.put(row.key(), row);
    }

    /** The map that {@code rows}, ordered by list and position, make together. */
    static EscapeMap toMap(List<PartRow> rows) {
        ObjectNode root = JSON.createObjectNode();
        for (PartRow row : rows) {
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
    static JsonNode json(PartRow row) {
        return row == null ? null : JSON.readTree(row.body());
    }

    /** The map's title in its head part. */
    static String titleOf(PartRow head) {
        return JSON.readTree(head.body()).get("title").stringValue();
    }

    /**
     * What is new or different in {@code after}. A part that was there keeps its position, a new one comes last, so that
     * taking a part out never touches its neighbours.
     */
    static List<PartRow> begun(Map<PartKey, PartRow> before, Map<PartKey, PartRow> after) {
        Map<String, Integer> last = new HashMap<>();
        before.values().forEach(row -> last.merge(row.list(), row.position(), Math::max));
        List<PartRow> begun = new ArrayList<>();
        after.forEach((key, row) -> {
            PartRow old = before.get(key);
            if (!same(old, row)) {
                int position = old != null ? old.position() : last.merge(row.list(), 0, (most, zero) -> most + 1);
                begun.add(row.at(position));
            }
        });
        return begun;
    }

    /** The parts after a revision in which some begun and some ended. */
    static Map<PartKey, PartRow> after(Map<PartKey, PartRow> before, List<PartRow> begun, List<PartKey> ended) {
        Map<PartKey, PartRow> after = new LinkedHashMap<>(before);
        Set<PartKey> changed = new HashSet<>();
        begun.forEach(part -> {
            after.put(part.key(), part);
            changed.add(part.key());
        });
        ended.stream().filter(key -> !changed.contains(key)).forEach(after::remove);
        return after;
    }

    /** The parts in the file's order, as the database would hand them out. */
    static List<PartRow> ordered(Map<PartKey, PartRow> parts) {
        return parts.values().stream().sorted(Comparator.comparing(PartRow::list).thenComparingInt(PartRow::position)
                .thenComparing(PartRow::partId)).toList();
    }

    /** What is gone or different in {@code after}. */
    static List<PartKey> ended(Map<PartKey, PartRow> before, Map<PartKey, PartRow> after) {
        return before.keySet().stream().filter(key -> !same(before.get(key), after.get(key))).toList();
    }

    private static boolean same(PartRow one, PartRow other) {
        return one != null && other != null && one.body().equals(other.body());
    }
}
