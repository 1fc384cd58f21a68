package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A whole map. The value itself holds anything; whether its parts fit together is what {@link MapRules} tells.
 *
 * @param title the map's name
 * @param about what a reader should know before trusting its figures; may be empty
 * @param house the matchup and the thinking time that hold where nothing else is asked for
 * @param parts the parts of each kind, in the map's order; a kind that is missing has none
 */
public record EscapeMap(String title, String about, House house, Map<PartKind<?>, List<?>> parts) {

    /** Room for the note about a map. */
    public static final Text ABOUT = new Text(0, 1000);

    public EscapeMap {
        Text.TITLE.require("The map's title", title);
        ABOUT.require("The note about the map", about);
        Map<PartKind<?>, List<?>> all = new LinkedHashMap<>();
        for (PartKind<?> kind : PartKind.ALL) {
            all.put(kind, kind.cast(parts.getOrDefault(kind, List.of())));
        }
        parts = Collections.unmodifiableMap(all);
    }

    /** A map without parts. */
    public static EscapeMap empty(String title) {
        return new EscapeMap(title, "", House.USUAL, Map.of());
    }

    /** The parts of a kind, in the map's order. */
    @SuppressWarnings("unchecked") // The constructor lets only the kind's own type in.
    public <T extends Part> List<T> parts(PartKind<T> kind) {
        return (List<T>) parts.get(kind);
    }

    /** Groups of situations. */
    public List<Family> families() {
        return parts(PartKind.FAMILIES);
    }

    /** What can be so or not so at a place. */
    public List<Fact> facts() {
        return parts(PartKind.FACTS);
    }

    /** What coaches disagree on. */
    public List<Principle> principles() {
        return parts(PartKind.PRINCIPLES);
    }

    /** Body skills that techniques share. */
    public List<Movement> movements() {
        return parts(PartKind.MOVEMENTS);
    }

    /** What is taught. */
    public List<Technique> techniques() {
        return parts(PartKind.TECHNIQUES);
    }

    /** Where one can be. */
    public List<Situation> situations() {
        return parts(PartKind.SITUATIONS);
    }

    /** Where an exchange ends. */
    public List<Outcome> outcomes() {
        return parts(PartKind.OUTCOMES);
    }

    /** What is done where, with what they do about it. */
    public List<Reaction> reactions() {
        return parts(PartKind.REACTIONS);
    }

    /** What the places can be worth. */
    public List<Aim> aims() {
        return parts(PartKind.AIMS);
    }

    /** Saved pairs. */
    public List<Matchup> matchups() {
        return parts(PartKind.MATCHUPS);
    }

    /** The table by which matchups shift rates; where it is empty {@link RateRule#USUAL} holds. */
    public List<RateRule> rules() {
        return parts(PartKind.RULES);
    }

    /** What the pins and finishes on the map need. */
    public List<Hold> holds() {
        return parts(PartKind.HOLDS);
    }

    /** How the bodies are at its places. */
    public List<Posture> postures() {
        return parts(PartKind.POSTURES);
    }

    /** The same map under another title. */
    public EscapeMap titled(String other) {
        return new EscapeMap(other, about, house, parts);
    }

    /** The same map with another note about it. */
    public EscapeMap about(String other) {
        return new EscapeMap(title, other, house, parts);
    }

    /** The same map of a house that takes other things for granted. */
    public EscapeMap of(House other) {
        return new EscapeMap(title, about, other, parts);
    }

    /** The same map with other parts of one kind. */
    public <T extends Part> EscapeMap with(PartKind<T> kind, List<T> others) {
        Map<PartKind<?>, List<?>> changed = new LinkedHashMap<>(parts);
        changed.put(kind, others);
        return new EscapeMap(title, about, house, changed);
    }

    /**
     * The same map with {@code part} in the place of the one of its kind with its id, or at the end. A map that lives
     * on the usual rate rules gets them as its own before one is changed.
     */
    public <T extends Part> EscapeMap with(T part) {
        PartKind<T> kind = PartKind.of(part);
        return with(kind, Entries.put(partsInForce(kind), part, Part::id));
    }

    /** The parts of a kind that hold: the map's own, or for rate rules the usual ones where it has none. */
    @SuppressWarnings("unchecked")
    public <T extends Part> List<T> partsInForce(PartKind<T> kind) {
        return kind == (PartKind<?>) PartKind.RULES ? (List<T>) rulesInForce() : parts(kind);
    }

    /**
     * The same map without any part of those kinds. What named one of them names it no more, and what cannot be without it
     * goes, too. Time linear in the map.
     */
    public EscapeMap emptiedOf(Set<PartKind<?>> kinds) {
        EscapeMap left = kinds.contains(PartKind.MATCHUPS) ? of(house.with(Optional.<Id>empty())) : this;
        for (PartKind<?> kind : kinds) {
            left = left.with(kind, List.of());
        }
        for (PartKind<?> kind : PartKind.ALL) {
            left = left.naming(kind, MapIndex.of(left));
        }
        return left;
    }

    /** The same map in which the parts of a kind name only what is there. */
    private <T extends Part> EscapeMap naming(PartKind<T> kind, MapIndex there) {
        List<T> left = new ArrayList<>();
        for (T part : parts(kind)) {
            Optional<T> kept = Optional.of(part);
            for (Reference<T> reference : kind.references()) {
                kept = kept.flatMap(one -> reference.writer().write(one, id -> PartKind.ALL.stream()
                        .anyMatch(named -> named.isNamedBy(reference) && there.part(named, id).isPresent())
                                ? Optional.of(id) : Optional.empty()));
            }
            kept.ifPresent(left::add);
        }
        return with(kind, left);
    }

    /** Everything that names a part, in the map's order. Time linear in the map. */
    public List<PartUse> uses(PartKind<?> kind, Id id) {
        List<PartUse> uses = new ArrayList<>();
        PartKind.ALL.forEach(other -> addUses(other, kind, id, uses));
        return uses;
    }

    private <T extends Part> void addUses(PartKind<T> kind, PartKind<?> named, Id id, List<PartUse> uses) {
        for (T part : parts(kind)) {
            kind.references().stream().filter(reference -> named.isNamedBy(reference) && reference.names(part, id))
                    .forEach(reference -> uses.add(new PartUse(kind, part.id(), reference.field())));
        }
    }

    /** The same map without a part. What it leaves open stays open; what cannot be without it goes with it. */
    public EscapeMap without(PartKind<?> kind, Id id) {
        return without(kind, id, Optional.empty());
    }

    /**
     * The same map without a part. Time linear in the map, for the part and for each that goes with it.
     *
     * @param instead what takes its place wherever it is named; empty to let those references go: landings stay
     *     unanswered, needs and facts are dropped, and what cannot be without it, such as the reactions of a situation,
     *     goes with it
     */
    public EscapeMap without(PartKind<?> kind, Id id, Optional<Id> instead) {
        Map<PartKind<?>, List<?>> kept = new LinkedHashMap<>();
        List<UnaryOperator<EscapeMap>> going = new ArrayList<>();
        PartKind.ALL.forEach(other -> kept.put(other, kept(other, kind, id, instead, going)));
        House left = kind == PartKind.MATCHUPS && house.matchup().equals(Optional.of(id))
                ? house.with(instead) : house;
        EscapeMap map = new EscapeMap(title, about, left, kept);
        for (UnaryOperator<EscapeMap> goes : going) {
            map = goes.apply(map);
        }
        return map;
    }

    private <T extends Part> List<T> kept(PartKind<T> kind, PartKind<?> gone, Id id, Optional<Id> instead,
            List<UnaryOperator<EscapeMap>> going) {
        List<T> kept = new ArrayList<>();
        for (T part : parts(kind)) {
            if (kind == gone && part.id().equals(id)) {
                continue;
            }
            Optional<T> changed = Optional.of(part);
            for (Reference<T> reference : kind.references()) {
                if (changed.isPresent() && gone.isNamedBy(reference) && reference.names(changed.get(), id)) {
                    changed = reference.writer().write(changed.get(),
                            named -> named.equals(id) ? instead : Optional.of(named));
                }
            }
            if (changed.isEmpty()) {
                going.add(map -> map.without(kind, part.id()));
            }
            kept.add(changed.orElse(part));
        }
        return kept;
    }

    /** The pair that holds where nobody names one. */
    public Matchup houseMatchup() {
        return house.matchup().flatMap(id -> matchups().stream().filter(m -> m.id().equals(id)).findFirst())
                .or(() -> matchups().stream().findFirst()).orElse(Matchup.EVEN);
    }

    /** Principle to the stance the house has taken; one that goes by its condition is missing. */
    public Map<Id, Id> houseStances() {
        Map<Id, Id> stances = new LinkedHashMap<>();
        principles().forEach(p -> p.house().ifPresent(stance -> stances.put(p.id(), stance)));
        return stances;
    }

    /** The map's own table of rate rules, or the usual one. */
    public List<RateRule> rulesInForce() {
        return rules().isEmpty() ? RateRule.USUAL : rules();
    }
}
