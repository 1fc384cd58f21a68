package app.narrowgate.exchange.person;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.exchange.table.Cells;
import app.narrowgate.exchange.table.Rows;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** A roster as RFC 4180 CSV with a header, one person a row. */
public final class RosterCsv {

    /** The columns, in the order in which they are written; all but the name may be missing. */
    public static final List<String> COLUMNS = List.of("name", "level", "weight-kg", "height-cm", "age", "strong", "joined", "notes");

    private static final Rows ROWS = new Rows(COLUMNS, List.of("name"), 2_000, "people");

    private RosterCsv() {
    }

    /** The table of people, in their order. */
    public static String write(List<Person> people) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter rows = new CSVPrinter(text, CSVFormat.RFC4180.builder().setHeader(COLUMNS.toArray(String[]::new)).get())) {
            for (Person person : people) {
                rows.printRecord(Cells.guarded(person.name()), person.level().map(Level::code).orElse(""),
                        person.weight().map(Cells::number).orElse(""), person.height().map(Cells::number).orElse(""), person.age().code(),
                        person.strong().map(Side::code).orElse(""), person.joined().map(LocalDate::toString).orElse(""),
                        Cells.guarded(person.notes()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("Impossible state: a text could not be written", e);
        }
        return text.toString();
    }

    /**
     * The people of a table.
     *
     * @throws ProblemsException with every fault by its line and column
     */
    public static List<Person> read(String text) {
        Problems problems = new Problems();
        List<Person> people = new ArrayList<>();
        ROWS.read(text, problems, (row, line) -> new Row(row, line, problems).person().ifPresent(people::add));
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return List.copyOf(people);
    }

    private static final class Row {

        private final CSVRecord cells;
        private final long line;
        private final Problems problems;
        private boolean bad;

        Row(CSVRecord cells, long line, Problems problems) {
            this.cells = cells;
            this.line = line;
            this.problems = problems;
        }

        private String cell(String column) {
            return cells.isMapped(column) && cells.isSet(column) ? Text.tidy(Cells.unguarded(cells.get(column))).strip() : "";
        }

        private void fault(String column, String message) {
            bad = true;
            problems.add(new Problem("line %d, %s".formatted(line, column), message));
        }

        private <T> Optional<T> said(String column, Function<String, T> read) {
            String said = cell(column);
            if (said.isEmpty()) {
                return Optional.empty();
            }
            try {
                return Optional.of(read.apply(said));
            } catch (NumberFormatException e) {
                fault(column, "“%s” is not a number.".formatted(said));
            } catch (DateTimeParseException e) {
                fault(column, "“%s” is no day; write one such as 2025-09-14.".formatted(said));
            } catch (RefusedException e) {
                fault(column, e.getMessage());
            }
            return Optional.empty();
        }

        private Optional<Double> number(String column, String name, Range range) {
            return said(column, said -> range.require(name, Double.parseDouble(said.replace(',', '.'))));
        }

        Optional<Person> person() {
            Optional<Level> level = said("level", said -> Coded.require(Level.class, "The level", said.toLowerCase(Locale.ROOT)));
            Optional<Double> weight = number("weight-kg", "The weight", Person.WEIGHT);
            Optional<Double> height = number("height-cm", "The height", Person.HEIGHT);
            Optional<AgeGroup> age = said("age", said -> Coded.require(AgeGroup.class, "The age", said.toLowerCase(Locale.ROOT)));
            Optional<Side> strong = said("strong", said -> Coded.require(Side.class, "The strong side", said.toLowerCase(Locale.ROOT)));
            Optional<LocalDate> joined = said("joined", LocalDate::parse);
            if (bad) {
                return Optional.empty();
            }
            try {
                return Optional.of(new Person(cell("name"), level, weight, height, age.orElse(AgeGroup.ADULTS), strong, joined, cell("notes")));
            } catch (RefusedException e) {
                fault("name", e.getMessage());
                return Optional.empty();
            }
        }
    }
}
