package app.narrowgate.exchange.lesson;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.lesson.ClassRequest;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.RoundWish;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.json.JsonText;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The class file {@value #FORMAT}: JSON, described in {@code docs/formats}. People stand in it by their numbers on the gym's roster alone. Reading and
 * writing are inverse.
 */
public final class LessonJson {

    /** The format's name and version, which stands in every file. */
    public static final String FORMAT = "narrowgate-class/1";

    private static final Text WRITTEN = new Text(1, 40);
    private static final Text WRITTEN_ID = new Text(1, 64);
    private static final int MOST_REACTIONS = 1_000;

    private LessonJson() {
    }

    /**
     * Reads a class file.
     *
     * @throws ProblemsException with every problem by JSON pointer, or by line and column where the text is no JSON
     */
    public static Lesson read(String text) {
        Problems problems = new Problems();
        Fields fields = new Fields(new JacksonValue(JsonText.parse(text)), "", problems);
        fields.requireFormat(FORMAT, "class file");
        String title = fields.text("title", Text.TITLE);
        Optional<LocalDate> day = parsed(fields, "day", LocalDate::parse, "a day, such as 2026-11-27");
        Optional<LocalTime> starts = parsed(fields, "starts", LocalTime::parse, "a time, such as 19:30");
        int minutes = fields.whole("minutes", ClassShape.MINUTES, 60);
        Focus focus = fields.object("focus", LessonJson::focus).orElse(Focus.EVERYTHING);
        Optional<Id> aim = fields.optionalReference("aim");
        double read = fields.number("read", Range.CHANCE, 0);
        double late = fields.number("late", Setting.LATE, 0);
        Optional<ClassShape.Usual> usual = fields.optionalCoded("usual", ClassShape.Usual.class);
        Optional<ClassShape> own = fields.has("shape") ? Optional.of(shape(fields)) : Optional.empty();
        List<UUID> here = fields.textsByPlace("here", WRITTEN, ClassRequest.MOST_STUDENTS).stream().flatMap(Optional::stream)
                .map(id -> person(fields, "here", id)).flatMap(Optional::stream).toList();
        Map<String, Optional<Integer>> fixed = new LinkedHashMap<>();
        fields.objects("fixed", f -> fixed.put(f.text("unit", Lesson.KEY),
                f.has("minutes") ? Optional.of(f.whole("minutes", ClassRequest.FIXED, 1)) : Optional.empty()));
        List<String> term = fields.texts("term", Lesson.KEY, Lesson.MOST_KEYS);
        Set<String> out = new LinkedHashSet<>(fields.texts("out", Lesson.KEY, Lesson.MOST_KEYS));
        Set<Couple> together = couples(fields, "together");
        Set<Couple> apart = couples(fields, "apart");
        PairRequest.Odd odd = fields.optionalCoded("odd", PairRequest.Odd.class).orElse(PairRequest.Odd.THREE);
        double limit = fields.number("limit", RoundWish.LIMIT, RoundWish.USUAL_LIMIT);
        int turn = fields.whole("turn", PairRequest.TURNS, 0);
        List<Lesson.Planned> planned = fields.objects("planned", f -> planned(f, problems)).stream().flatMap(Optional::stream).toList();
        List<Lesson.Came> came = fields.objects("came", f -> came(f, problems)).stream().flatMap(Optional::stream).toList();
        fields.refuseUnknown();
        if (problems.isEmpty()) {
            try {
                return new Lesson(title, day.orElseThrow(), starts.orElseThrow(), minutes, focus, aim, read, late, usual, own,
                        here, fixed, term, out, together, apart, odd, limit, turn, planned, came);
            } catch (RefusedException e) {
                problems.add(new Problem("", e.getMessage()));
            }
        }
        throw new ProblemsException(problems.list());
    }

    private static Focus focus(Fields fields) {
        Optional<Id> family = fields.optionalReference("family");
        Optional<Id> place = fields.optionalReference("place");
        if (family.isPresent() && place.isPresent()) {
            fields.problem("place", "A class is about a family of places or about one place, not both.");
            return Focus.EVERYTHING;
        }
        return new Focus(family, place);
    }

    /** What was planned; empty once anything is wrong, for then nothing is made of the file. */
    private static Optional<Lesson.Planned> planned(Fields fields, Problems problems) {
        String unit = fields.text("unit", Lesson.KEY);
        Section section = fields.coded("section", Section.class);
        int minutes = fields.whole("minutes", ClassRequest.FIXED, 1);
        List<Id> reactions = reactions(fields);
        return problems.isEmpty() ? Optional.of(new Lesson.Planned(unit, section, minutes, reactions)) : Optional.empty();
    }

    /** What came; empty once anything is wrong. */
    private static Optional<Lesson.Came> came(Fields fields, Problems problems) {
        String unit = fields.text("unit", Lesson.KEY);
        Section section = fields.coded("section", Section.class);
        int minutes = fields.whole("minutes", Lesson.MINUTES_CAME, 1);
        List<Id> reactions = reactions(fields);
        Set<Couple> pairs = couples(fields, "pairs");
        return problems.isEmpty() ? Optional.of(new Lesson.Came(unit, section, minutes, reactions, pairs)) : Optional.empty();
    }

    private static List<Id> reactions(Fields fields) {
        List<Id> ids = new ArrayList<>();
        for (String id : fields.texts("reactions", WRITTEN_ID, MOST_REACTIONS)) {
            Id.problem(id).ifPresentOrElse(message -> fields.problem("reactions", message), () -> ids.add(Id.of(id)));
        }
        return ids;
    }

    private static <T> Optional<T> parsed(Fields fields, String field, Function<String, T> parse, String what) {
        String written = fields.text(field, WRITTEN);
        try {
            return written.isEmpty() ? Optional.empty() : Optional.of(parse.apply(written));
        } catch (DateTimeException e) {
            fields.problem(field, "“%s” is not %s.".formatted(written, what));
            return Optional.empty();
        }
    }

    private static Optional<UUID> person(Fields fields, String field, String written) {
        try {
            return Optional.of(UUID.fromString(written));
        } catch (IllegalArgumentException e) {
            fields.problem(field, "“%s” is nobody's number on a roster; they look like 123e4567-e89b-12d3-a456-426614174000.".formatted(written));
            return Optional.empty();
        }
    }

    private static Set<Couple> couples(Fields fields, String field) {
        Set<Couple> couples = new LinkedHashSet<>();
        fields.objects(field, f -> {
            Optional<UUID> one = person(f, "one", f.text("one", WRITTEN));
            Optional<UUID> other = person(f, "other", f.text("other", WRITTEN));
            if (one.isPresent() && one.equals(other)) {
                f.problem("other", "Two people make a pair; one stands there twice.");
            } else if (one.isPresent() && other.isPresent()) {
                couples.add(new Couple(one.get(), other.get()));
            }
            return couples;
        });
        return couples;
    }

    private static ClassShape shape(Fields fields) {
        Map<Section, ClassShape.Span> spans = new EnumMap<>(Section.class);
        Range minutes = new Range(0, ClassShape.MINUTES.high(), "minutes");
        spans.putAll(fields.byCode("shape", Section.class, (f, name) -> f.object(name, span -> {
            int least = span.whole("least", minutes, 0);
            return new ClassShape.Span(least, Math.max(least, span.whole("most", minutes, 0)));
        }).orElse(new ClassShape.Span(0, 0))));
        for (Section section : Section.values()) {
            spans.putIfAbsent(section, new ClassShape.Span(0, 0));
        }
        return new ClassShape(spans);
    }

    /** The file's text, indented. */
    public static String writeText(Lesson lesson) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("format", FORMAT).put("title", lesson.title()).put("day", lesson.day().toString()).put("starts", lesson.starts().toString())
                .put("minutes", lesson.minutes());
        ObjectNode focus = node.putObject("focus");
        lesson.focus().family().ifPresent(id -> focus.put("family", id.value()));
        lesson.focus().place().ifPresent(id -> focus.put("place", id.value()));
        lesson.aim().ifPresent(id -> node.put("aim", id.value()));
        node.put("read", lesson.read()).put("late", lesson.late());
        lesson.usual().ifPresent(usual -> node.put("usual", usual.code()));
        lesson.own().ifPresent(shape -> put(node, shape));
        ArrayNode here = node.putArray("here");
        lesson.here().forEach(id -> here.add(id.toString()));
        ArrayNode fixed = node.putArray("fixed");
        lesson.fixed().forEach((unit, given) -> {
            ObjectNode one = fixed.addObject().put("unit", unit);
            given.ifPresent(m -> one.put("minutes", m));
        });
        if (!lesson.term().isEmpty()) {
            lesson.term().forEach(node.putArray("term")::add);
        }
        ArrayNode out = node.putArray("out");
        lesson.out().stream().sorted().forEach(out::add);
        put(node.putArray("together"), lesson.together());
        put(node.putArray("apart"), lesson.apart());
        node.put("odd", lesson.odd().code()).put("limit", lesson.limit()).put("turn", lesson.turn());
        ArrayNode planned = node.putArray("planned");
        for (Lesson.Planned one : lesson.planned()) {
            ArrayNode reactions = planned.addObject().put("unit", one.unit()).put("section", one.section().code()).put("minutes", one.minutes())
                    .putArray("reactions");
            one.reactions().forEach(id -> reactions.add(id.value()));
        }
        if (!lesson.came().isEmpty()) {
            ArrayNode came = node.putArray("came");
            for (Lesson.Came one : lesson.came()) {
                ObjectNode part = came.addObject().put("unit", one.unit()).put("section", one.section().code()).put("minutes", one.minutes());
                ArrayNode reactions = part.putArray("reactions");
                one.reactions().forEach(id -> reactions.add(id.value()));
                put(part.putArray("pairs"), one.pairs());
            }
        }
        return JsonText.of(node);
    }

    /** A shape alone, as it stands in a class file. */
    public static String writeShape(ClassShape shape) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        put(node, shape);
        return JsonText.of(node);
    }

    /**
     * Reads a shape that stands alone.
     *
     * @throws ProblemsException naming what is wrong
     */
    public static ClassShape readShape(String text) {
        Problems problems = new Problems();
        ClassShape shape = shape(new Fields(new JacksonValue(JsonText.parse(text)), "", problems));
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return shape;
    }

    private static void put(ObjectNode node, ClassShape shape) {
        ObjectNode spans = node.putObject("shape");
        shape.spans().forEach((section, span) -> spans.putObject(section.code()).put("least", span.least()).put("most", span.most()));
    }

    private static void put(ArrayNode array, Set<Couple> couples) {
        couples.stream().sorted(Comparator.comparing(Couple::one).thenComparing(Couple::other))
                .forEach(couple -> array.addObject().put("one", couple.one().toString()).put("other", couple.other().toString()));
    }
}
