package app.narrowgate.exchange.parts;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Day;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.GripGrade;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.House;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Lean;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.PlaceNotes;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Source;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.map.Word;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.fields.Value;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Reads the parts of a map, each kind its own; what is wrong goes into the list of problems. */
final class PartReader {

    private static final int MOST_TEXTS = 50;
    private static final Day EARLY = new Day(1970, 1, 1);
    private static final Requirement STAND_IN = Requirement.Need.of(Id.of("unreadable"), "unreadable", 1, Set.of());

    private final Problems problems;
    private final Map<PartKind<?>, Function<Fields, ? extends Part>> readers = new LinkedHashMap<>();

    PartReader(Problems problems, Function<Fields, Posture> postures) {
        this.problems = problems;
        add(PartKind.FAMILIES, f -> new Family(f.id(), f.text("title", Text.TITLE), f.optionalReference("posture")));
        add(PartKind.FACTS, PartReader::fact);
        add(PartKind.PRINCIPLES, PartReader::principle);
        add(PartKind.MOVEMENTS, this::movement);
        add(PartKind.TECHNIQUES, this::technique);
        add(PartKind.SITUATIONS, this::situation);
        add(PartKind.OUTCOMES, PartReader::outcome);
        add(PartKind.REACTIONS, this::reaction);
        add(PartKind.AIMS, PartReader::aim);
        add(PartKind.MATCHUPS, this::matchup);
        add(PartKind.RULES, PartReader::rule);
        add(PartKind.HOLDS, this::hold);
        add(PartKind.POSTURES, postures);
    }

    private <T extends Part> void add(PartKind<T> kind, Function<Fields, T> reader) {
        readers.put(kind, reader);
    }

    /** One part of a kind. */
    @SuppressWarnings("unchecked") // Filled kind by kind.
    <T extends Part> T read(PartKind<T> kind, Fields f) {
        return (T) readers.get(kind).apply(f);
    }

    static House house(Fields f) {
        List<GripGrade> grips = f.objects("grips", g -> new GripGrade(g.text("title", Text.TITLE), g.number("grade", GripGrade.GRADE)));
        return new House(f.optionalReference("matchup"), f.object("thinking", t -> new ThinkingTime(
                t.number("base", ThinkingTime.COEFFICIENT), t.number("perBit", ThinkingTime.COEFFICIENT)))
                .orElse(ThinkingTime.USUAL), f.has("grips") ? grips : House.USUAL_GRIPS);
    }

    private Movement movement(Fields f) {
        return new Movement(f.id(), f.text("title", Text.TITLE), alsoCalled(f), codes(f, "uses", Segment.class),
                codes(f, "risks", Injury.class), f.texts("steps", Text.WORDS, Movement.MOST_STEPS),
                f.objects("faults", PartReader::fault), f.flag("bothSides", true),
                f.whole("repetitions", Movement.REPETITIONS, 0));
    }

    private static List<String> alsoCalled(Fields f) {
        return f.texts("alsoCalled", Text.TITLE, PlaceNotes.MOST_NAMES);
    }

    private static Fact fact(Fields f) {
        return new Fact(f.id(), f.text("title", Text.TITLE), f.object("measured", PartReader::measured).flatMap(m -> m));
    }

    /** Empty where what it is read off cannot be told of a pair, which has been told. */
    private static Optional<Fact.Measured> measured(Fields f) {
        RateRule.Gauge gauge = f.coded("gauge", RateRule.Gauge.class);
        double from = f.number("from", RateRule.DOSE);
        if (gauge == RateRule.Gauge.ABOVE_LEVEL) {
            f.problem("gauge", "“above-level” is read off a technique; a fact needs what a pair has.");
            return Optional.empty();
        }
        return Optional.of(new Fact.Measured(gauge, from));
    }

    private static Outcome outcome(Fields f) {
        return new Outcome(f.id(), f.text("title", Text.TITLE), f.coded("kind", PlaceKind.class),
                f.optionalReference("then"), f.optionalReference("posture"));
    }

    private static Principle principle(Fields f) {
        return new Principle(f.id(), f.text("title", Text.TITLE), optionalSentence(f, "condition"),
                f.objects("stances", s -> new Principle.Stance(s.id(), s.text("title", Text.TITLE),
                        optionalSentence(s, "wants"))), f.optionalReference("house"));
    }

    private Hold hold(Fields f) {
        return new Hold(f.id(), f.text("title", Text.TITLE), f.coded("kind", Hold.Kind.class), references(f, "at"),
                f.object("needs", needs -> requirement(needs, 1)).orElseGet(() -> {
                    f.problem("needs", "“needs” is missing.");
                    return STAND_IN;
                }), f.texts("cautions", Text.WORDS, MOST_TEXTS), f.object("feeder", PartReader::feeder).orElse(Feeder.NONE),
                f.objects("arms", this::arms));
    }

    private Hold.Arms arms(Fields f) {
        return new Hold.Arms(f.id(), f.text("title", Text.TITLE), Set.copyOf(references(f, "denies")),
                Set.copyOf(references(f, "gives")));
    }

    /** A tree: {@code {"all": […]}}, {@code {"any": […]}} or a single need. */
    private Requirement requirement(Fields f, int depth) {
        if (depth > Requirement.MOST_DEPTH) {
            f.problem("", "This is nested more than %d deep.".formatted(Requirement.MOST_DEPTH));
            f.accept("all", "any", "id", "title", "work", "denied", "stage", "likely", "seenFrom", "sign", "openings");
            return STAND_IN;
        }
        for (String gate : List.of("all", "any")) {
            if (f.has(gate)) {
                List<Requirement> parts = f.objects(gate, part -> requirement(part, depth + 1));
                if (parts.isEmpty()) {
                    f.problem(gate, "“%s” has no parts; name at least one need.".formatted(gate));
                    return STAND_IN;
                }
                return gate.equals("all") ? new Requirement.All(parts) : new Requirement.Any(parts);
            }
        }
        return new Requirement.Need(f.id(), f.text("title", Text.TITLE), f.number("work", Requirement.Need.WORK, 1),
                Set.copyOf(references(f, "denied")), new Requirement.Built(f.optionalCoded("stage", Stage.class),
                f.has("likely") ? Optional.of(likelihood(f, "likely", Range.CHANCE)) : Optional.empty(),
                f.byCode("seenFrom", Stage.class, (seen, stage) -> likelihood(seen, stage, Range.CHANCE))),
                optionalSentence(f, "sign"), f.objects("openings", o -> new Requirement.Opening(
                        o.text("fault", Text.WORDS), o.text("leaves", Text.WORDS))));
    }

    private Technique technique(Fields f) {
        return new Technique(f.id(), f.text("title", Text.TITLE), alsoCalled(f), references(f, "movements"),
                f.texts("checkpoints", Text.WORDS, Technique.MOST_CHECKPOINTS),
                f.objects("faults", PartReader::fault),
                f.objects("questions", q -> new Technique.Question(q.text("ask", Text.WORDS),
                        optionalSentence(q, "answer"))),
                f.texts("cautions", Text.WORDS, MOST_TEXTS), stance(f),
                f.optionalCoded("level", Level.class).orElse(Level.NOVICE), f.flag("children", true),
                codes(f, "avoidWith", Injury.class), codes(f, "leansOn", Lean.class));
    }

    private static Technique.Fault fault(Fields f) {
        return new Technique.Fault(f.text("sign", Text.WORDS), optionalSentence(f, "cause"), optionalSentence(f, "fix"));
    }

    private static String optionalSentence(Fields f, String field) {
        return f.optionalText(field, Text.SENTENCE);
    }

    private List<Id> references(Fields f, String field) {
        List<Id> ids = new ArrayList<>();
        List<Optional<String>> texts = f.textsByPlace(field, Text.TITLE, MOST_TEXTS);
        for (int i = 0; i < texts.size(); i++) {
            Optional<String> text = texts.get(i);
            Optional<String> wrong = text.flatMap(Id::problem);
            String where = f.at(field) + "/" + i;
            wrong.ifPresent(message -> problems.add(new Problem(where, message)));
            ids.add(wrong.isPresent() ? Id.of("unreadable") : text.map(Id::of).orElse(Id.of("unreadable")));
        }
        return ids;
    }

    /** A list of codes of {@code type}; an absent one is empty. */
    private <E extends Enum<E> & Coded> Set<E> codes(Fields f, String field, Class<E> type) {
        Set<E> codes = new LinkedHashSet<>();
        List<Optional<String>> texts = f.textsByPlace(field, Text.TITLE, MOST_TEXTS);
        for (int i = 0; i < texts.size(); i++) {
            Optional<E> code = texts.get(i).flatMap(text -> Coded.of(type, text));
            if (code.isEmpty() && texts.get(i).isPresent()) {
                problems.add(new Problem(f.at(field) + "/" + i,
                        "“%s” is not one of %s.".formatted(texts.get(i).get(), Coded.codes(type))));
            }
            code.ifPresent(codes::add);
        }
        return codes;
    }

    private static Optional<StanceRef> stance(Fields f) {
        String text = optionalSentence(f, "stance");
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Optional<StanceRef> stance = StanceRef.read(text);
        if (stance.isEmpty()) {
            f.problem("stance", "“%s” does not name a stance; write principle/stance.".formatted(text));
        }
        return stance;
    }

    private Situation situation(Fields f) {
        Optional<PlaceKind> rest = f.codedOrNull("rest", PlaceKind.class);
        if (rest.isPresent() && rest.get() == PlaceKind.TAP) {
            f.problem("rest", "Nobody rests in a tap; make it an outcome.");
            rest = Optional.empty();
        }
        return new Situation(f.id(), f.text("title", Text.TITLE), f.reference("family"),
                f.optionalCoded("stage", Stage.class), f.optionalCoded("where", Bearing.class),
                f.byCode("held", Segment.class, (held, name) -> held.text(name, Text.TITLE)), f.flags("facts"),
                f.objectOrNull("clock", c -> new Clock(c.number("seconds", Clock.SECONDS), c.reference("becomes"))),
                f.number("entry", Situation.ENTRY, 0), rest, references(f, "feeds"),
                new PlaceNotes(alsoCalled(f), f.byCode("yours", Segment.class, (yours, name) -> yours.text(name, Text.WORDS)),
                        f.object("feeder", PartReader::feeder).orElse(Feeder.NONE), optionalSentence(f, "oneAnswer")),
                f.optionalReference("posture"));
    }

    private static Feeder feeder(Fields f) {
        return new Feeder(optionalSentence(f, "weight"), optionalSentence(f, "care"), optionalSentence(f, "gives"));
    }

    private Reaction reaction(Fields f) {
        return new Reaction(f.id(), f.reference("from"), f.reference("technique"),
                optionalSentence(f, "when"), optionalSentence(f, "doNot"), f.flags("needs"), f.number("seconds", Reaction.SECONDS), likelihood(f, "works", Range.CHANCE),
                f.object("source", PartReader::source),
                f.referenceOrNull("stuffed"), f.objects("responses", this::response));
    }

    private static Source source(Fields f) {
        double tries = f.number("tries", Source.TRIES);
        double noted = f.number("noted", Source.TRIES);
        if (noted > tries) {
            f.problem("noted", "More noted tries than there were tries; write at most %s.".formatted(tries));
        }
        return new Source(f.number("chance", Range.CHANCE), likelihood(f, "before", Range.CHANCE), tries, Math.min(noted, tries), day(f, "until"));
    }

    private static Day day(Fields f, String field) {
        String said = f.text(field, Text.TITLE);
        return Day.read(said).orElseGet(() -> {
            f.problem(field, "“%s” is no day; write it like 2026-09-03.".formatted(said));
            return EARLY;
        });
    }

    private Response response(Fields f) {
        return new Response(f.id(), f.text("cue", Text.WORDS), likelihood(f, "often", Likelihood.WEIGHT),
                f.referenceOrNull("leads"));
    }

    private static Likelihood likelihood(Fields f, String field, Range rule) {
        Optional<Value> value = f.wordOrNumber(field);
        if (value.isPresent() && value.get().is(Value.Kind.NUMBER)) {
            return Likelihood.of(f.number(field, rule));
        }
        return value.isEmpty() ? Likelihood.of(Word.SOMETIMES) : Likelihood.of(f.coded(field, Word.class));
    }

    private static Aim aim(Fields f) {
        return new Aim(f.id(), f.text("title", Text.TITLE),
                f.byCode("worth", PlaceKind.class, (worth, name) -> worth.number(name, Range.CHANCE)),
                f.numbers("places", Range.CHANCE));
    }

    private Matchup matchup(Fields f) {
        return new Matchup(f.id(), f.text("title", Text.TITLE), f.number("weightGap", Matchup.WEIGHT_GAP, 0),
                f.number("heightGap", Matchup.HEIGHT_GAP, 0), f.flag("jacket", false),
                f.optionalCoded("setting", Occasion.class).orElse(Occasion.SPORT),
                f.optionalCoded("age", AgeGroup.class).orElse(AgeGroup.ADULTS),
                f.optionalCoded("level", Level.class).orElse(Level.ADVANCED),
                codes(f, "injuries", Injury.class), f.flags("facts"));
    }

    private static RateRule rule(Fields f) {
        return new RateRule(f.id(), f.text("title", Text.TITLE), f.coded("gauge", RateRule.Gauge.class),
                f.number("above", RateRule.DOSE, 0), f.number("most", RateRule.DOSE),
                f.codedOrNull("target", Lean.class), f.coded("effect", RateRule.Effect.class),
                f.number("amount", RateRule.AMOUNT), f.text("reason", Text.WORDS), f.text("source", Text.WORDS));
    }
}
