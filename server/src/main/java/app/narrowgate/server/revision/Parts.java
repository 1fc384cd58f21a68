package app.narrowgate.server.revision;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The parts as they are stored at one revision, by their keys.
 *
 * @param rows in the order of the lists
 */
public record Parts(Map<PartKey, PartState> rows) {

    /** Nothing. */
    public static final Parts NONE = new Parts(Map.of());

    /**
     * What changes from one revision to the next.
     *
     * @param begun the states that begin
     * @param ended the parts whose state ends
     */
    public record Step(List<PartState> begun, List<PartKey> ended) {

        /** True where nothing changes. */
        public boolean isEmpty() {
            return begun.isEmpty() && ended.isEmpty();
        }
    }

    /** The rows by their keys. */
    public static Parts of(List<PartState> rows) {
        Map<PartKey, PartState> parts = new LinkedHashMap<>();
        rows.forEach(part -> parts.put(part.key(), part));
        return new Parts(parts);
    }

    /** The state of a part; null where it is not there. */
    public PartState get(PartKey key) {
        return rows.get(key);
    }

    /**
     * The step to {@code after}. A part that is there already keeps its position, a new one comes last, so that taking
     * a part out never touches its neighbours.
     */
    public Step to(Parts after) {
        Map<String, Integer> last = new HashMap<>();
        rows.values().forEach(row -> last.merge(row.list(), row.position(), Math::max));
        List<PartState> begun = new ArrayList<>();
        after.rows.forEach((key, row) -> {
            PartState old = rows.get(key);
            if (!same(old, row)) {
                int position = old != null ? old.position() : last.merge(row.list(), 0, (most, zero) -> most + 1);
                begun.add(row.at(position));
            }
        });
        return new Step(begun, ended(after));
    }

    /** The step back to {@code then}, in which every part had its own position. */
    Step back(Parts then, int revision) {
        List<PartState> begun = then.rows.values().stream().filter(part -> !same(rows.get(part.key()), part))
                .map(part -> part.since(revision)).toList();
        return new Step(begun, ended(then));
    }

    private List<PartKey> ended(Parts after) {
        return rows.keySet().stream().filter(key -> !same(rows.get(key), after.rows.get(key))).toList();
    }

    /** The parts after a step. */
    public Parts after(Step step) {
        Map<PartKey, PartState> after = new LinkedHashMap<>(rows);
        Set<PartKey> changed = new HashSet<>();
        step.begun.forEach(part -> {
            after.put(part.key(), part);
            changed.add(part.key());
        });
        step.ended.stream().filter(key -> !changed.contains(key)).forEach(after::remove);
        return new Parts(after);
    }

    /** In the order of the lists, as the database would hand them out. */
    public List<PartState> ordered() {
        return rows.values().stream().sorted(Comparator.comparing(PartState::list).thenComparingInt(PartState::position)
                .thenComparing(PartState::partId)).toList();
    }

    /** True for two states of a part that is there and says the same. */
    public static boolean same(PartState one, PartState other) {
        return one != null && other != null && one.body().equals(other.body());
    }
}
