package app.narrowgate.exchange.fields;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Id;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * The fields of one object, read strictly. A field that is wrong adds a problem and yields a harmless stand-in, so
 * that reading goes on and every problem of a file is found in one pass; what was read counts only if there is none.
 */
public final class Fields {

    private static final int MOST_ITEMS = 100_000;
    /** As much of a foreign name is told. */
    private static final int MOST_SHOWN = 40;
    /** The formats of this program, by how they begin, and what a file of each is called. */
    private static final Map<String, String> OURS = Map.of("narrowgate-map/", "map file", "narrowgate-map-part/",
            "part of a map kept in several files", "narrowgate-drill/", "drill file", "narrowgate-posture/", "posture file", "narrowgate-record/",
            "record file");
    /**
     * Stands for a text that could not be read. It is never looked at: what was read counts only if nothing was wrong.
     */
    private static final String STAND_IN = "unreadable";

    private final Value node;
    private final String place;
    /** The list whose entries these are, as it is named in a sentence; empty for the fields of an object. */
    private final String list;
    private final Problems problems;
    private final Set<String> known = new HashSet<>();

    public Fields(Value node, String place, Problems problems) {
        this(node, place, "", problems);
    }

    private Fields(Value node, String place, String list, Problems problems) {
        this.node = node;
        this.place = place;
        this.list = list;
        this.problems = problems;
        if (!node.is(Value.Kind.OBJECT)) {
            problem("", "This is " + kind(node) + "; an object { … } belongs here.");
        }
    }

    /**
     * Nothing, where the file says that it is of the format.
     *
     * @param format the format's name and version, such as {@code narrowgate-map/1}
     * @param what what a file of it is called in a sentence, such as "map file"
     * @throws ProblemsException where it says something else or nothing; nothing further in it would mean anything
     */
    public void requireFormat(String format, String what) {
        known.add("format");
        Value said = node.get("format");
        if (said != null && said.is(Value.Kind.TEXT) && said.text().equals(format)) {
            return;
        }
        throw new ProblemsException(List.of(new Problem(node.is(Value.Kind.OBJECT) ? at("format") : place,
                said == null || !said.is(Value.Kind.TEXT)
                        ? "This is not a %s: it does not say of itself that it is one.".formatted(what)
                        : otherFormat(said.text(), format, what))));
    }

    private static String otherFormat(String said, String format, String what) {
        String family = format.substring(0, format.indexOf('/') + 1);
        if (said.startsWith(family)) {
            return "This %s is of another version, %s; this program reads %s.".formatted(what, shortened(said), format);
        }
        return OURS.entrySet().stream().filter(ours -> said.startsWith(ours.getKey())).findFirst()
                .map(ours -> "This is not a %s but a %s.".formatted(what, ours.getValue()))
                .orElseGet(() -> "This is not a %s: it calls itself “%s”.".formatted(what, shortened(said)));
    }

    private static String shortened(String text) {
        return text.length() > MOST_SHOWN ? text.substring(0, MOST_SHOWN) + "…" : text;
    }

    private static String kind(Value value) {
        return value.kind().called();
    }

    /** A JSON pointer to a field, escaped as RFC 6901 asks. */
    public String at(String field) {
        return field.isEmpty() ? place : place + "/" + field.replace("~", "~0").replace("/", "~1");
    }

    /** The entries of a list, by their number. */
    public Fields entries(String field) {
        return new Fields(node, at(field), field + "/", problems);
    }

    public void problem(String field, String message) {
        problems.add(new Problem(at(field), message));
    }

    /**
     * The field's value; empty when it is missing. What is left out is left out: null is none of the format's values.
     */
    private Optional<Value> value(String field) {
        Optional<Value> value = valueOrNull(field);
        if (value.isEmpty() && has(field)) {
            problem(field, "“%s” is null; give a value or leave it out.".formatted(field));
        }
        return value;
    }

    /** The value of a field that says by null that there is none; empty when it is missing or null. */
    private Optional<Value> valueOrNull(String field) {
        known.add(field);
        Value value = node.get(field);
        return value == null || value.is(Value.Kind.NULL) ? Optional.empty() : Optional.of(value);
    }

    private Optional<Value> required(String field) {
        Optional<Value> value = value(field);
        if (value.isEmpty() && node.is(Value.Kind.OBJECT) && !has(field)) {
            problem(field, "“%s” is missing.".formatted(field));
        }
        return value;
    }

    private Optional<String> string(String field, Optional<Value> value) {
        if (value.isPresent() && !value.get().is(Value.Kind.TEXT)) {
            problem(field, "“%s” is %s; a text belongs here.".formatted(list + field, kind(value.get())));
            return Optional.empty();
        }
        return value.map(Value::text).map(Text::tidy);
    }

    /** A text that must be there; a stand-in where it is not or does not fit, of which nothing is read. */
    public String text(String field, Text rule) {
        return fit(field, string(field, required(field)), rule).orElse(STAND_IN);
    }

    /** A text that may be left out; empty then, or where it does not fit. */
    public String optionalText(String field, Text rule) {
        return fit(field, string(field, value(field)), rule).orElse("");
    }

    private Optional<String> fit(String field, Optional<String> text, Text rule) {
        Optional<String> wrong = text.flatMap(t -> rule.problem("“" + list + field + "”", t));
        wrong.ifPresent(message -> problem(field, message));
        return wrong.isPresent() ? Optional.empty() : text;
    }

    /** The part's own id; the stand-in for a bad one is taken from its place, so that it is unique. */
    public Id id() {
        return id("id", required("id")).orElseGet(
                () -> Id.of("unreadable" + Integer.toHexString(place.hashCode())));
    }

    public Id reference(String field) {
        return id(field, required(field)).orElseGet(() -> Id.of("unreadable"));
    }

    public Optional<Id> optionalReference(String field) {
        return id(field, value(field));
    }

    /** A reference that null says there is none of. */
    public Optional<Id> referenceOrNull(String field) {
        return id(field, valueOrNull(field));
    }

    private Optional<Id> id(String field, Optional<Value> value) {
        Optional<String> text = string(field, value);
        Optional<String> wrong = text.flatMap(Id::problem);
        wrong.ifPresent(message -> problem(field, message));
        return wrong.isPresent() ? Optional.empty() : text.map(Id::of);
    }

    public double number(String field, Range rule) {
        return number(field, required(field), rule).orElse(rule.low());
    }

    public double number(String field, Range rule, double otherwise) {
        return number(field, value(field), rule).orElse(otherwise);
    }

    private Optional<Double> number(String field, Optional<Value> value, Range rule) {
        if (value.isEmpty()) {
            return Optional.empty();
        }
        if (!value.get().is(Value.Kind.NUMBER)) {
            problem(field, "“%s” is %s; a number belongs here.".formatted(list + field, kind(value.get())));
            return Optional.empty();
        }
        double number = value.get().number();
        Optional<String> wrong = rule.problem("“" + list + field + "”", number);
        wrong.ifPresent(message -> problem(field, message));
        return wrong.isPresent() ? Optional.empty() : Optional.of(number);
    }

    /** A number without a fraction; {@code otherwise} where it is missing. */
    public int whole(String field, Range rule, int otherwise) {
        double number = number(field, rule, otherwise);
        if (number != Math.rint(number)) {
            problem(field, "“%s” is %s; a whole number belongs here.".formatted(field, number));
        }
        return (int) number;
    }

    public boolean flag(String field, boolean otherwise) {
        Optional<Value> value = value(field);
        if (value.isPresent() && !value.get().is(Value.Kind.TRUTH)) {
            problem(field, "“%s” is %s; true or false belongs here.".formatted(field, kind(value.get())));
            return otherwise;
        }
        return value.map(Value::isTrue).orElse(otherwise);
    }

    public <E extends Enum<E> & Coded> E coded(String field, Class<E> type) {
        return coded(field, string(field, required(field)), type).orElse(type.getEnumConstants()[0]);
    }

    public <E extends Enum<E> & Coded> Optional<E> optionalCoded(String field, Class<E> type) {
        return coded(field, string(field, value(field)), type);
    }

    public <E extends Enum<E> & Coded> Optional<E> codedOrNull(String field, Class<E> type) {
        return coded(field, string(field, valueOrNull(field)), type);
    }

    private <E extends Enum<E> & Coded> Optional<E> coded(String field, Optional<String> text, Class<E> type) {
        Optional<E> constant = text.flatMap(t -> Coded.of(type, t));
        if (text.isPresent() && constant.isEmpty()) {
            problem(field, "“%s” is not one of %s.".formatted(text.get(), Coded.codes(type)));
        }
        return constant;
    }

    /** A field that is a word of {@code type} or a number. */
    public Optional<Value> wordOrNumber(String field) {
        Optional<Value> value = required(field);
        if (value.isPresent() && !value.get().is(Value.Kind.NUMBER) && !value.get().is(Value.Kind.TEXT)) {
            problem(field, "“%s” is %s; a word or a number belongs here.".formatted(field, kind(value.get())));
            return Optional.empty();
        }
        return value;
    }

    /** An object field read by {@code reader}; empty when missing. */
    public <T> Optional<T> object(String field, Function<Fields, T> reader) {
        return value(field).map(value -> read(value, at(field), reader));
    }

    /** An object field read by {@code reader}; empty when missing or null. */
    public <T> Optional<T> objectOrNull(String field, Function<Fields, T> reader) {
        return valueOrNull(field).map(value -> read(value, at(field), reader));
    }

    /** A list of objects; an absent one is empty. */
    public <T> List<T> objects(String field, Function<Fields, T> reader) {
        List<T> read = new ArrayList<>();
        List<Value> items = items(field);
        for (int i = 0; i < items.size() && !problems.isFull(); i++) {
            read.add(read(items.get(i), at(field) + "/" + i, reader));
        }
        return read;
    }

    private <T> T read(Value value, String where, Function<Fields, T> reader) {
        Fields fields = new Fields(value, where, problems);
        T read = reader.apply(fields);
        fields.refuseUnknown();
        return read;
    }

    /** A list of texts; an absent one is empty, and what does not fit is told and left out. */
    public List<String> texts(String field, Text rule, int most) {
        return textsByPlace(field, rule, most).stream().flatMap(Optional::stream).toList();
    }

    /** The same with every entry in its place; empty where it does not fit, which has been told. */
    public List<Optional<String>> textsByPlace(String field, Text rule, int most) {
        List<Value> items = items(field);
        if (items.size() > most) {
            problem(field, "“%s” has %d entries; at most %d fit.".formatted(field, items.size(), most));
        }
        List<Optional<String>> texts = new ArrayList<>();
        for (int i = 0; i < Math.min(most, items.size()); i++) {
            Fields entries = entries(field);
            String entry = Integer.toString(i);
            texts.add(entries.fit(entry, entries.string(entry, Optional.of(items.get(i))), rule));
        }
        return texts;
    }

    private List<Value> items(String field) {
        Optional<Value> value = value(field);
        if (value.isEmpty()) {
            return List.of();
        }
        if (!value.get().is(Value.Kind.LIST)) {
            problem(field, "“%s” is %s; a list [ … ] belongs here.".formatted(field, kind(value.get())));
            return List.of();
        }
        if (value.get().size() > MOST_ITEMS) {
            problem(field, "“%s” has %d entries; at most %d fit.".formatted(field, value.get().size(), MOST_ITEMS));
            return List.of();
        }
        return value.get().items();
    }

    /** An object from ids to true or false; an absent one is empty. */
    public Map<Id, Boolean> flags(String field) {
        return byId(field, (fields, name) -> fields.flag(name, true));
    }

    /** An object from ids to numbers; an absent one is empty. */
    public Map<Id, Double> numbers(String field, Range rule) {
        return byId(field, (fields, name) -> fields.number(name, rule));
    }

    private <V> Map<Id, V> byId(String field, ValueReader<V> reader) {
        Map<Id, V> values = new LinkedHashMap<>();
        object(field, fields -> {
            fields.node.names().forEach(name -> {
                fields.known.add(name);
                Optional<String> wrong = Id.problem(name);
                wrong.ifPresent(message -> fields.problem(name, message));
                V value = reader.read(fields, name);
                if (wrong.isEmpty()) {
                    values.put(Id.of(name), value);
                }
            });
            return values;
        });
        return values;
    }

    /** A list of so many numbers; nought for each that does not fit, which has been told. */
    public List<Double> numbers(String field, Range rule, int count) {
        List<Value> items = items(field);
        if (items.size() != count) {
            problem(field, "“%s” has %d numbers; %d belong here.".formatted(field, items.size(), count));
        }
        List<Double> numbers = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Optional<Value> number = i < items.size() ? Optional.of(items.get(i)) : Optional.empty();
            numbers.add(entries(field).number(Integer.toString(i), number, rule).orElse(0.0));
        }
        return numbers;
    }

    /** An object whose names are codes of {@code type}; an absent one is empty. */
    public <E extends Enum<E> & Coded, V> Map<E, V> byCode(String field, Class<E> type, ValueReader<V> reader) {
        Map<E, V> values = new LinkedHashMap<>();
        object(field, fields -> {
            fields.node.names().forEach(name -> {
                Optional<E> code = fields.coded(name, Optional.of(name), type);
                fields.known.add(name);
                V value = reader.read(fields, name);
                code.ifPresent(c -> values.put(c, value));
            });
            return values;
        });
        return values;
    }

    /** True when the field is there. */
    public boolean has(String field) {
        return node.get(field) != null;
    }

    /** Takes these names as known without reading them. */
    public void accept(String... fields) {
        known.addAll(List.of(fields));
    }

    /** Reads one named field. */
    public interface ValueReader<V> {
        V read(Fields fields, String name);
    }

    /** Adds a problem for every field that nothing asked for; a misspelt name must not be lost silently. */
    public void refuseUnknown() {
        for (String name : node.names()) {
            if (problems.isFull()) {
                return;
            }
            if (!known.contains(name)) {
                problem(name, "“%s” is not a field of this object; known here: %s.".formatted(
                        name.length() > 40 ? name.substring(0, 40) + "…" : name,
                        String.join(", ", known.stream().sorted().toList())));
            }
        }
    }
}
