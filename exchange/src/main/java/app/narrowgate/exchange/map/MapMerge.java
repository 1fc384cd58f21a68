package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapRules;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Reads a map file into a map that is there already. */
public final class MapMerge {

    private MapMerge() {
    }

    /**
     * {@code map} with the parts of {@code file}: those of the same id are changed, others are added; the title and
     * what the file does not hold stay. Cost linear in both.
     *
     * @throws ProblemsException when the parts do not fit together
     */
    public static EscapeMap into(EscapeMap map, EscapeMap file) {
        EscapeMap merged = map;
        for (PartKind<?> kind : PartKind.ALL) {
            merged = into(merged, kind, file);
        }
        List<Problem> problems = MapRules.problems(merged);
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems);
        }
        return merged;
    }

    private static <T extends Part> EscapeMap into(EscapeMap map, PartKind<T> kind, EscapeMap file) {
        Map<Id, T> byId = new LinkedHashMap<>();
        map.parts(kind).forEach(part -> byId.put(part.id(), part));
        file.parts(kind).forEach(part -> byId.put(part.id(), part));
        return map.with(kind, List.copyOf(byId.values()));
    }
}
