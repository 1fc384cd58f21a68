package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.json.JsonText;
import app.narrowgate.exchange.posture.PostureJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A map kept in several files, so that a person can review one family at a time: {@value #HEAD} with
 * {@code "parts": ["side.json", …]}, and each part an object with {@code "format": "narrowgate-map-part/1"} and any of
 * the map's lists, which are joined in the order of the parts, or a file of postures.
 */
public final class MapFolder {

    /** The file that names the parts. */
    public static final String HEAD = "map.json";
    private static final String PART_FORMAT = "narrowgate-map-part/1";
    /** How the bodies are is a format of its own, which is read as it stands. */
    private static final List<String> PART_FORMATS = List.of(PART_FORMAT, PostureJson.FORMAT);
    private static final String POSTURES = "postures.json";
    private static final List<String> OF_A_FAMILY = List.of("techniques", "situations", "reactions", "holds");

    private MapFolder() {
    }

    /** Where an entry of a joined list stands. */
    private record Origin(String file, String list, int position) {
    }

    /**
     * Reads a map.
     *
     * @param file gives a file's text by its name
     * @throws ProblemsException with every problem by file and JSON pointer; also where a part is named twice, or the files together
     *     hold more than one could
     */
    public static EscapeMap read(Function<String, String> file) {
        JsonText.Room room = new JsonText.Room();
        JsonNode head = parse(HEAD, file, room);
        if (!head.isObject() || !head.has("parts")) {
            return MapJson.read(head);
        }
        ObjectNode whole = ((ObjectNode) head).deepCopy();
        whole.remove("parts");
        Map<String, List<Origin>> origins = new LinkedHashMap<>();
        head.properties().stream().filter(field -> field.getValue().isArray()).forEach(
                field -> note(origins, HEAD, field.getKey(), field.getValue().size()));
        Set<String> joined = new HashSet<>();
        for (JsonNode part : head.get("parts").values()) {
            String name = part.asString("");
            if (!joined.add(name)) {
                throw new ProblemsException(List.of(new Problem(HEAD + "#/parts", "“%s” is named twice.".formatted(Text.shown(name)))));
            }
            join(whole, origins, name, parse(name, file, room));
        }
        try {
            return MapJson.read(whole);
        } catch (ProblemsException e) {
            throw new ProblemsException(e.problems().stream()
                    .map(p -> new Problem(place(origins, p.place()), p.message())).toList());
        }
    }

    /**
     * Reads a map from a folder.
     *
     * @throws ProblemsException with every problem by file and JSON pointer; a part that is not there is one
     */
    public static EscapeMap read(Path folder) {
        return read(name -> {
            try {
                return Files.readString(folder.resolve(Path.of(name).getFileName()));
            } catch (IOException e) {
                throw new ProblemsException(List.of(new Problem(name, "This part of the map is not in the folder.")));
            }
        });
    }

    private static JsonNode parse(String name, Function<String, String> file, JsonText.Room room) {
        try {
            return JsonText.parse(file.apply(name), room);
        } catch (ProblemsException e) {
            throw new ProblemsException(e.problems().stream()
                    .map(p -> new Problem(name + " " + p.place(), p.message())).toList());
        }
    }

    private static void join(ObjectNode whole, Map<String, List<Origin>> origins, String name, JsonNode part) {
        if (!part.isObject() || !PART_FORMATS.contains(part.path("format").asString(""))) {
            throw new ProblemsException(List.of(new Problem(name + "#/format",
                    "This is not a part of a map; its format must be %s.".formatted(String.join(" or ", PART_FORMATS)))));
        }
        part.properties().stream().filter(field -> !field.getKey().equals("format")).forEach(field -> {
            if (!field.getValue().isArray()) {
                throw new ProblemsException(List.of(new Problem(name + "#/" + field.getKey(),
                        "A part of a map holds lists only; move “%s” to %s.".formatted(field.getKey(), HEAD))));
            }
            JsonNode list = whole.get(field.getKey());
            ArrayNode joined = list == null ? whole.putArray(field.getKey()) : list.asArray();
            field.getValue().values().forEach(joined::add);
            note(origins, name, field.getKey(), field.getValue().size());
        });
    }

    private static void note(Map<String, List<Origin>> origins, String file, String list, int count) {
        for (int i = 0; i < count; i++) {
            origins.computeIfAbsent(list, l -> new ArrayList<>()).add(new Origin(file, list, i));
        }
    }

    /** {@code /reactions/57/seconds} of the whole as {@code side.json#/reactions/3/seconds}. */
    private static String place(Map<String, List<Origin>> origins, String pointer) {
        String[] steps = pointer.split("/", 4);
        List<Origin> list = steps.length < 3 ? List.of() : origins.getOrDefault(steps[1], List.of());
        if (list.isEmpty() || !steps[2].matches("\\d{1,6}") || Integer.parseInt(steps[2]) >= list.size()) {
            return HEAD + "#" + pointer;
        }
        Origin origin = list.get(Integer.parseInt(steps[2]));
        return "%s#/%s/%d%s".formatted(origin.file(), origin.list(), origin.position(),
                steps.length > 3 ? "/" + steps[3] : "");
    }

    /**
     * The map as files, name to text: one part for each family with its situations, what is done in them, the
     * techniques that it is the first to use and the holds that begin in it; the postures in a file of their own; everything
     * else in {@value #HEAD}. Read
     * again they give the same map but for the order of parts.
     */
    public static Map<String, String> write(EscapeMap map) {
        ObjectNode whole = MapJson.write(map);
        Map<String, Map<String, ObjectNode>> byList = new LinkedHashMap<>();
        for (String list : OF_A_FAMILY) {
            Map<String, ObjectNode> byId = new LinkedHashMap<>();
            whole.path(list).values().forEach(node -> byId.put(node.get("id").asString(), (ObjectNode) node));
            byList.put(list, byId);
            whole.remove(list);
        }
        MapIndex index = MapIndex.of(map);
        Map<String, String> files = new LinkedHashMap<>();
        ArrayNode parts = JsonNodeFactory.instance.arrayNode();
        for (Family family : map.families()) {
            ObjectNode part = part(index, family.id(), byList);
            if (part.size() > 1) {
                files.put(family.id() + ".json", JsonText.of(part));
                parts.add(family.id() + ".json");
            }
        }
        byList.forEach((list, left) -> {
            if (!left.isEmpty()) {
                left.values().forEach(whole.putArray(list)::add);
            }
        });
        if (!map.postures().isEmpty()) {
            whole.remove(PartKind.POSTURES.list());
            files.put(POSTURES, PostureJson.writeFile(map.postures()));
            parts.add(POSTURES);
        }
        whole.set("parts", parts);
        files.put(HEAD, JsonText.of(whole));
        return files;
    }

    private static ObjectNode part(MapIndex index, Id family, Map<String, Map<String, ObjectNode>> byList) {
        ObjectNode part = JsonNodeFactory.instance.objectNode();
        part.put("format", PART_FORMAT);
        List<Id> situations = index.map().situations().stream().filter(s -> s.family().equals(family))
                .map(s -> s.id()).toList();
        List<String> techniques = situations.stream().flatMap(s -> index.reactionsFrom(s).stream())
                .map(r -> r.technique().value()).distinct().toList();
        move(part, "techniques", techniques, byList);
        move(part, "situations", situations.stream().map(Id::value).toList(), byList);
        move(part, "reactions", situations.stream().flatMap(s -> index.reactionsFrom(s).stream())
                .map(r -> r.id().value()).toList(), byList);
        move(part, "holds", index.map().holds().stream().filter(h -> !h.at().isEmpty() && situations.contains(h.at().get(0)))
                .map(Hold::id).map(Id::value).toList(), byList);
        return part;
    }

    private static void move(ObjectNode part, String list, List<String> ids,
            Map<String, Map<String, ObjectNode>> byList) {
        List<ObjectNode> moved = new ArrayList<>();
        ids.forEach(id -> {
            ObjectNode node = byList.get(list).remove(id);
            if (node != null) {
                moved.add(node);
            }
        });
        if (!moved.isEmpty()) {
            moved.forEach(part.putArray(list)::add);
        }
    }
}
