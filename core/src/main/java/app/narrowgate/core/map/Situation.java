package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A position seen from the bottom player, with what is held and how late it is.
 *
 * @param stage how late it is; empty only for a resting place
 * @param bearing where the top player is; empty while nobody has said
 * @param held segment to what holds it; a segment that is missing is free
 * @param facts fact to whether it holds here; a fact that is missing depends on the moment
 * @param clock what happens if nothing is done; empty where the top player gains nothing by waiting
 * @param entry how often students start here, relative to the other situations; 0 for never
 * @param rest the kind of resting place this is; empty for a place nobody stays in
 * @param feeds situations that the top player can begin from a resting place, such as running round the legs
 * @param notes what a coach says of it beside its answers
 * @param posture how the two bodies are; empty for its family's
 */
public record Situation(Id id, String title, Id family, Optional<Stage> stage, Optional<Bearing> bearing,
        Map<Segment, String> held, Map<Id, Boolean> facts, Optional<Clock> clock, double entry, Optional<PlaceKind> rest,
        List<Id> feeds, PlaceNotes notes, Optional<Id> posture) implements Part {

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
        feeds = List.copyOf(feeds);
        if (rest.isPresent() && rest.get() == PlaceKind.TAP) {
            throw new RefusedException("A tap ends the round; nobody rests there. Make it an outcome.");
        }
    }

    /** A situation of which no more than that is said. */
    public static Situation of(Id id, String title, Id family, Stage stage, Map<Segment, String> held,
            Map<Id, Boolean> facts, Optional<Clock> clock, double entry, Optional<PlaceKind> rest) {
        return new Situation(id, title, family, Optional.of(stage), Optional.empty(), held, facts, clock, entry, rest,
                List.of(), PlaceNotes.NONE, Optional.empty());
    }

    /** The same situation in another family. */
    Situation withFamily(Id other) {
        return new Situation(id, title, other, stage, bearing, held, facts, clock, entry, rest, feeds, notes, posture);
    }

    /** The same situation with other facts. */
    Situation withFacts(Map<Id, Boolean> others) {
        return new Situation(id, title, family, stage, bearing, held, others, clock, entry, rest, feeds, notes, posture);
    }

    /** The same situation with another clock, or none. */
    Situation withClock(Optional<Clock> other) {
        return new Situation(id, title, family, stage, bearing, held, facts, other, entry, rest, feeds, notes, posture);
    }

    /** The same situation with another entry weight. */
    public Situation withEntry(double weight) {
        return new Situation(id, title, family, stage, bearing, held, facts, clock, weight, rest, feeds, notes, posture);
    }

    /** The same situation from which others can be begun. */
    public Situation withFeeds(List<Id> others) {
        return new Situation(id, title, family, stage, bearing, held, facts, clock, entry, rest, others, notes, posture);
    }

    /** The same situation with other notes. */
    public Situation withNotes(PlaceNotes others) {
        return new Situation(id, title, family, stage, bearing, held, facts, clock, entry, rest, feeds, others, posture);
    }

    /** The same situation drawn otherwise, or as its family is. */
    public Situation withPosture(Optional<Id> other) {
        return new Situation(id, title, family, stage, bearing, held, facts, clock, entry, rest, feeds, notes, other);
    }

    /** True when it is as late as that. */
    public boolean isAt(Stage lateness) {
        return stage.equals(Optional.of(lateness));
    }

    /** True when {@code needs} names a fact that is known to be otherwise here. */
    public boolean contradicts(Map<Id, Boolean> needs) {
        return needs.entrySet().stream()
                .anyMatch(need -> facts.containsKey(need.getKey()) && !facts.get(need.getKey()).equals(need.getValue()));
    }
}
