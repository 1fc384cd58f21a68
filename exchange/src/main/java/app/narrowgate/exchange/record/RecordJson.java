package app.narrowgate.exchange.record;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.record.Event;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.json.JsonText;
import app.narrowgate.exchange.table.Cells;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The record file {@value #FORMAT}: lines of JSON, the first of which says what the file is, each further one an event; described in
 * {@code docs/formats}. Reading and writing are inverse, as far as people are called by what they can be found by.
 */
public final class RecordJson {

    /** The format's name and version, which stands in the first line. */
    public static final String FORMAT = "narrowgate-record/1";

    /** As many as a gym logs in some years. */
    static final int MOST_EVENTS = 100_000;

    private static final String FORMAT_FIELD = "format";
    private static final String MAP_FIELD = "map";

    private RecordJson() {
    }

    /**
     * The file of some events, in their order.
     *
     * @param map what their map is called
     * @param called what somebody is called in the file
     */
    public static String write(String map, List<Event> events, Function<UUID, String> called) {
        StringBuilder text = new StringBuilder(JsonNodeFactory.instance.objectNode().put(FORMAT_FIELD, FORMAT).put(MAP_FIELD, map).toString()).append('\n');
        for (Event event : events) {
            ObjectNode line = JsonNodeFactory.instance.objectNode();
            Written.of(event, called).forEach((field, value) -> put(line, field.inJson(), value));
            text.append(line).append('\n');
        }
        return text.toString();
    }

    private static void put(ObjectNode line, String name, Object value) {
        if (value instanceof Integer whole) {
            line.put(name, whole);
        } else if (value instanceof Double number) {
            line.put(name, number);
        } else if (value instanceof Boolean flag) {
            line.put(name, flag);
        } else {
            line.put(name, value.toString());
        }
    }

    /**
     * The events of a file, in their order.
     *
     * @param index the map on which they are
     * @param now nothing in it may lie later than a day from then
     * @throws ProblemsException with what is wrong first with every line, by the line and the field
     */
    public static List<Event> read(String text, MapIndex index, Who who, Instant now) {
        Problems problems = new Problems();
        EventReader reader = new EventReader(index, who, now);
        List<Event> events = new ArrayList<>();
        List<String> lines = Cells.withoutMark(text).lines().toList();
        requireFirst(lines.stream().findFirst().filter(line -> !line.isBlank())
                .orElseThrow(() -> new ProblemsException(List.of(new Problem("line 1", "The file is empty, or its first line is.")))), problems);
        for (int i = 1; i < lines.size() && !problems.isFull(); i++) {
            if (!lines.get(i).isBlank()) {
                read(lines.get(i), "line " + (i + 1), reader, problems).ifPresent(events::add);
            }
            if (events.size() > MOST_EVENTS) {
                problems.add(new Problem("line " + (i + 1), "More than %d events; split the file.".formatted(MOST_EVENTS)));
                break;
            }
        }
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return List.copyOf(events);
    }

    private static void requireFirst(String line, Problems problems) {
        Fields first = new Fields(new JacksonValue(JsonText.parse(line)), "line 1", problems);
        first.requireFormat(FORMAT, "record file");
        first.optionalText(MAP_FIELD, Text.TITLE);
        first.refuseUnknown();
    }

    private static Optional<Event> read(String line, String place, EventReader reader, Problems problems) {
        try {
            JsonNode node = JsonText.parse(line);
            if (!(node instanceof ObjectNode object)) {
                problems.add(new Problem(place, "An event is an object, { … }."));
                return Optional.empty();
            }
            List<String> unknown = object.propertyNames().stream().filter(name -> Field.inJson(name).isEmpty()).toList();
            if (!unknown.isEmpty()) {
                problems.add(new Problem(place, "Nothing of an event is called “%s”.".formatted(Text.shown(unknown.get(0)))));
                return Optional.empty();
            }
            return Optional.of(reader.read(new Line(object)));
        } catch (ProblemsException e) {
            problems.add(new Problem(place, "This line is no JSON: " + e.problems().get(0).place().replaceFirst("^[^:]*: ?", "")));
        } catch (FieldFault e) {
            problems.add(new Problem(place + ", " + e.field().inJson(), e.getMessage()));
        }
        return Optional.empty();
    }

    /** A line of JSON. */
    private record Line(ObjectNode line) implements Said {

        private Optional<JsonNode> value(Field field) {
            return Optional.ofNullable(line.get(field.inJson())).filter(value -> !value.isNull());
        }

        @Override
        public Optional<String> text(Field field) {
            return value(field).map(value -> required(field, value, value.isString(), "a text", () -> Text.tidy(value.stringValue()).strip()))
                    .filter(text -> !text.isEmpty());
        }

        @Override
        public Optional<Double> number(Field field) {
            return value(field).map(value -> required(field, value, value.isNumber() && Double.isFinite(value.doubleValue()), "a number", value::doubleValue));
        }

        @Override
        public Optional<Boolean> flag(Field field) {
            return value(field).map(value -> required(field, value, value.isBoolean(), "true or false", value::booleanValue));
        }

        private static <T> T required(Field field, JsonNode value, boolean fits, String what, Supplier<T> read) {
            if (!fits) {
                throw new FieldFault(field, "Here belongs %s, not %s.".formatted(what, Text.shown(shortened(value.toString()))));
            }
            return read.get();
        }

        private static String shortened(String text) {
            return text.length() <= 40 ? text : text.substring(0, 40) + "…";
        }

        @Override
        public boolean has(Field field) {
            return value(field).isPresent();
        }

        @Override
        public String name(Field field) {
            return field.inJson();
        }
    }
}
