package app.narrowgate.exchange.tree;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Brings two changes of the same tree together where they do not touch: different fields of an object, different
 * entries of a list whose entries have ids.
 */
public final class TreeMerge {

    private TreeMerge() {
    }

    /**
     * {@code mine} and {@code theirs}, both made from {@code base}, in one; null stands for a part that is not there.
     * Empty when both changed the same thing differently.
     */
    public static Optional<Merged> merge(JsonNode base, JsonNode mine, JsonNode theirs) {
        if (Objects.equals(mine, theirs) || Objects.equals(mine, base)) {
            return Optional.of(new Merged(theirs));
        }
        if (Objects.equals(theirs, base)) {
            return Optional.of(new Merged(mine));
        }
        if (base instanceof ObjectNode b && mine instanceof ObjectNode m && theirs instanceof ObjectNode t) {
            return objects(b, m, t);
        }
        if (isNamedList(base) && isNamedList(mine) && isNamedList(theirs)) {
            return lists(base, mine, theirs);
        }
        return Optional.empty();
    }

    /** What came out; null where the part is gone. */
    public record Merged(JsonNode node) {
    }

    private static Optional<Merged> objects(ObjectNode base, ObjectNode mine, ObjectNode theirs) {
        Set<String> names = new LinkedHashSet<>(theirs.propertyNames());
        names.addAll(mine.propertyNames());
        ObjectNode merged = JsonNodeFactory.instance.objectNode();
        for (String name : names) {
            Optional<Merged> value = merge(base.get(name), mine.get(name), theirs.get(name));
            if (value.isEmpty()) {
                return Optional.empty();
            }
            if (value.get().node() != null) {
                merged.set(name, value.get().node());
            }
        }
        return Optional.of(new Merged(merged));
    }

    /** An absent list counts as an empty one. */
    private static boolean isNamedList(JsonNode node) {
        return node == null || node instanceof ArrayNode array
                && array.values().stream().allMatch(entry -> entry.has("id"));
    }

    private static Optional<Merged> lists(JsonNode base, JsonNode mine, JsonNode theirs) {
        Map<String, JsonNode> before = TreeDifference.byId(base);
        Map<String, JsonNode> one = TreeDifference.byId(mine);
        Map<String, JsonNode> other = TreeDifference.byId(theirs);
        Set<String> ids = new LinkedHashSet<>(other.keySet());
        ids.addAll(one.keySet());
        List<JsonNode> kept = new ArrayList<>();
        for (String id : ids) {
            Optional<Merged> entry = merge(before.get(id), one.get(id), other.get(id));
            if (entry.isEmpty()) {
                return Optional.empty();
            }
            if (entry.get().node() != null) {
                kept.add(entry.get().node());
            }
        }
        ArrayNode merged = JsonNodeFactory.instance.arrayNode();
        kept.forEach(merged::add);
        return Optional.of(new Merged(merged));
    }
}
