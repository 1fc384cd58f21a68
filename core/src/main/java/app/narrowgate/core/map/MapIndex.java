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
    private final Map<Id, Situation> situations;
    private final Map<Id, Outcome> outcomes;
    private final Map<Id, Reaction> reactions;
    private final Map<Id, Technique> techniques;
    private final Map<Id, Fact> facts;
    private final Map<Id, Aim> aims;
    private final Map<Id, Matchup> matchups;
    private final Map<Id, List<Reaction>> reactionsFrom = new LinkedHashMap<>();

    private MapIndex(EscapeMap map) {
        this.map = map;
        situations = Parts.byId(map.situations(), Situation::id);
        outcomes = Parts.byId(map.outcomes(), Outcome::id);
        reactions = Parts.byId(map.reactions(), Reaction::id);
        techniques = Parts.byId(map.techniques(), Technique::id);
        facts = Parts.byId(map.facts(), Fact::id);
        aims = Parts.byId(map.aims(), Aim::id);
        matchups = Parts.byId(map.matchups(), Matchup::id);
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

    /** The situation of that id, if there is one. */
    public Optional<Situation> situation(Id id) {
        return Optional.ofNullable(situations.get(id));
    }

    /** The outcome of that id, if there is one. */
    public Optional<Outcome> outcome(Id id) {
        return Optional.ofNullable(outcomes.get(id));
    }

    /** The reaction of that id, if there is one. */
    public Optional<Reaction> reaction(Id id) {
        return Optional.ofNullable(reactions.get(id));
    }

    /** The technique of that id, if there is one. */
    public Optional<Technique> technique(Id id) {
        return Optional.ofNullable(techniques.get(id));
    }

    /** The fact of that id, if there is one. */
    public Optional<Fact> fact(Id id) {
        return Optional.ofNullable(facts.get(id));
    }

    /** The aim of that id, if there is one. */
    public Optional<Aim> aim(Id id) {
        return Optional.ofNullable(aims.get(id));
    }

    /** The saved matchup of that id, if there is one. */
    public Optional<Matchup> matchup(Id id) {
        return Optional.ofNullable(matchups.get(id));
    }

    /** True when {@code id} names a situation or an outcome, so that something can lead there. */
    public boolean isPlace(Id id) {
        return situations.containsKey(id) || outcomes.containsKey(id);
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
