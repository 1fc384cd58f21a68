package app.narrowgate.core.map;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What of a map tells of one of its places, for somebody who is not to have the rest: the place, what is done there with what
 * comes of it, and by name alone the places where that leads. It is no map to reckon with.
 */
public final class Excerpt {

    private Excerpt() {
    }

    /**
     * The excerpt about a situation. Cost: linear in the map.
     *
     * @throws java.util.NoSuchElementException when the map has no such situation
     */
    public static EscapeMap of(MapIndex index, Id situation) {
        EscapeMap map = index.map();
        Situation told = index.situation(situation).orElseThrow();
        List<Reaction> reactions = index.reactionsFrom(situation);
        Set<Id> places = new LinkedHashSet<>(List.of(situation));
        told.clock().ifPresent(clock -> places.add(clock.becomes()));
        Set<Id> techniques = new LinkedHashSet<>();
        Set<Id> facts = new LinkedHashSet<>(told.facts().keySet());
        for (Reaction reaction : reactions) {
            techniques.add(reaction.technique());
            facts.addAll(reaction.needs().keySet());
            places.add(reaction.whenStuffed());
            reaction.responses().forEach(response -> response.leads().ifPresent(places::add));
        }
        List<Situation> situations = map.situations().stream().filter(one -> places.contains(one.id()))
                .map(one -> one.id().equals(situation) ? alone(one) : inName(one)).toList();
        return new EscapeMap(map.title(), "", new House(Optional.empty(), map.house().thinking(), List.of()), Map.of(
                PartKind.FAMILIES, map.families().stream()
                        .filter(family -> situations.stream().anyMatch(one -> one.family().equals(family.id()))).toList(),
                PartKind.FACTS, map.facts().stream().filter(fact -> facts.contains(fact.id())).toList(),
                PartKind.TECHNIQUES, map.techniques().stream().filter(technique -> techniques.contains(technique.id())).toList(),
                PartKind.SITUATIONS, situations,
                PartKind.OUTCOMES, map.outcomes().stream().filter(outcome -> places.contains(outcome.id()))
                        .map(outcome -> outcome.withThen(Optional.empty())).toList(),
                PartKind.REACTIONS, reactions,
                // By name: what an aim is worth elsewhere tells of elsewhere.
                PartKind.AIMS, map.aims().stream().map(aim -> aim.withPlaces(Map.of())).toList(),
                // Why something is closed is told; how the house shifts its figures is not.
                PartKind.RULES, map.rules().stream().filter(rule -> rule.effect() == RateRule.Effect.CLOSES).toList()));
    }

    /** A situation without what leads from it to what is not told. */
    private static Situation alone(Situation one) {
        return new Situation(one.id(), one.title(), one.family(), one.stage(), one.bearing(), one.held(), one.facts(), one.clock(),
                one.entry(), one.rest(), List.of(), one.notes(), one.posture());
    }

    private static Situation inName(Situation one) {
        return new Situation(one.id(), one.title(), one.family(), one.stage(), one.bearing(), Map.of(), Map.of(), Optional.empty(), 0,
                one.rest(), List.of(), PlaceNotes.NONE, Optional.empty());
    }
}
