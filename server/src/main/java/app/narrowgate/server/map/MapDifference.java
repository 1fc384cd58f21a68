package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.exchange.map.PartJson;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What differs between two states of a map, part by part and field by field, with titles instead of ids. */
public final class MapDifference {

    private MapDifference() {
    }

    /** A part that was added, removed or changed. */
    @Schema(name = "PartChange")
    public record Change(String list, String id, String title,
            @Schema(allowableValues = {"added", "removed", "changed"}) String kind, List<FieldChange> fields) {
    }

    /** A field that differs; what was not there is missing. */
    @Schema(name = "FieldChange")
    public record FieldChange(String field, @Nullable String before, @Nullable String after) {
    }

    static List<Change> between(StoredMap before, StoredMap after) {
        return between(before.index().map(), after.index().map());
    }

    /** What differs, in the order of the file. */
    public static List<Change> between(EscapeMap before, EscapeMap after) {
        ObjectNode one = MapJson.write(before);
        ObjectNode other = MapJson.write(after);
        Map<String, String> titles = titles(before);
        titles.putAll(titles(after));
        List<Change> changes = new ArrayList<>();
        for (String field : List.of("title", "about", "house")) {
            if (!Objects.equals(one.get(field), other.get(field))) {
                changes.add(new Change("map", "map", after.title(), "changed",
                        List.of(new FieldChange(field, text(one.get(field), titles), text(other.get(field), titles)))));
            }
        }
        for (String list : PartJson.LISTS) {
            Map<String, JsonNode> were = byId(one.get(list));
            Map<String, JsonNode> are = byId(other.get(list));
            Set<String> ids = new LinkedHashSet<>(were.keySet());
            ids.addAll(are.keySet());
            for (String id : ids) {
                JsonNode was = were.get(id);
                JsonNode is = are.get(id);
                if (!Objects.equals(was, is)) {
                    List<FieldChange> fields = new ArrayList<>();
                    if (was != null && is != null) {
                        fields("", was, is, titles, fields);
                    }
                    changes.add(new Change(list, id, titles.getOrDefault(list + "/" + id, id),
                            was == null ? "added" : is == null ? "removed" : "changed", fields));
                }
            }
        }
        return changes;
    }

    private static void fields(String path, JsonNode was, JsonNode is, Map<String, String> titles,
            List<FieldChange> fields) {
        if (Objects.equals(was, is)) {
            return;
        }
        boolean objects = was instanceof ObjectNode && is instanceof ObjectNode;
        boolean lists = hasIds(was) && hasIds(is);
        if (!objects && !lists) {
            fields.add(new FieldChange(path, text(was, titles), text(is, titles)));
            return;
        }
        Map<String, JsonNode> before = objects ? byName(was) : byId(was);
        Map<String, JsonNode> after = objects ? byName(is) : byId(is);
        Set<String> names = new LinkedHashSet<>(before.keySet());
        names.addAll(after.keySet());
        names.remove("id");
        for (String name : names) {
            JsonNode entry = after.getOrDefault(name, before.get(name));
            String label = lists ? "“%s”".formatted(label(entry, name)) : titles.getOrDefault("facts/" + name, name);
            fields(path.isEmpty() ? label : path + ", " + label, before.get(name), after.get(name), titles, fields);
        }
    }

    private static String label(JsonNode entry, String otherwise) {
        return entry.path("cue").asString(entry.path("title").asString(otherwise));
    }

    private static boolean hasIds(JsonNode node) {
        return node instanceof ArrayNode array && !array.isEmpty()
                && array.values().stream().allMatch(entry -> entry.has("id"));
    }

    private static Map<String, JsonNode> byName(JsonNode object) {
        Map<String, JsonNode> byName = new LinkedHashMap<>();
        object.properties().forEach(field -> byName.put(field.getKey(), field.getValue()));
        return byName;
    }

    private static Map<String, JsonNode> byId(JsonNode list) {
        Map<String, JsonNode> byId = new LinkedHashMap<>();
        if (list != null) {
            list.values().forEach(entry -> byId.put(entry.get("id").asString(), entry));
        }
        return byId;
    }

    /** A value as a person reads it; null for nothing. */
    private static String text(JsonNode node, Map<String, String> titles) {
        if (node == null) {
            return null;
        }
        if (node.isString()) {
            return titles.getOrDefault("/" + node.stringValue(), node.stringValue());
        }
        if (node instanceof ArrayNode array) {
            return array.values().stream().map(entry -> text(entry, titles)).collect(Collectors.joining("; "));
        }
        if (node instanceof ObjectNode object) {
            return object.properties().stream().filter(field -> !field.getKey().equals("id"))
                    .map(field -> titles.getOrDefault("facts/" + field.getKey(), field.getKey()) + ": "
                            + text(field.getValue(), titles)).collect(Collectors.joining(", "));
        }
        return node.isBoolean() ? (node.booleanValue() ? "yes" : "no") : node.asString();
    }

    /** Titles by {@code list/id}, and by {@code /id} for what links name. */
    private static Map<String, String> titles(EscapeMap map) {
        MapIndex index = MapIndex.of(map);
        Map<String, String> titles = new LinkedHashMap<>();
        ObjectNode root = MapJson.write(map);
        for (String list : PartJson.LISTS) {
            root.path(list).values().forEach(part -> {
                String id = part.get("id").stringValue();
                String title = part.has("title") ? part.get("title").stringValue()
                        : index.reaction(Id.of(id)).map(index::reactionTitle).orElse(id);
                titles.put(list + "/" + id, title);
                titles.putIfAbsent("/" + id, title);
            });
        }
        return titles;
    }
}
