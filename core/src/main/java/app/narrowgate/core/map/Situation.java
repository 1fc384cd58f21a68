package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A position seen from the bottom player, with what is held and how late it is.
 *
 * @param held segment to what holds it; a segment that is missing is free
 * @param facts fact to whether it holds here; a fact that is missing depends on the moment
 * @param clock what happens if nothing is done; empty where the top player gains nothing by waiting
 * @param entry how often students start here, relative to the other situations; 0 for never
 * @param rest the kind of resting place this is; empty for a place nobody stays in
 */
public record Situation(Id id, String title, Id family, Stage stage, Map<Segment, String> held,
        Map<Id, Boolean> facts, Optional<Clock> clock, double entry, Optional<PlaceKind> rest) implements Part {

    /** Entry weights. */
    public static final Range ENTRY = new Range(0, 1000, "");

    public Situation {
        Text.TITLE.require("A situation's title", title);
        ENTRY.require("The entry weight", entry);
        EnumMap<Segment, String> ordered = new EnumMap<>(Segment.class);
        ordered.putAll(held);
        ordered.values().forEach(by -> Text.TITLE.require("What holds a segment", by));
        held = Collections.unmodifiableMap(ordered);
        facts = Collections.unmodifiableMap(new LinkedHashMap<>(facts));
        if (rest.isPresent() && rest.get() == PlaceKind.TAP) {
            throw new RefusedException("A tap ends the round; nobody rests there. Make it an outcome.");
        }
    }

    /** The same situation in another family. */
    Situation withFamily(Id other) {
        return new Situation(id, title, other, stage, held, facts, clock, entry, rest);
    }

    /** The same situation with other facts. */
    Situation withFacts(Map<Id, Boolean> others) {
        return new Situation(id, title, family, stage, held, others, clock, entry, rest);
    }

    /** The same situation with another clock, or none. */
    Situation withClock(Optional<Clock> other) {
        return new Situation(id, title, family, stage, held, facts, other, entry, rest);
    }

    /** The same situation with another entry weight. */
    public Situation withEntry(double weight) {
        return new Situation(id, title, family, stage, held, facts, clock, weight, rest);
    }

    /** True when {@code needs} names a fact that is known to be otherwise here. */
    public boolean contradicts(Map<Id, Boolean> needs) {
        return needs.entrySet().stream()
                .anyMatch(need -> facts.containsKey(need.getKey()) && !facts.get(need.getKey()).equals(need.getValue()));
    }
}
