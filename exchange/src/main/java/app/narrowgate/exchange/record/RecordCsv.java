package app.narrowgate.exchange.record;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.record.Event;
import app.narrowgate.exchange.table.Cells;
import app.narrowgate.exchange.table.Rows;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** Events as RFC 4180 CSV with a header, one a row, the way they come back from a spreadsheet. */
public final class RecordCsv {

    private static final Rows ROWS = new Rows(columns(), List.of(Field.KIND.inTable(), Field.AT.inTable()), RecordJson.MOST_EVENTS, "events");
    private static final Set<String> TRUE = Set.of("true", "yes", "x", "1");
    private static final Set<String> FALSE = Set.of("false", "no", "0");

    private RecordCsv() {
    }

    /** The columns, in the order in which they are written; all but {@code kind} and {@code at} may be missing. */
    public static List<String> columns() {
        return Field.columns();
    }

    /**
     * The table of some events, in their order.
     *
     * @param called what somebody is called in the file
     */
    public static String write(List<Event> events, Function<UUID, String> called) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter rows = new CSVPrinter(text, CSVFormat.RFC4180.builder().setHeader(columns().toArray(String[]::new)).get())) {
            for (Event event : events) {
                Map<Field, Object> written = Written.of(event, called);
                List<String> cells = new ArrayList<>();
                for (Field field : Field.values()) {
                    cells.add(cell(written.get(field)));
                }
                rows.printRecord(cells);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("Impossible state: a text could not be written", e);
        }
        return text.toString();
    }

    private static String cell(Object value) {
        if (value == null) {
            return "";
        }
        return value instanceof Double number ? Cells.number(number) : value instanceof String said ? Cells.guarded(said) : value.toString();
    }

    /**
     * The events of a table, in their order.
     *
     * @param index the map on which they are
     * @param now nothing in it may lie later than a day from then
     * @throws ProblemsException with what is wrong first with every row, by its line and column
     */
    public static List<Event> read(String text, MapIndex index, Who who, Instant now) {
        Problems problems = new Problems();
        EventReader reader = new EventReader(index, who, now);
        List<Event> events = new ArrayList<>();
        ROWS.read(text, problems, (row, line) -> read(new Row(row), line, reader, problems).ifPresent(events::add));
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return List.copyOf(events);
    }

    private static Optional<Event> read(Row row, long line, EventReader reader, Problems problems) {
        if (row.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(reader.read(row));
        } catch (FieldFault e) {
            problems.add(new Problem("line %d, %s".formatted(line, e.field().inTable()), e.getMessage()));
            return Optional.empty();
        }
    }

    /** A row of a table. */
    private record Row(CSVRecord cells) implements Said {

        boolean isEmpty() {
            return cells.stream().allMatch(String::isBlank);
        }

        @Override
        public Optional<String> text(Field field) {
            String column = field.inTable();
            return Optional.of(cells.isMapped(column) && cells.isSet(column) ? Text.tidy(Cells.unguarded(cells.get(column))).strip() : "")
                    .filter(text -> !text.isEmpty());
        }

        @Override
        public Optional<Double> number(Field field) {
            return text(field).map(text -> {
                try {
                    return Optional.of(Double.parseDouble(text.replace(',', '.'))).filter(Double::isFinite);
                } catch (NumberFormatException e) {
                    return Optional.<Double>empty();
                }
            }).map(number -> number.orElseThrow(() -> new FieldFault(field, "“%s” is not a number.".formatted(text(field).orElse("")))));
        }

        @Override
        public Optional<Boolean> flag(Field field) {
            return text(field).map(text -> text.toLowerCase(Locale.ROOT)).map(text -> {
                if (!TRUE.contains(text) && !FALSE.contains(text)) {
                    throw new FieldFault(field, "“%s” is neither true nor false.".formatted(text));
                }
                return TRUE.contains(text);
            });
        }

        @Override
        public boolean has(Field field) {
            return text(field).isPresent();
        }

        @Override
        public String name(Field field) {
            return field.inTable();
        }
    }
}
