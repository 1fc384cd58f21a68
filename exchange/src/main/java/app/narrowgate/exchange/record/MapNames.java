package app.narrowgate.exchange.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.Reaction;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Parts of a map by what people write: their ids, or their titles. */
final class MapNames {

    private final Map<String, Id> places = new HashMap<>();
    private final Map<String, Id> techniques = new HashMap<>();
    private final Map<String, List<Id>> reactions;
    private final MapIndex index;

    MapNames(MapIndex index) {
        this.index = index;
        index.map().outcomes().forEach(one -> name(places, one, one.title()));
        index.map().situations().forEach(one -> name(places, one, one.title()));
        index.map().techniques().forEach(one -> name(techniques, one, one.title()));
        reactions = index.map().reactions().stream().collect(Collectors.groupingBy(one -> key(index.reactionTitle(one)),
                Collectors.mapping(Reaction::id, Collectors.toList())));
    }

    private static void name(Map<String, Id> names, Part part, String title) {
        names.putIfAbsent(key(title), part.id());
        names.put(part.id().value(), part.id());
    }

    private static String key(String said) {
        return said.toLowerCase(Locale.ROOT);
    }

    MapIndex index() {
        return index;
    }

    Id place(Field field, String said) {
        return Optional.ofNullable(places.get(key(said)))
                .orElseThrow(() -> new FieldFault(field, "The map has no place “%s”; write its id or its title.".formatted(said)));
    }

    Id technique(Field field, String said) {
        return Optional.ofNullable(techniques.get(key(said)))
                .orElseThrow(() -> new FieldFault(field, "The map has no technique “%s”; write its id or its title.".formatted(said)));
    }

    /** An answer by its id, or by its technique's title where only one answer has it, from that place or at all. */
    Id reaction(Field field, String said, Optional<Id> from) {
        Optional<Id> byId = Id.problem(said).isPresent() ? Optional.empty() : index.reaction(Id.of(said)).map(Reaction::id);
        if (byId.isPresent()) {
            return byId.get();
        }
        List<Id> all = reactions.getOrDefault(key(said), List.of());
        List<Id> here = all.stream().filter(id -> index.reaction(id).map(Reaction::from).equals(from)).toList();
        List<Id> meant = here.isEmpty() ? all : here;
        if (meant.size() > 1) {
            throw new FieldFault(field, "“%s” is taught in several places; write which answer: %s."
                    .formatted(said, meant.stream().limit(5).map(Id::value).collect(Collectors.joining(", "))));
        }
        return meant.stream().findFirst()
                .orElseThrow(() -> new FieldFault(field, "The map has no answer “%s”; write its id, or its title.".formatted(said)));
    }
}
