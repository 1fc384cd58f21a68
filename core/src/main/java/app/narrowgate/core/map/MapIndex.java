package app.narrowgate.core.map;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;

/** A map's parts by id, in the map's order. Built once in time linear in the map, then read only. */
public final class MapIndex {

    private final EscapeMap map;
    private final Map<PartKind<?>, Map<Id, Part>> byKind = new LinkedHashMap<>();
    private final Map<Id, List<Reaction>> reactionsFrom = new LinkedHashMap<>();

    private MapIndex(EscapeMap map) {
        this.map = map;
        for (PartKind<?> kind : PartKind.ALL) {
            Map<Id, Part> byId = new LinkedHashMap<>();
            map.parts(kind).forEach(part -> byId.putIfAbsent(part.id(), part));
            byKind.put(kind, byId);
        }
        map.reactions().forEach(r -> reactionsFrom.computeIfAbsent(r.from(), id -> new ArrayList<>()).add(r));
    }

    /** The index of {@code map}. */
    public static MapIndex of(EscapeMap map) {
        return new MapIndex(map);
    }

    /** The map itself. */
    public EscapeMap map() {
        return map;
    }

    /** The part of that kind and id, if there is one; of two with one id the first. */
    @SuppressWarnings("unchecked") // Filled from the map, kind by kind.
    public <T extends Part> Optional<T> part(PartKind<T> kind, Id id) {
        return Optional.ofNullable((T) byKind.get(kind).get(id));
    }

    /** What a part goes by; its id where there is none. */
    public <T extends Part> String title(PartKind<T> kind, Id id) {
        return part(kind, id).map(part -> kind.title(part, this)).orElse(id.value());
    }

    /** The situation of that id, if there is one. */
    public Optional<Situation> situation(Id id) {
        return part(PartKind.SITUATIONS, id);
    }

    /** The outcome of that id, if there is one. */
    public Optional<Outcome> outcome(Id id) {
        return part(PartKind.OUTCOMES, id);
    }

    /** The reaction of that id, if there is one. */
    public Optional<Reaction> reaction(Id id) {
        return part(PartKind.REACTIONS, id);
    }

    /** The technique of that id, if there is one. */
    public Optional<Technique> technique(Id id) {
        return part(PartKind.TECHNIQUES, id);
    }

    /** The fact of that id, if there is one. */
    public Optional<Fact> fact(Id id) {
        return part(PartKind.FACTS, id);
    }

    /** The aim of that id, if there is one. */
    public Optional<Aim> aim(Id id) {
        return part(PartKind.AIMS, id);
    }

    /** The principle of that id, if there is one. */
    public Optional<Principle> principle(Id id) {
        return part(PartKind.PRINCIPLES, id);
    }

    /** The saved matchup of that id, if there is one. */
    public Optional<Matchup> matchup(Id id) {
        return part(PartKind.MATCHUPS, id);
    }

    /** True when {@code id} names a situation or an outcome, so that something can lead there. */
    public boolean isPlace(Id id) {
        return situation(id).isPresent() || outcome(id).isPresent();
    }

    /**
     * The title of a situation or outcome.
     *
     * @throws NoSuchElementException when {@code id} is neither
     */
    public String placeTitle(Id id) {
        return situation(id).map(Situation::title)
                .or(() -> outcome(id).map(Outcome::title))
                .orElseThrow(() -> new NoSuchElementException("Nothing on the map is called “%s”.".formatted(id)));
    }

    /** The name a reaction goes by: its technique's title. */
    public String reactionTitle(Reaction reaction) {
        return technique(reaction.technique()).map(Technique::title).orElse(reaction.technique().value());
    }

    /** The reactions taught in a situation, in the map's order. */
    public List<Reaction> reactionsFrom(Id situation) {
        return reactionsFrom.getOrDefault(situation, List.of());
    }
}
