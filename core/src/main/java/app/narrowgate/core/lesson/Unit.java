package app.narrowgate.core.lesson;

import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.LookAlike;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something to practise in a part of the class.
 *
 * @param key under which it is fixed or left out; the same on every map that has it
 * @param shares reaction to the share in [0,1] of the unit's minutes that it is practised
 * @param drill how it is practised; its minutes are set by the plan
 * @param apart two places that the unit keeps apart
 * @param needs the reaction without which nobody comes to where this one starts; only with {@link Section#NEW}
 * @param ways in which the same can be practised, its own among them; empty where there is only one
 */
public record Unit(String key, Section section, Optional<Id> place, List<LinkRef> links, Map<Id, Double> shares, Optional<Drill> drill,
        Optional<LookAlike> apart, Optional<Id> needs, List<Way> ways) {

    /** A kind of drill, and the key under which the unit is practised so. */
    public record Way(DrillKind kind, String key) {
    }

    public Unit {
        links = List.copyOf(links);
        ways = List.copyOf(ways);
        shares = Collections.unmodifiableMap(new LinkedHashMap<>(shares));
    }

    /** True where a place is shown as a gate for moving up. */
    public boolean isGate() {
        return place.filter(id -> key.equals(gate(id))).isPresent();
    }

    /** The key under which a place is shown as a gate for moving up. */
    public static String gate(Id place) {
        return Section.LIVE.code() + ":" + place + "~" + DrillKind.GATE.code();
    }

    /** The key under which an answer is recalled. */
    public static String recall(Id reaction) {
        return recall() + reaction;
    }

    /** What the keys of all that is recalled begin with. */
    public static String recall() {
        return Section.RECALL.code() + ":";
    }

    /** The warm-up or the talk. */
    static Unit frame(Section section) {
        return new Unit(section.code(), section, Optional.empty(), List.of(), Map.of(), Optional.empty(), Optional.empty(), Optional.empty(), List.of());
    }

    /** A drill whose links are practised equally long. */
    static Unit of(Section section, String what, Drill drill, Optional<LookAlike> apart, Optional<Id> needs) {
        List<LinkRef> links = drill.allLinks();
        Map<Id, Double> shares = new LinkedHashMap<>();
        links.forEach(link -> shares.merge(link.reaction(), 1.0 / links.size(), Double::sum));
        return new Unit(section.code() + ":" + what, section, drill.place(), links, shares, Optional.of(drill), apart, needs, List.of());
    }

    /** True for a live part that is dialled. */
    public boolean isDialled() {
        return drill.filter(one -> one.kind() == DrillKind.DIAL).isPresent();
    }

    /** Minutes of {@code given} in which it is practised, after it was shown. */
    double practised(int given) {
        return Math.max(0, given - section.setUp());
    }
}
