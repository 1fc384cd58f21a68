package app.narrowgate.core.held;

import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Segment;
import java.util.Collections;
import java.util.EnumMap;
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
