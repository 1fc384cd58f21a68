package app.narrowgate.core.held;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Segment;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What somebody who is stuck can tell.
 *
 * @param bearing where the top player is; empty while it was not said
 * @param segments segment to whether it is held; one that is missing was not said
 * @param facts fact to whether it is so; one that is missing was not said
 */
public record Marks(Optional<Bearing> bearing, Map<Segment, Boolean> segments, Map<Id, Boolean> facts) {

    /** Nothing said yet. */
    public static final Marks NONE = new Marks(Optional.empty(), Map.of(), Map.of());

    public Marks {
        EnumMap<Segment, Boolean> ordered = new EnumMap<>(Segment.class);
        ordered.putAll(segments);
        segments = Collections.unmodifiableMap(ordered);
        facts = Collections.unmodifiableMap(new TreeMap<>(facts));
    }

    /**
     * What was told in the words of an address; whatever is told twice counts as told last.
     *
     * @param where the code of a bearing; empty while it was not said
     * @param held codes of segments that are held
     * @param free codes of segments that are free
     * @param so facts that are so
     * @param notSo facts that are not so
     * @throws app.narrowgate.core.check.RefusedException where there is no such bearing or segment, or an id is none
     */
    public static Marks read(Optional<String> where, List<String> held, List<String> free, List<String> so, List<String> notSo) {
        Map<Segment, Boolean> segments = new EnumMap<>(Segment.class);
        held.forEach(code -> segments.put(segment(code), true));
        free.forEach(code -> segments.put(segment(code), false));
        Map<Id, Boolean> facts = new TreeMap<>();
        so.forEach(id -> facts.put(Id.of(id), true));
        notSo.forEach(id -> facts.put(Id.of(id), false));
        return new Marks(where.map(code -> Coded.require(Bearing.class, "Where they are", code)), segments, facts);
    }

    private static Segment segment(String code) {
        return Coded.require(Segment.class, "A segment", code);
    }

    Marks with(Segment segment, boolean held) {
        Map<Segment, Boolean> more = new EnumMap<>(Segment.class);
        more.putAll(segments);
        more.put(segment, held);
        return new Marks(bearing, more, facts);
    }

    Marks with(Id fact, boolean so) {
        Map<Id, Boolean> more = new TreeMap<>(facts);
        more.put(fact, so);
        return new Marks(bearing, segments, more);
    }
}
