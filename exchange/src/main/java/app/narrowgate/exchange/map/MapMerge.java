package app.narrowgate.exchange.map;

import app.narrowgate.core.map.EscapeMap;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads a map file into a map that is there already. */
public final class MapMerge {

    private MapMerge() {
    }

    /**
     * {@code map} with the parts of {@code file}: those of the same id are changed, others are added; the title and what
     * the file does not hold stay. Cost linear in both.
     *
     * @throws app.narrowgate.core.check.ProblemsException when the parts do not fit together
     */
    public static EscapeMap into(EscapeMap map, EscapeMap file) {
        ObjectNode root = MapJson.write(map);
        ObjectNode added = MapJson.write(file);
        for (String list : PartJson.LISTS) {
            if (added.get(list) instanceof ArrayNode parts) {
                Map<String, JsonNode> byId = new LinkedHashMap<>();
                root.path(list).values().forEach(part -> byId.put(part.get("id").stringValue(), part));
                parts.values().forEach(part -> byId.put(part.get("id").stringValue(), part));
                ArrayNode merged = root.putArray(list);
                byId.values().forEach(merged::add);
            }
        }
        return MapJson.read(root);
    }
}
