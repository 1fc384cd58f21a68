package app.narrowgate.core.map;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * A field by which parts of one kind name other parts: what it names, and the same part where it names others.
 *
 * @param field the field's name, which is also its name in the file
 * @param to what it may name
 * @param reader every id that it names in a part, with the place within the part as a JSON pointer
 * @param writer the part with every such id replaced; empty for a part that cannot be without one that is gone
 */
record Reference<T extends Part>(String field, Set<Class<? extends Part>> to, Function<T, List<Named>> reader,
        Writer<T> writer) {

    /** An id that is named, and where. */
    record Named(String at, Id id) {
    }

    /** Puts ids in the place of others; where there is none the reference goes. */
    interface Writer<T> {
        Optional<T> write(T part, Function<Id, Optional<Id>> instead);
    }

    boolean names(T part, Id id) {
        return reader.apply(part).stream().anyMatch(named -> named.id().equals(id));
    }

    /** A field with one id or none. */
    static List<Named> one(String field, Optional<Id> id) {
        return id.map(named -> List.of(new Named("/" + field, named))).orElse(List.of());
    }

    /** A field with several ids in order. */
    static List<Named> several(String field, List<Id> ids) {
        List<Named> named = new ArrayList<>();
        ids.forEach(id -> named.add(new Named("/" + field + "/" + named.size(), id)));
        return named;
    }

    /** A field that says something of each id, such as of facts whether they hold. */
    static List<Named> keys(String field, Map<Id, ?> said) {
        return said.keySet().stream().map(id -> new Named("/" + field + "/" + id, id)).toList();
    }

    /** The ids replaced, each once; what has no successor is left out. */
    static List<Id> replaced(List<Id> ids, Function<Id, Optional<Id>> instead) {
        return ids.stream().flatMap(id -> instead.apply(id).stream()).distinct().toList();
    }

    /** The ids replaced; of one that is there already what is said of it stays. */
    static <V> Map<Id, V> replaced(Map<Id, V> said, Function<Id, Optional<Id>> instead) {
        Map<Id, V> replaced = new LinkedHashMap<>();
        said.forEach((id, value) -> {
            if (instead.apply(id).equals(Optional.of(id))) {
                replaced.put(id, value);
            }
        });
        said.forEach((id, value) -> instead.apply(id).ifPresent(next -> replaced.putIfAbsent(next, value)));
        return replaced;
    }
}
