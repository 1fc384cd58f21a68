package app.narrowgate.core.map;

import app.narrowgate.core.check.RefusedException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A kind of part, and everything that tools for all kinds need to know of it: the list it stands in, its noun, its
 * title, and by which fields it names other parts. Storing, merging, taking out, redirecting and checking work from
 * this table, so that another kind is one more entry here, one more reader and writer of the format, and one more form.
 *
 * @param <T> the parts of this kind
 */
public final class PartKind<T extends Part> {

    private static final Set<Class<? extends Part>> PLACES = Set.of(Situation.class, Outcome.class);

    public static final PartKind<Family> FAMILIES = titled("families", "family", Family.class, Family::title,
            new Reference<>("posture", Set.of(Posture.class), f -> Reference.one("posture", f.posture()),
                    (f, instead) -> Optional.of(f.withPosture(f.posture().flatMap(instead)))));
    public static final PartKind<Fact> FACTS = titled("facts", "fact", Fact.class, Fact::title);
    public static final PartKind<Principle> PRINCIPLES = titled("principles", "principle", Principle.class, Principle::title);
    public static final PartKind<Movement> MOVEMENTS = titled("movements", "movement", Movement.class, Movement::title);
    public static final PartKind<Technique> TECHNIQUES = titled("techniques", "technique", Technique.class,
            Technique::title,
            new Reference<>("movements", Set.of(Movement.class), t -> Reference.several("movements", t.movements()),
                    (t, instead) -> Optional.of(t.withMovements(Reference.replaced(t.movements(), instead)))),
            // Another principle has other stances: what was taken there cannot be taken here.
            new Reference<>("stance", Set.of(Principle.class),
                    t -> Reference.one("stance", t.stance().map(StanceRef::principle)),
                    (t, instead) -> Optional.of(t.withStance(t.stance().filter(
                            stance -> instead.apply(stance.principle()).equals(Optional.of(stance.principle())))))));
    public static final PartKind<Situation> SITUATIONS = titled("situations", "situation", Situation.class,
            Situation::title,
            new Reference<>("family", Set.of(Family.class), s -> Reference.one("family", Optional.of(s.family())),
                    (s, instead) -> instead.apply(s.family()).map(s::withFamily)),
            new Reference<>("facts", Set.of(Fact.class), s -> Reference.keys("facts", s.facts()),
                    (s, instead) -> Optional.of(s.withFacts(Reference.replaced(s.facts(), instead)))),
            new Reference<>("clock", PLACES, s -> Reference.one("clock/becomes", s.clock().map(Clock::becomes)),
                    (s, instead) -> Optional.of(s.withClock(s.clock().flatMap(
                            clock -> instead.apply(clock.becomes()).map(place -> new Clock(clock.seconds(), place)))))),
            new Reference<>("feeds", Set.of(Situation.class), s -> Reference.several("feeds", s.feeds()),
                    (s, instead) -> Optional.of(s.withFeeds(Reference.replaced(s.feeds(), instead)))),
            new Reference<>("posture", Set.of(Posture.class), s -> Reference.one("posture", s.posture()),
                    (s, instead) -> Optional.of(s.withPosture(s.posture().flatMap(instead)))));
    public static final PartKind<Outcome> OUTCOMES = titled("outcomes", "outcome", Outcome.class, Outcome::title,
            new Reference<>("then", Set.of(Situation.class), o -> Reference.one("then", o.then()),
                    (o, instead) -> Optional.of(o.withThen(o.then().flatMap(instead)))),
            new Reference<>("posture", Set.of(Posture.class), o -> Reference.one("posture", o.posture()),
                    (o, instead) -> Optional.of(o.withPosture(o.posture().flatMap(instead)))));
    public static final PartKind<Reaction> REACTIONS = new PartKind<>("reactions", "reaction", Reaction.class,
            (reaction, index) -> index.reactionTitle(reaction), List.of(
            new Reference<>("from", Set.of(Situation.class), r -> Reference.one("from", Optional.of(r.from())),
                    (r, instead) -> instead.apply(r.from()).map(r::withFrom)),
            new Reference<>("technique", Set.of(Technique.class),
                    r -> Reference.one("technique", Optional.of(r.technique())),
                    (r, instead) -> instead.apply(r.technique()).map(r::withTechnique)),
            new Reference<>("needs", Set.of(Fact.class), r -> Reference.keys("needs", r.needs()),
                    (r, instead) -> Optional.of(r.withNeeds(Reference.replaced(r.needs(), instead)))),
            new Reference<>("stuffed", PLACES, r -> Reference.one("stuffed", r.stuffed()),
                    (r, instead) -> Optional.of(r.withStuffed(r.stuffed().flatMap(instead)))),
            new Reference<>("leads", PLACES, PartKind::landings,
                    (r, instead) -> Optional.of(r.withResponses(r.responses().stream()
                            .map(response -> response.withLeads(response.leads().flatMap(instead))).toList())))));
    public static final PartKind<Aim> AIMS = titled("aims", "aim", Aim.class, Aim::title,
            new Reference<>("places", PLACES, a -> Reference.keys("places", a.places()),
                    (a, instead) -> Optional.of(a.withPlaces(Reference.replaced(a.places(), instead)))));
    public static final PartKind<Matchup> MATCHUPS = titled("matchups", "matchup", Matchup.class, Matchup::title,
            new Reference<>("facts", Set.of(Fact.class), m -> Reference.keys("facts", m.facts()),
                    (m, instead) -> Optional.of(m.withFacts(Reference.replaced(m.facts(), instead)))));
    public static final PartKind<RateRule> RULES = titled("rules", "adjustment", RateRule.class, RateRule::title);
    public static final PartKind<Hold> HOLDS = titled("holds", "hold", Hold.class, Hold::title,
            new Reference<>("at", Set.of(Situation.class), h -> Reference.several("at", h.at()),
                    (h, instead) -> Optional.of(h.withAt(Reference.replaced(h.at(), instead)))),
            new Reference<>("denied", Set.of(Reaction.class), h -> Denials.of(h.requirement(), "/needs"),
                    (h, instead) -> Optional.of(h.withRequirement(Denials.replaced(h.requirement(), instead)))));
    public static final PartKind<Posture> POSTURES = titled("postures", "posture", Posture.class, Posture::title,
            new Reference<>("base", Set.of(Posture.class), p -> Reference.one("base", p.base()),
                    (p, instead) -> p.base().isEmpty() ? Optional.of(p) : instead.apply(p.base().get()).map(p::withBase)));

    /** Every kind, in the order of the map file's lists. */
    public static final List<PartKind<?>> ALL = List.of(FAMILIES, FACTS, PRINCIPLES, MOVEMENTS, TECHNIQUES, SITUATIONS,
            OUTCOMES, REACTIONS, AIMS, MATCHUPS, RULES, HOLDS, POSTURES);

    private final String list;
    private final String noun;
    private final Class<T> type;
    private final BiFunction<T, MapIndex, String> title;
    private final List<Reference<T>> references;

    private PartKind(String list, String noun, Class<T> type, BiFunction<T, MapIndex, String> title,
            List<Reference<T>> references) {
        this.list = list;
        this.noun = noun;
        this.type = type;
        this.title = title;
        this.references = references;
    }

    @SafeVarargs
    @SuppressWarnings("varargs") // Copied at once, never written to.
    private static <T extends Part> PartKind<T> titled(String list, String noun, Class<T> type,
            Function<T, String> title, Reference<T>... references) {
        return new PartKind<>(list, noun, type, (part, index) -> title.apply(part), List.of(references));
    }

    /**
     * The kind whose parts stand in that list of a map file.
     *
     * @throws RefusedException when a map has no such list
     */
    public static PartKind<?> ofList(String list) {
        return ALL.stream().filter(kind -> kind.list.equals(list)).findFirst().orElseThrow(() -> new RefusedException(
                "A map has no list “%s”; it has %s.".formatted(list.length() <= 40 ? list : list.substring(0, 40) + "…",
                        ALL.stream().map(PartKind::list).collect(Collectors.joining(", ")))));
    }

    /** The kind of a part. */
    @SuppressWarnings("unchecked")
    static <T extends Part> PartKind<T> of(T part) {
        return (PartKind<T>) ALL.stream().filter(kind -> kind.type.isInstance(part)).findFirst().orElseThrow();
    }

    /** The name of the list in which its parts stand, in the file as in the map. */
    public String list() {
        return list;
    }

    /** What one of them is called in a sentence. */
    public String noun() {
        return noun;
    }

    /** What a part goes by: its title, or its technique's where it has none of its own. */
    public String title(T part, MapIndex index) {
        return title.apply(part, index);
    }

    /**
     * The kinds that no id of this one may stand in, itself among them: wherever a field can name parts of two kinds,
     * these share their ids.
     */
    public List<PartKind<?>> sharingIds() {
        return PLACES.contains(type) ? List.of(SITUATIONS, OUTCOMES) : List.of(this);
    }

    /** The parts, each of which must be of this kind; not copied where nobody can change them. */
    @SuppressWarnings("unchecked") // Each is looked at.
    List<T> cast(List<?> parts) {
        parts.forEach(type::cast);
        return (List<T>) List.copyOf(parts);
    }

    List<Reference<T>> references() {
        return references;
    }

    boolean isNamedBy(Reference<?> reference) {
        return reference.to().contains(type);
    }

    @Override
    public String toString() {
        return list;
    }

    private static List<Reference.Named> landings(Reaction reaction) {
        List<Reference.Named> landings = new ArrayList<>();
        for (int i = 0; i < reaction.responses().size(); i++) {
            landings.addAll(Reference.one("responses/" + i + "/leads", reaction.responses().get(i).leads()));
        }
        return landings;
    }
}
