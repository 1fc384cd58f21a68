package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.MapRules;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Single parts of a map in the open format, read by the same strict rules as a whole map. Cost linear in the map. */
public final class PartJson {

    private PartJson() {
    }

    /**
     * A part on its way into a map.
     *
     * @param part an entry of the kind's list; its id is set to {@code id}
     */
    public record Put(PartKind<?> kind, Id id, ObjectNode part) {

        /** The part with its id, which comes first as everywhere. */
        ObjectNode named() {
            ObjectNode named = JsonNodeFactory.instance.objectNode().put("id", id.value());
            part.properties().stream().filter(field -> !field.getKey().equals("id"))
                    .forEach(field -> named.set(field.getKey(), field.getValue()));
            return named;
        }
    }

    /** A part as it stands in the file. */
    public static <T extends Part> ObjectNode write(PartKind<T> kind, T part) {
        return PartFormat.of(kind).writer().apply(part);
    }

    /** The part as it stands in the file. */
    public static <T extends Part> Optional<ObjectNode> get(EscapeMap map, PartKind<T> kind, Id id) {
        return map.partsInForce(kind).stream().filter(part -> part.id().equals(id)).findFirst()
                .map(PartFormat.of(kind).writer());
    }

    /**
     * The map with parts put into it at once, so that they may refer to each other: each in the place of the one of its
     * kind with its id, or at the end of the list.
     *
     * @throws ProblemsException with every problem, placed within the last part where it lies there
     *     ({@code /clock/seconds}) and within the map ({@code map/reactions/3/from}) where another part no longer fits
     */
    public static EscapeMap putAll(EscapeMap map, List<Put> puts) {
        try {
            return MapReader.put(map, puts);
        } catch (ProblemsException e) {
            String last = placeOfLast(map, puts);
            throw new ProblemsException(e.problems().stream()
                    .map(p -> new Problem(within(p.place(), last).orElse("map" + p.place()), p.message())).toList());
        }
    }

    /** Where the last of the parts stands once all are put. */
    private static String placeOfLast(EscapeMap map, List<Put> puts) {
        Put last = puts.get(puts.size() - 1);
        Set<Id> ids = map.partsInForce(last.kind()).stream().map(Part::id).collect(Collectors.toCollection(LinkedHashSet::new));
        puts.stream().filter(put -> put.kind() == last.kind()).forEach(put -> ids.add(put.id()));
        return "/%s/%d".formatted(last.kind(), List.copyOf(ids).indexOf(last.id()));
    }

    /** The place as it is told from {@code prefix} on; the tenth entry does not lie within the first. */
    private static Optional<String> within(String place, String prefix) {
        return place.equals(prefix) || place.startsWith(prefix + "/")
                ? Optional.of(place.substring(prefix.length())) : Optional.empty();
    }

    /**
     * The map without a part.
     *
     * @param instead what takes its place wherever it is referred to; empty to let those references go, as
     *     {@link EscapeMap#without(PartKind, Id, Optional)} says
     * @throws RefusedException when there is no such part
     * @throws ProblemsException when what is left does not fit together
     */
    public static EscapeMap remove(EscapeMap map, PartKind<?> kind, Id id, Optional<Id> instead) {
        if (MapIndex.of(map).part(kind, id).isEmpty()) {
            throw new RefusedException("Nothing in %s is called “%s”.".formatted(kind, id));
        }
        EscapeMap left = map.without(kind, id, instead);
        List<Problem> problems = MapRules.problems(left);
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems);
        }
        return left;
    }
}
