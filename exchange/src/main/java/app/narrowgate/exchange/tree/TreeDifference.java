package app.narrowgate.exchange.tree;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What differs between two trees, field by field, in words that a person reads. Entries of lists are told
 * by their ids, those without ids by their places where there are as many before as after.
 */
public final class TreeDifference {

    private final Words words;
    private final List<Field> fields = new ArrayList<>();

    private TreeDifference(Words words) {
        this.words = words;
    }

    /** How ids and names of fields are said. */
    public interface Words {

        /** A text that stands in the tree, or what it is the id of. */
        String text(String text);

        /** The name of a field, or what it is the id of. */
        String name(String field);
    }

    /**
     * A field that differs.
     *
     * @param field its name, with those of what it lies within before it; empty where the whole differs
     * @param before what it was; null where it was not there
     * @param after what it is; null where it is not there any more
     */
    public record Field(String field, String before, String after) {
    }

    /**
     * Every field that differs, in the order of the trees. Cost linear in both.
     *
     * @param was the tree before; null where there was none
     * @param is the tree after; null where there is none
     */
    public static List<Field> between(JsonNode was, JsonNode is, Words words) {
        TreeDifference difference = new TreeDifference(words);
        difference.fields("", was, is);
        return List.copyOf(difference.fields);
    }

    /** Entries of a list by their ids, in its order; null for no list. */
    public static Map<String, JsonNode> byId(JsonNode list) {
        Map<String, JsonNode> byId = new LinkedHashMap<>();
        if (list != null) {
            list.values().forEach(entry -> byId.put(entry.get("id").asString(), entry));
        }
        return byId;
    }

    private void fields(String path, JsonNode was, JsonNode is) {
        if (Objects.equals(was, is)) {
            return;
        }
        boolean objects = was instanceof ObjectNode && is instanceof ObjectNode;
        boolean named = hasIds(was) && hasIds(is);
        boolean placed = isObjects(was) && isObjects(is) && was.size() == is.size();
        if (!objects && !named && !placed) {
            fields.add(new Field(path, text(was), text(is)));
            return;
        }
        Map<String, JsonNode> before = objects ? byName(was) : named ? byId(was) : byPlace(was);
        Map<String, JsonNode> after = objects ? byName(is) : named ? byId(is) : byPlace(is);
        Set<String> names = new LinkedHashSet<>(before.keySet());
        names.addAll(after.keySet());
        names.remove("id");
        for (String name : names) {
            JsonNode entry = after.getOrDefault(name, before.get(name));
            String label = objects ? words.name(name) : label(entry).map("“%s”"::formatted).orElse(name);
            fields(path.isEmpty() ? label : path + ", " + label, before.get(name), after.get(name));
        }
    }

    /** What an entry of a list is called, if it has a name; else it is told by its id or its place. */
    private static Optional<String> label(JsonNode entry) {
        return Stream.of("cue", "title").map(entry::path).filter(JsonNode::isString).map(JsonNode::stringValue).findFirst();
    }

    private static boolean hasIds(JsonNode node) {
        return node instanceof ArrayNode array && !array.isEmpty()
                && array.values().stream().allMatch(entry -> entry.has("id"));
    }

    private static boolean isObjects(JsonNode node) {
        return node instanceof ArrayNode array && !array.isEmpty()
                && array.values().stream().allMatch(ObjectNode.class::isInstance);
    }

    /** Entries by their place, counted from 1. */
    private static Map<String, JsonNode> byPlace(JsonNode list) {
        Map<String, JsonNode> byPlace = new LinkedHashMap<>();
        list.values().forEach(entry -> byPlace.put(Integer.toString(byPlace.size() + 1), entry));
        return byPlace;
    }

    private static Map<String, JsonNode> byName(JsonNode object) {
        Map<String, JsonNode> byName = new LinkedHashMap<>();
        object.properties().forEach(field -> byName.put(field.getKey(), field.getValue()));
        return byName;
    }

    /** A value as a person reads it; null for nothing. */
    private String text(JsonNode node) {
        if (node == null) {
            return null;
        }
        if (node.isString()) {
            return words.text(node.stringValue());
        }
        if (node instanceof ArrayNode array) {
            return array.values().stream().map(this::text).collect(Collectors.joining("; "));
        }
        if (node instanceof ObjectNode object) {
            return object.properties().stream().filter(field -> !field.getKey().equals("id"))
                    .map(field -> words.name(field.getKey()) + ": " + text(field.getValue()))
                    .collect(Collectors.joining(", "));
        }
        return node.isBoolean() ? (node.booleanValue() ? "yes" : "no") : node.asString();
    }
}
