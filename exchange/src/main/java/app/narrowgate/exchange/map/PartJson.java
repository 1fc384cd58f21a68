package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Single parts of a map in the open format: putting one in, taking one out, and what refers to it. Works on the tree of
 * the map file, so that a part is read by the same strict rules wherever it comes from. Cost linear in the map.
 */
public final class PartJson {

    /** The lists of a map file, whose entries are its parts. */
    public static final List<String> LISTS = List.of("families", "facts", "principles", "movements", "techniques",
            "situations", "outcomes", "reactions", "aims", "matchups", "rules", "holds");

    private static final List<String> PLACE_FIELDS = List.of("leads", "stuffed", "becomes", "from");

    private PartJson() {
    }

    /**
     * Something that refers to a part.
     *
     * @param list the list of the referring part
     * @param id its id
     * @param field the field that refers
     */
    public record Use(String list, Id id, String field) {
    }

    /**
     * The part as it stands in the file.
     *
     * @throws RefusedException when there is no such list
     */
    public static Optional<ObjectNode> get(EscapeMap map, String list, Id id) {
        return find(parts(MapJson.write(withRulesInForce(map, list)), list), id).map(ObjectNode.class::cast);
    }

    /** The ids of a list's parts, in order. */
    public static List<Id> ids(EscapeMap map, String list) {
        return parts(MapJson.write(map), list).values().stream().map(part -> Id.of(part.get("id").stringValue())).toList();
    }

    /** What a part is called: its title, its technique's title for a reaction, its id where there is none. */
    public static String title(MapIndex index, String list, Id id) {
        if (list.equals("reactions")) {
            return index.reaction(id).map(index::reactionTitle).orElse(id.value());
        }
        return get(index.map(), list, id).map(part -> part.path("title").asString(id.value())).orElse(id.value());
    }

    /**
     * The map with {@code part} in the place of the one with its id, or at the end of the list.
     *
     * @param part an entry of the list; its id is set to {@code id}
     * @throws ProblemsException with every problem, placed within the part where it lies there ({@code /clock/seconds})
     *     and within the map ({@code map/reactions/3/from}) where another part no longer fits
     */
    public static EscapeMap put(EscapeMap map, String list, Id id, ObjectNode part) {
        ObjectNode root = MapJson.write(withRulesInForce(map, list));
        return readPlacing(root, "/" + list + "/" + put(root, list, id, part));
    }

    /**
     * A part on its way into a map.
     *
     * @param part an entry of the list; its id is set to {@code id}
     */
    public record Put(String list, Id id, ObjectNode part) {
    }

    /**
     * The map with several parts put into it at once, so that they may refer to each other.
     *
     * @throws ProblemsException as {@link #put(EscapeMap, String, Id, ObjectNode)}; what lies within the last part is
     *     placed within it
     */
    public static EscapeMap putAll(EscapeMap map, List<Put> puts) {
        EscapeMap ready = map;
        for (Put put : puts) {
            ready = withRulesInForce(ready, put.list());
        }
        ObjectNode root = MapJson.write(ready);
        String last = "/";
        for (Put put : puts) {
            last = "/" + put.list() + "/" + put(root, put.list(), put.id(), put.part());
        }
        return readPlacing(root, last);
    }

    /** Puts the part into its list and returns where it stands. */
    private static int put(ObjectNode root, String list, Id id, ObjectNode part) {
        ObjectNode named = JsonNodeFactory.instance.objectNode().put("id", id.value());
        part.properties().stream().filter(f -> !f.getKey().equals("id")).forEach(f -> named.set(f.getKey(), f.getValue()));
        ArrayNode parts = parts(root, list);
        int at = indexOf(parts, id);
        if (at < 0) {
            at = parts.size();
            parts.add(named);
        } else {
            parts.set(at, named);
        }
        return at;
    }

    /** A map that lives on the usual rules gets them as its own before one is changed. */
    private static EscapeMap withRulesInForce(EscapeMap map, String list) {
        return list.equals("rules") && map.rules().isEmpty() && !map.rulesInForce().isEmpty()
                ? map.with(map.rulesInForce().get(0)) : map;
    }

    private static EscapeMap readPlacing(ObjectNode root, String prefix) {
        try {
            return MapJson.read(root);
        } catch (ProblemsException e) {
            throw new ProblemsException(e.problems().stream()
                    .map(p -> new Problem(within(p.place(), prefix).orElse("map" + p.place()), p.message())).toList());
        }
    }

    /** The place as it is told from {@code prefix} on; the tenth entry does not lie within the first. */
    private static Optional<String> within(String place, String prefix) {
        return place.equals(prefix) || place.startsWith(prefix + "/")
                ? Optional.of(place.substring(prefix.length())) : Optional.empty();
    }

    /** Everything that refers to a part, in the map's order. */
    public static List<Use> uses(EscapeMap map, String list, Id id) {
        ObjectNode root = MapJson.write(map);
        parts(root, list);
        List<Use> uses = new ArrayList<>();
        for (String other : LISTS) {
            for (JsonNode part : root.path(other).values()) {
                List<String> fields = new ArrayList<>();
                references((ObjectNode) part, other, list, id.value(), fields::add, null);
                fields.stream().distinct().forEach(field ->
                        uses.add(new Use(other, Id.of(part.get("id").stringValue()), field)));
            }
        }
        return uses;
    }

    /**
     * The map without a part.
     *
     * @param redirect what takes its place wherever it is referred to; empty to let those references go: landings stay
     *     unanswered, needs and facts are dropped, and reactions of a situation or technique that is gone go with it
     * @throws RefusedException when there is no such part
     * @throws ProblemsException when what is left does not fit together
     */
    public static EscapeMap remove(EscapeMap map, String list, Id id, Optional<Id> redirect) {
        ObjectNode root = MapJson.write(map);
        if (find(parts(root, list), id).isEmpty()) {
            throw new RefusedException("Nothing in %s is called “%s”.".formatted(list, id));
        }
        remove(root, list, id.value(), redirect.map(Id::value).orElse(""));
        return readPlacing(root, "");
    }

    private static void remove(ObjectNode root, String list, String id, String instead) {
        List<Use> going = new ArrayList<>();
        for (String other : LISTS) {
            ArrayNode kept = JsonNodeFactory.instance.arrayNode();
            for (JsonNode part : root.path(other).values()) {
                boolean itself = other.equals(list) && is(part, "id", id);
                if (!itself && instead.isEmpty() && goesWith((ObjectNode) part, other, list, id)) {
                    going.add(new Use(other, Id.of(part.get("id").stringValue()), ""));
                }
                if (!itself) {
                    kept.add(part);
                }
            }
            if (root.has(other)) {
                root.set(other, kept);
            }
        }
        if (list.equals("matchups") && root.get("house") instanceof ObjectNode house) {
            field(house, "matchup", id, seen -> { }, instead);
        }
        going.forEach(part -> remove(root, part.list(), part.id().value(), ""));
        for (String other : LISTS) {
            root.path(other).values().forEach(part ->
                    references((ObjectNode) part, other, list, id, field -> { }, instead));
        }
    }

    /** True for a part that cannot be without the one that is taken out. */
    private static boolean goesWith(ObjectNode part, String list, String removed, String id) {
        return switch (list) {
            case "reactions" -> removed.equals("situations") && is(part, "from", id)
                    || removed.equals("techniques") && is(part, "technique", id);
            case "situations" -> removed.equals("families") && is(part, "family", id);
            default -> false;
        };
    }

    private static boolean is(JsonNode part, String field, String id) {
        return part.path(field).asString("").equals(id);
    }

    /**
     * Reports every field of {@code part} that refers to the part {@code id} of {@code list}; with {@code instead} also
     * puts that in its place, or drops the reference where it is empty.
     */
    private static void references(ObjectNode part, String own, String list, String id,
            java.util.function.Consumer<String> seen, String instead) {
        switch (own) {
            case "situations" -> {
                if (list.equals("families")) {
                    field(part, "family", id, seen, instead);
                }
                flags(part, "facts", list, id, seen, instead);
                if (isPlace(list) && part.get("clock") instanceof ObjectNode clock && is(clock, "becomes", id)) {
                    seen.accept("clock");
                    if (instead != null && instead.isEmpty()) {
                        part.remove("clock");
                    } else if (instead != null) {
                        clock.put("becomes", instead);
                    }
                }
            }
            case "reactions" -> {
                if (isPlace(list)) {
                    PLACE_FIELDS.forEach(name -> field(part, name, id, seen, instead));
                    part.path("responses").values().forEach(response ->
                            field((ObjectNode) response, "leads", id, seen, instead));
                }
                if (list.equals("techniques")) {
                    field(part, "technique", id, seen, instead);
                }
                flags(part, "needs", list, id, seen, instead);
            }
            case "techniques" -> {
                if (list.equals("movements")) {
                    items(part, "movements", id, seen, instead);
                }
                if (list.equals("principles") && part.path("stance").asString("").startsWith(id + "/")) {
                    seen.accept("stance");
                    if (instead != null) {
                        part.remove("stance");
                    }
                }
            }
            case "matchups" -> flags(part, "facts", list, id, seen, instead);
            case "holds" -> {
                if (list.equals("situations")) {
                    items(part, "at", id, seen, instead);
                }
                if (list.equals("reactions")) {
                    needs(part.get("needs"), node -> items(node, "denied", id, seen, instead));
                }
            }
            default -> { }
        }
    }

    private static boolean isPlace(String list) {
        return list.equals("situations") || list.equals("outcomes");
    }

    private static void field(ObjectNode part, String name, String id, java.util.function.Consumer<String> seen,
            String instead) {
        if (is(part, name, id)) {
            seen.accept(name);
            if (instead != null && instead.isEmpty()) {
                part.remove(name);
            } else if (instead != null) {
                part.put(name, instead);
            }
        }
    }

    private static void flags(ObjectNode part, String name, String list, String id,
            java.util.function.Consumer<String> seen, String instead) {
        if (list.equals("facts") && part.get(name) instanceof ObjectNode flags && flags.has(id)) {
            seen.accept(name);
            if (instead != null) {
                JsonNode flag = flags.remove(id);
                if (!instead.isEmpty() && !flags.has(instead)) {
                    flags.set(instead, flag);
                }
            }
        }
    }

    private static void items(ObjectNode part, String name, String id, java.util.function.Consumer<String> seen,
            String instead) {
        if (!(part.get(name) instanceof ArrayNode items) || indexOfText(items, id) < 0) {
            return;
        }
        seen.accept(name);
        if (instead == null) {
            return;
        }
        List<String> texts = new ArrayList<>(items.values().stream().map(JsonNode::stringValue).toList());
        texts.replaceAll(text -> text.equals(id) ? instead : text);
        ArrayNode replaced = part.putArray(name);
        texts.stream().filter(Predicate.not(String::isEmpty)).distinct().forEach(replaced::add);
    }

    private static void needs(JsonNode node, java.util.function.Consumer<ObjectNode> visit) {
        if (node instanceof ObjectNode object) {
            visit.accept(object);
            object.properties().stream().map(Map.Entry::getValue).forEach(child -> needs(child, visit));
        } else if (node instanceof ArrayNode array) {
            array.values().forEach(child -> needs(child, visit));
        }
    }

    private static int indexOfText(ArrayNode items, String text) {
        for (int i = 0; i < items.size(); i++) {
            if (items.get(i).asString("").equals(text)) {
                return i;
            }
        }
        return -1;
    }

    private static ArrayNode parts(ObjectNode root, String list) {
        if (!LISTS.contains(list)) {
            throw new RefusedException("A map has no list “%s”; it has %s.".formatted(list, String.join(", ", LISTS)));
        }
        JsonNode parts = root.get(list);
        return parts == null ? root.putArray(list) : parts.asArray();
    }

    private static int indexOf(ArrayNode parts, Id id) {
        for (int i = 0; i < parts.size(); i++) {
            if (is(parts.get(i), "id", id.value())) {
                return i;
            }
        }
        return -1;
    }

    private static Optional<JsonNode> find(ArrayNode parts, Id id) {
        int at = indexOf(parts, id);
        return at < 0 ? Optional.empty() : Optional.of(parts.get(at));
    }
}
