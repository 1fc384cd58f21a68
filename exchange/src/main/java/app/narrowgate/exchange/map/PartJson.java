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
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.parts.MapReading;
import app.narrowgate.exchange.parts.PartPut;
import app.narrowgate.exchange.posture.PostureReader;
import java.util.List;
import java.util.Optional;
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

        /** The same to be read, with its id, which comes first as everywhere. */
        private PartPut toRead() {
            ObjectNode named = JsonNodeFactory.instance.objectNode().put("id", id.value());
            part.properties().stream().filter(field -> !field.getKey().equals("id"))
                    .forEach(field -> named.set(field.getKey(), field.getValue()));
            return new PartPut(kind, id, new JacksonValue(named));
        }
    }

    /** A part as it stands in the file. */
    public static <T extends Part> ObjectNode write(PartKind<T> kind, T part) {
        return PartWriters.of(kind).apply(part);
    }

    /** The part as it stands in the file. */
    public static <T extends Part> Optional<ObjectNode> get(EscapeMap map, PartKind<T> kind, Id id) {
        return map.partsInForce(kind).stream().filter(part -> part.id().equals(id)).findFirst()
                .map(PartWriters.of(kind));
    }

    /**
     * The map with parts put into it at once, as {@link MapReading#putAll} does.
     *
     * @throws ProblemsException with every problem, placed as it says there
     */
    public static EscapeMap putAll(EscapeMap map, List<Put> puts) {
        return MapReading.putAll(map, puts.stream().map(Put::toRead).toList(), PostureReader::read);
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
