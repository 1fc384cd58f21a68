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

    /** A field from facts to whether they hold. */
    static List<Named> facts(String field, Map<Id, Boolean> facts) {
        return facts.keySet().stream().map(fact -> new Named("/" + field + "/" + fact, fact)).toList();
    }

    /** The ids replaced, each once; what has no successor is left out. */
    static List<Id> replaced(List<Id> ids, Function<Id, Optional<Id>> instead) {
        return ids.stream().flatMap(id -> instead.apply(id).stream()).distinct().toList();
    }

    /** The facts replaced; a fact that is there already keeps what it says. */
    static Map<Id, Boolean> replaced(Map<Id, Boolean> facts, Function<Id, Optional<Id>> instead) {
        Map<Id, Boolean> replaced = new LinkedHashMap<>();
        facts.forEach((fact, holds) -> {
            if (instead.apply(fact).equals(Optional.of(fact))) {
                replaced.put(fact, holds);
            }
        });
        facts.forEach((fact, holds) -> instead.apply(fact).ifPresent(next -> replaced.putIfAbsent(next, holds)));
        return replaced;
    }
}
