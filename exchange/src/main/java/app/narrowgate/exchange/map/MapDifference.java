package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.tree.TreeDifference;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ObjectNode;

/** What differs between two states of a map, part by part and field by field, with titles instead of ids. */
public final class MapDifference {

    private static final List<String> HEAD = List.of("title", "about", "house");

    private final EscapeMap before;
    private final EscapeMap after;
    private final Map<String, String> titles = new HashMap<>();
    private final List<Change> changes = new ArrayList<>();

    private MapDifference(EscapeMap before, EscapeMap after) {
        this.before = before;
        this.after = after;
        PartKind.ALL.forEach(kind -> addTitles(kind, MapIndex.of(after)));
        PartKind.ALL.forEach(kind -> addTitles(kind, MapIndex.of(before)));
    }

    /** What happened to a part. */
    public enum Kind implements Coded { ADDED, REMOVED, CHANGED }

    /**
     * A part that was added, removed or changed.
     *
     * @param list the list it stands in; {@code map} for what stands outside the lists
     * @param fields what differs in a part that was changed; empty for others
     */
    public record Change(String list, String id, String title, Kind kind, List<TreeDifference.Field> fields) {
    }

    /** What differs, in the order of the file. Cost linear in both maps. */
    public static List<Change> between(EscapeMap before, EscapeMap after) {
        MapDifference difference = new MapDifference(before, after);
        difference.head();
        PartKind.ALL.forEach(difference::parts);
        return List.copyOf(difference.changes);
    }

    private void head() {
        ObjectNode was = MapJson.write(before);
        ObjectNode is = MapJson.write(after);
        for (String field : HEAD) {
            TreeDifference.between(was.get(field), is.get(field), words()).forEach(
                    change -> changes.add(new Change("map", "map", after.title(), Kind.CHANGED, List.of(
                            new TreeDifference.Field(change.field().isEmpty() ? field : field + ", " + change.field(),
                                    change.before(), change.after())))));
        }
    }

    private <T extends Part> void parts(PartKind<T> kind) {
        Map<Id, T> were = byId(kind, before);
        Map<Id, T> are = byId(kind, after);
        Set<Id> ids = new LinkedHashSet<>(were.keySet());
        ids.addAll(are.keySet());
        for (Id id : ids) {
            T was = were.get(id);
            T is = are.get(id);
            if (!Objects.equals(was, is)) {
                Kind what = was == null ? Kind.ADDED : is == null ? Kind.REMOVED : Kind.CHANGED;
                Function<T, ObjectNode> writer = PartWriters.of(kind);
                changes.add(new Change(kind.list(), id.value(), title(kind, id).orElse(id.value()), what,
                        what != Kind.CHANGED ? List.of()
                                : TreeDifference.between(writer.apply(was), writer.apply(is), words())));
            }
        }
    }

    private static <T extends Part> Map<Id, T> byId(PartKind<T> kind, EscapeMap map) {
        return map.parts(kind).stream().collect(Collectors.toMap(Part::id, part -> part, (first, other) -> first,
                LinkedHashMap::new));
    }

    private TreeDifference.Words words() {
        return new TreeDifference.Words() {
            @Override
            public String text(String text) {
                return titles.getOrDefault("/" + text, text);
            }

            @Override
            public String name(String field) {
                return titles.getOrDefault(PartKind.FACTS + "/" + field, field);
            }
        };
    }

    private Optional<String> title(PartKind<?> kind, Id id) {
        return Optional.ofNullable(titles.get(kind + "/" + id));
    }

    /** Titles by {@code list/id}, and by {@code /id} for what fields name; those of the newer map count. */
    private <T extends Part> void addTitles(PartKind<T> kind, MapIndex index) {
        for (T part : index.map().parts(kind)) {
            String title = kind.title(part, index);
            titles.putIfAbsent(kind + "/" + part.id(), title);
            titles.putIfAbsent("/" + part.id(), title);
        }
    }
}
