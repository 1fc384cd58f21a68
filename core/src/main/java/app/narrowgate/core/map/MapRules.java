package app.narrowgate.core.map;

import app.narrowgate.core.check.Problem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Whether the parts of a map fit together: ids are unique, every id that is named exists, every place leads somewhere
 * that is there. Places in the problems are JSON pointers over the model's names, which are also the names in the file.
 */
public final class MapRules {

    private static final String STANDS_TWICE = "“%s” stands twice; %s has the same id.";

    private final EscapeMap map;
    private final MapIndex index;
    private final Set<Id> families;
    private final Set<Id> movements;
    private final Map<Id, Principle> principles;
    private final List<Problem> problems = new ArrayList<>();

    private MapRules(EscapeMap map) {
        this.map = map;
        this.index = MapIndex.of(map);
        this.families = Parts.byId(map.families(), Family::id).keySet();
        this.movements = Parts.byId(map.movements(), Movement::id).keySet();
        this.principles = Parts.byId(map.principles(), Principle::id);
    }

    /** Every problem of {@code map}, in its order; empty when the parts fit. Time linear in the map. */
    public static List<Problem> problems(EscapeMap map) {
        MapRules rules = new MapRules(map);
        rules.check();
        return List.copyOf(rules.problems);
    }

    private void check() {
        unique("families", map.families(), Family::id);
        unique("facts", map.facts(), Fact::id);
        unique("principles", map.principles(), Principle::id);
        unique("movements", map.movements(), Movement::id);
        unique("techniques", map.techniques(), Technique::id);
        unique("situations", map.situations(), Situation::id);
        unique("outcomes", map.outcomes(), Outcome::id);
        unique("reactions", map.reactions(), Reaction::id);
        unique("aims", map.aims(), Aim::id);
        unique("matchups", map.matchups(), Matchup::id);
        unique("rules", map.rules(), RateRule::id);
        unique("holds", map.holds(), Hold::id);
        placesDiffer();
        each("principles", map.principles(), this::principle);
        each("techniques", map.techniques(), this::technique);
        each("situations", map.situations(), this::situation);
        each("reactions", map.reactions(), this::reaction);
        each("matchups", map.matchups(), (matchup, at) -> matchup.facts().keySet().forEach(
                fact -> named(at + "/facts/" + fact, fact, id -> index.fact(id).isPresent(), "fact")));
        each("holds", map.holds(), this::hold);
        map.house().matchup().ifPresent(
                matchup -> named("/house/matchup", matchup, id -> index.matchup(id).isPresent(), "matchup"));
        if (map.aims().isEmpty()) {
            problems.add(new Problem("/aims", "There is no aim; add at least one, or no odds can be computed."));
        }
    }

    private void placesDiffer() {
        each("outcomes", map.outcomes(), (outcome, at) -> {
            if (index.situation(outcome.id()).isPresent()) {
                problems.add(new Problem(at + "/id",
                        "“%s” is also a situation; places need ids of their own.".formatted(outcome.id())));
            }
        });
    }

    private void principle(Principle principle, String at) {
        unique(at.substring(1) + "/stances", principle.stances(), Principle.Stance::id);
        principle.house().ifPresent(house -> named(at + "/house", house,
                id -> principle.stances().stream().anyMatch(s -> s.id().equals(id)), "stance of this principle"));
    }

    private void hold(Hold hold, String at) {
        for (int i = 0; i < hold.at().size(); i++) {
            named(at + "/at/" + i, hold.at().get(i), id -> index.situation(id).isPresent(), "situation");
        }
        if (hold.requirement().ways() > Requirement.MOST_WAYS) {
            problems.add(new Problem(at + "/needs", "This could be denied in more than %d ways; nest fewer “any of”."
                    .formatted(Requirement.MOST_WAYS)));
        }
        requirement(hold.requirement(), at + "/needs", new HashMap<>());
    }

    private void requirement(Requirement requirement, String at, Map<Id, String> seen) {
        if (requirement instanceof Requirement.Need need) {
            String earlier = seen.putIfAbsent(need.id(), at);
            if (earlier != null) {
                problems.add(new Problem(at + "/id", STANDS_TWICE.formatted(need.id(), earlier)));
            }
            need.denied().forEach(reaction -> named(at + "/denied", reaction,
                    id -> index.reaction(id).isPresent(), "reaction"));
        } else if (requirement instanceof Requirement.All all) {
            each(at.substring(1) + "/all", all.parts(), (part, here) -> requirement(part, here, seen));
        } else if (requirement instanceof Requirement.Any any) {
            each(at.substring(1) + "/any", any.parts(), (part, here) -> requirement(part, here, seen));
        }
    }

    private void technique(Technique technique, String at) {
        for (int i = 0; i < technique.movements().size(); i++) {
            named(at + "/movements/" + i, technique.movements().get(i), movements::contains, "movement");
        }
        technique.stance().ifPresent(ref -> {
            named(at + "/stance", ref.principle(), principles::containsKey, "principle");
            if (principles.containsKey(ref.principle())) {
                named(at + "/stance", ref.stance(),
                        id -> principles.get(ref.principle()).stances().stream().anyMatch(s -> s.id().equals(id)),
                        "stance of “%s”".formatted(ref.principle()));
            }
        });
    }

    private void situation(Situation situation, String at) {
        named(at + "/family", situation.family(), families::contains, "family");
        situation.facts().keySet().forEach(
                fact -> named(at + "/facts/" + fact, fact, id -> index.fact(id).isPresent(), "fact"));
        situation.clock().ifPresent(
                clock -> named(at + "/clock/becomes", clock.becomes(), index::isPlace, "situation or outcome"));
    }

    private void reaction(Reaction reaction, String at) {
        named(at + "/from", reaction.from(), id -> index.situation(id).isPresent(), "situation");
        named(at + "/technique", reaction.technique(), id -> index.technique(id).isPresent(), "technique");
        reaction.needs().keySet().forEach(
                fact -> named(at + "/needs/" + fact, fact, id -> index.fact(id).isPresent(), "fact"));
        reaction.stuffed().ifPresent(
                place -> named(at + "/stuffed", place, index::isPlace, "situation or outcome"));
        unique(at.substring(1) + "/responses", reaction.responses(), Response::id);
        for (int i = 0; i < reaction.responses().size(); i++) {
            String here = at + "/responses/" + i + "/leads";
            reaction.responses().get(i).leads().ifPresent(
                    place -> named(here, place, index::isPlace, "situation or outcome"));
        }
    }

    private void named(String at, Id id, Predicate<Id> exists, String kind) {
        if (!exists.test(id)) {
            problems.add(new Problem(at, "No %s is called “%s”; correct the id or add it to the map.".formatted(kind, id)));
        }
    }

    private <T> void unique(String list, List<T> parts, Function<T, Id> idOf) {
        Map<Id, Integer> first = new HashMap<>();
        for (int i = 0; i < parts.size(); i++) {
            Id id = idOf.apply(parts.get(i));
            Integer earlier = first.putIfAbsent(id, i);
            if (earlier != null) {
                problems.add(new Problem("/%s/%d/id".formatted(list, i),
                        STANDS_TWICE.formatted(id, "/%s/%d".formatted(list, earlier))));
            }
        }
    }

    private interface Visit<T> {
        void at(T part, String place);
    }

    private static <T> void each(String list, List<T> parts, Visit<T> visit) {
        for (int i = 0; i < parts.size(); i++) {
            visit.at(parts.get(i), "/" + list + "/" + i);
        }
    }
}
