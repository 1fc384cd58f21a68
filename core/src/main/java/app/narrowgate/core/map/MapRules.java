package app.narrowgate.core.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Whether the parts of a map fit together: ids are unique, every id that is named exists, every place leads somewhere
 * that is there. Places in the problems are JSON pointers over the model's names, which are also the names in the file.
 */
public final class MapRules {

    private static final String STANDS_TWICE = "“%s” stands twice; %s has the same id.";

    private final EscapeMap map;
    private final MapIndex index;
    private final Problems problems = new Problems();
    /** The parts that are known to fit, as objects. */
    private final Set<Part> known = Collections.newSetFromMap(new IdentityHashMap<>());

    private MapRules(EscapeMap map) {
        this.map = map;
        this.index = MapIndex.of(map);
    }

    /**
     * The problems of {@code map}, in its order, as {@link Problems} tells them; empty when the parts fit. Time linear in
     * the map.
     */
    public static List<Problem> problems(EscapeMap map) {
        MapRules rules = new MapRules(map);
        rules.check();
        return rules.problems.list();
    }

    /**
     * As {@link #problems(EscapeMap)} for a map that came of {@code before}, whose parts fit: what stands on both as the
     * very same object is not looked at again, unless something that could be named went.
     */
    public static List<Problem> problems(EscapeMap map, EscapeMap before) {
        MapRules rules = new MapRules(map);
        if (rules.hasEveryNameOf(before)) {
            PartKind.ALL.forEach(kind -> rules.known.addAll(before.parts(kind)));
        }
        rules.check();
        return rules.problems.list();
    }

    private boolean hasEveryNameOf(EscapeMap before) {
        return before.principles() == map.principles() && PartKind.ALL.stream().allMatch(kind ->
                before.parts(kind) == map.parts(kind)
                        || before.parts(kind).stream().allMatch(part -> index.part(kind, part.id()).isPresent()));
    }

    private void check() {
        PartKind.ALL.forEach(kind -> unique(kind.list(), map.parts(kind), Part::id));
        placesDiffer();
        PartKind.ALL.forEach(this::references);
        eachNew("principles", map.principles(), this::principle);
        eachNew("techniques", map.techniques(), this::stance);
        eachNew("reactions", map.reactions(),
                (reaction, at) -> unique(at.substring(1) + "/responses", reaction.responses(), Response::id));
        eachNew("situations", map.situations(), this::situation);
        eachNew("holds", map.holds(), this::hold);
        arms();
        postures();
        map.house().matchup().ifPresent(
                matchup -> named("/house/matchup", matchup, id -> index.matchup(id).isPresent(), "matchup"));
        map.house().gripsProblem().ifPresent(problem -> problems.add(new Problem("/house/grips", problem)));
        if (map.aims().isEmpty()) {
            problems.add(new Problem("/aims", "There is no aim; add at least one, or no odds can be computed."));
        }
    }

    /** A field, what it may name, and how that is called. */
    private record Names<T extends Part>(Reference<T> reference, Predicate<Id> exist, String nouns) {
    }

    private <T extends Part> Names<T> names(Reference<T> reference) {
        List<PartKind<?>> to = PartKind.ALL.stream().filter(kind -> kind.isNamedBy(reference)).toList();
        return new Names<>(reference, id -> to.stream().anyMatch(kind -> index.part(kind, id).isPresent()),
                to.stream().map(PartKind::noun).collect(Collectors.joining(" or ")));
    }

    private <T extends Part> void references(PartKind<T> kind) {
        List<Names<T>> fields = kind.references().stream().map(this::names).toList();
        eachNew(kind.list(), map.parts(kind), (part, at) -> {
            for (Names<T> field : fields) {
                for (Reference.Named name : field.reference().reader().apply(part)) {
                    named(at + name.at(), name.id(), field.exist(), field.nouns());
                }
            }
        });
    }

    private void placesDiffer() {
        each("outcomes", map.outcomes(), (outcome, at) -> {
            if (index.situation(outcome.id()).isPresent()) {
                problems.add(new Problem(at + "/id",
                        "“%s” is also a situation; places need ids of their own.".formatted(outcome.id())));
            }
        });
    }

    /** A posture told from another must come to one that is told whole, over few steps. */
    private void postures() {
        if (map.postures().size() > Posture.MOST) {
            problems.add(new Problem("/postures", "There are %d postures; at most %d fit. Take out those that no place has."
                    .formatted(map.postures().size(), Posture.MOST)));
        }
        each("postures", map.postures(), (posture, at) -> {
            Optional<Posture> told = Optional.of(posture);
            for (int step = 0; step < Posture.MOST_STEPS && told.isPresent(); step++) {
                told = told.flatMap(Posture::base).flatMap(base -> index.part(PartKind.POSTURES, base));
            }
            if (told.isPresent()) {
                problems.add(new Problem(at + "/base", ("“%s” is told from others over more than %d steps, or in a ring; "
                        + "tell one of them whole.").formatted(posture.id(), Posture.MOST_STEPS)));
            }
        });
    }

    private void situation(Situation situation, String at) {
        if (situation.stage().isEmpty() && situation.rest().isEmpty()) {
            problems.add(new Problem(at + "/stage", "“stage” is missing; only a resting place has no lateness."));
        }
        if (!situation.feeds().isEmpty() && situation.rest().isEmpty()) {
            problems.add(new Problem(at + "/feeds",
                    "Only from a resting place is something begun anew; say what they do as responses."));
        }
    }

    private void principle(Principle principle, String at) {
        unique(at.substring(1) + "/stances", principle.stances(), Principle.Stance::id);
        principle.house().ifPresent(house -> named(at + "/house", house,
                id -> principle.stances().stream().anyMatch(s -> s.id().equals(id)), "stance of this principle"));
    }

    private void hold(Hold hold, String at) {
        if (hold.requirement().ways() > Requirement.MOST_WAYS) {
            problems.add(new Problem(at + "/needs", "This could be denied in more than %d ways; nest fewer “any of”."
                    .formatted(Requirement.MOST_WAYS)));
        }
        requirement(hold.requirement(), at + "/needs", new HashMap<>());
        if (hold.arms().size() > Hold.MOST_ARMS) {
            problems.add(new Problem(at + "/arms", "There are %d arrangements of the arms; at most %d can be told apart."
                    .formatted(hold.arms().size(), Hold.MOST_ARMS)));
        }
        unique(at.substring(1) + "/arms", hold.arms(), Hold.Arms::id);
    }

    /**
     * Arms deny and give what some hold needs. Needs are no parts of their own, so every hold is looked at whenever one of
     * them may have lost one.
     */
    private void arms() {
        Map<Id, String> needs = new HashMap<>();
        map.holds().forEach(hold -> hold.requirement().needs().forEach(need -> needs.putIfAbsent(need.id(), need.title())));
        each("holds", map.holds(), (hold, at) -> each(at.substring(1) + "/arms", hold.arms(), (arms, here) -> {
            needed(here + "/denies", hold, arms, arms.denies(), needs.keySet());
            needed(here + "/gives", hold, arms, arms.gives(), needs.keySet());
            arms.denies().stream().filter(arms.gives()::contains).sorted(Comparator.comparing(Id::value)).forEach(both ->
                    problems.add(new Problem(here + "/gives", "“%s” is both denied and given; leave one out."
                            .formatted(needs.getOrDefault(both, both.value())))));
        }));
    }

    private void needed(String at, Hold hold, Hold.Arms arms, Set<Id> named, Set<Id> needs) {
        named.stream().filter(need -> !needs.contains(need)).sorted(Comparator.comparing(Id::value))
                .forEach(need -> problems.add(new Problem(at, ("“%s” of “%s” names the need “%s”, which no hold has; take it "
                        + "out there, or keep the need.").formatted(arms.title(), hold.title(), need))));
    }

    private void requirement(Requirement requirement, String at, Map<Id, String> seen) {
        if (requirement instanceof Requirement.Need need) {
            String earlier = seen.putIfAbsent(need.id(), at);
            if (earlier != null) {
                problems.add(new Problem(at + "/id", STANDS_TWICE.formatted(need.id(), earlier)));
            }
        } else if (requirement instanceof Requirement.All all) {
            each(at.substring(1) + "/all", all.parts(), (part, here) -> requirement(part, here, seen));
        } else if (requirement instanceof Requirement.Any any) {
            each(at.substring(1) + "/any", any.parts(), (part, here) -> requirement(part, here, seen));
        }
    }

    private void stance(Technique technique, String at) {
        technique.stance().ifPresent(ref -> index.part(PartKind.PRINCIPLES, ref.principle()).ifPresent(
                principle -> named(at + "/stance", ref.stance(),
                        id -> principle.stances().stream().anyMatch(s -> s.id().equals(id)),
                        "stance of “%s”".formatted(ref.principle()))));
    }

    private void named(String at, Id id, Predicate<Id> exists, String kind) {
        if (!exists.test(id)) {
            missing(at, id, kind);
        }
    }

    private void missing(String at, Id id, String kind) {
        problems.add(new Problem(at, "No %s is called “%s”; correct it or add it to the map.".formatted(kind, id)));
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

    private <T extends Part> void eachNew(String list, List<T> parts, Visit<T> visit) {
        for (int i = 0; i < parts.size(); i++) {
            if (!known.contains(parts.get(i))) {
                visit.at(parts.get(i), "/" + list + "/" + i);
            }
        }
    }

    private static <T> void each(String list, List<T> parts, Visit<T> visit) {
        for (int i = 0; i < parts.size(); i++) {
            visit.at(parts.get(i), "/" + list + "/" + i);
        }
    }
}
