package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * A whole map. The value itself holds anything; whether its parts fit together is what {@link MapRules} tells.
 *
 * @param title the map's name
 * @param rules the table by which matchups shift rates; where it is empty {@link RateRule#USUAL} holds
 * @param holds what the pins and finishes on the map need
 * @param house the matchup and the thinking time that hold where nothing else is asked for
 * @param about what a reader should know before trusting its figures; may be empty
 */
public record EscapeMap(String title, String about, House house, List<Family> families, List<Fact> facts, List<Principle> principles,
        List<Movement> movements, List<Technique> techniques, List<Situation> situations, List<Outcome> outcomes,
        List<Reaction> reactions, List<Aim> aims, List<Matchup> matchups,
        List<RateRule> rules, List<Hold> holds) {

    /** Room for the note about a map. */
    public static final Text ABOUT = new Text(0, 1000);

    public EscapeMap {
        Text.TITLE.require("The map's title", title);
        ABOUT.require("The note about the map", about);
        families = List.copyOf(families);
        facts = List.copyOf(facts);
        principles = List.copyOf(principles);
        movements = List.copyOf(movements);
        techniques = List.copyOf(techniques);
        situations = List.copyOf(situations);
        outcomes = List.copyOf(outcomes);
        reactions = List.copyOf(reactions);
        aims = List.copyOf(aims);
        matchups = List.copyOf(matchups);
        rules = List.copyOf(rules);
        holds = List.copyOf(holds);
    }

    /** A map without parts. */
    public static EscapeMap empty(String title) {
        return new EscapeMap(title, "", House.USUAL, List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                List.of(), List.of(), List.of(), List.of(), List.of());
    }

    /** The same map under another title. */
    public EscapeMap titled(String other) {
        return new EscapeMap(other, about, house, families, facts, principles, movements, techniques, situations, outcomes,
                reactions, aims, matchups, rules, holds);
    }

    /** The same map with another note about it. */
    public EscapeMap about(String other) {
        return new EscapeMap(title, other, house, families, facts, principles, movements, techniques, situations, outcomes,
                reactions, aims, matchups, rules, holds);
    }

    /** The same map with {@code part} in the place of the one with its id, or at the end. */
    public EscapeMap with(Reaction part) {
        return withReactions(Parts.put(reactions, part, Reaction::id));
    }

    /** The same map with {@code part} in the place of the one with its id, or at the end. */
    public EscapeMap with(Technique part) {
        return new EscapeMap(title, about, house, families, facts, principles, movements,
                Parts.put(techniques, part, Technique::id), situations, outcomes, reactions, aims, matchups, rules, holds);
    }

    /** The same map with {@code part} in the place of the one with its id, or at the end. */
    public EscapeMap with(Situation part) {
        return new EscapeMap(title, about, house, families, facts, principles, movements, techniques,
                Parts.put(situations, part, Situation::id), outcomes, reactions, aims, matchups, rules, holds);
    }

    /** The same map with {@code part} in the place of the one with its id, or at the end. */
    public EscapeMap with(Principle part) {
        return new EscapeMap(title, about, house, families, facts, Parts.put(principles, part, Principle::id), movements,
                techniques, situations, outcomes, reactions, aims, matchups, rules, holds);
    }

    /** The same map with {@code rule} in the place of the one with its id; the table in force becomes its own. */
    public EscapeMap with(RateRule rule) {
        return new EscapeMap(title, about, house, families, facts, principles, movements, techniques, situations, outcomes,
                reactions, aims, matchups, Parts.put(rulesInForce(), rule, RateRule::id), holds);
    }

    /** The same map with {@code matchup} in the place of the one with its id, or at the end. */
    public EscapeMap with(Matchup matchup) {
        return new EscapeMap(title, about, house, families, facts, principles, movements, techniques, situations, outcomes,
                reactions, aims, Parts.put(matchups, matchup, Matchup::id), rules, holds);
    }

    /** The same map of a house that takes other things for granted. */
    public EscapeMap of(House other) {
        return new EscapeMap(title, about, other, families, facts, principles, movements, techniques, situations, outcomes,
                reactions, aims, matchups, rules, holds);
    }

    /** The pair that holds where nobody names one. */
    public Matchup houseMatchup() {
        return house.matchup().flatMap(id -> matchups.stream().filter(m -> m.id().equals(id)).findFirst())
                .or(() -> matchups.stream().findFirst()).orElse(Matchup.EVEN);
    }

    /** Principle to the stance the house has taken; one that goes by its condition is missing. */
    public Map<Id, Id> houseStances() {
        Map<Id, Id> stances = new LinkedHashMap<>();
        principles.forEach(p -> p.house().ifPresent(stance -> stances.put(p.id(), stance)));
        return stances;
    }

    /** The map's own table of rate rules, or the usual one. */
    public List<RateRule> rulesInForce() {
        return rules.isEmpty() ? RateRule.USUAL : rules;
    }

    /** The same map without that reaction; no need of a hold is denied by it any more. */
    public EscapeMap withoutReaction(Id id) {
        List<Reaction> kept = new ArrayList<>(reactions);
        kept.removeIf(r -> r.id().equals(id));
        return new EscapeMap(title, about, house, families, facts, principles, movements, techniques, situations, outcomes,
                kept, aims, matchups, rules, holds.stream().map(hold -> hold.withoutDenial(id)).toList());
    }

    /** The same map with other reactions. */
    public EscapeMap withReactions(List<Reaction> others) {
        return new EscapeMap(title, about, house, families, facts, principles, movements, techniques, situations, outcomes,
                others, aims, matchups, rules, holds);
    }

    /**
     * An id close to {@code words} that none of {@code taken} has: the words in lower case with hyphens, cut to 48
     * characters, with a number behind it where needed.
     */
    public static <T> Id freeId(String words, List<T> taken, Function<T, Id> idOf) {
        String plain = java.text.Normalizer.normalize(words, java.text.Normalizer.Form.NFD)
                .toLowerCase(java.util.Locale.ROOT)
                .replaceAll("\\p{M}", "")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String stem = plain.isEmpty() ? "part" : plain.substring(0, Math.min(48, plain.length())).replaceAll("-+$", "");
        var used = taken.stream().map(idOf).map(Id::value).collect(java.util.stream.Collectors.toSet());
        String candidate = stem;
        for (int n = 2; used.contains(candidate); n++) {
            candidate = stem + "-" + n;
        }
        return Id.of(candidate);
    }
}
