package app.narrowgate.exchange.table;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.Text;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.Set;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * The rows of a table whose first row names the columns.
 *
 * @param columns all that there may be
 * @param needed those of them without which no row says anything
 * @param most rows
 * @param what a row says, in the plural, such as people
 */
public record Rows(List<String> columns, List<String> needed, int most, String what) {

    /** Commas or semicolons of a line: more than all sentences of a row have. Each would be a cell and cost its memory, however empty it is. */
    static final int MOST_SEPARATORS = 5_000;

    /** Takes a row. */
    public interface Reader {
        void row(CSVRecord row, long line);
    }

    /** Gives every row to {@code reader}, and tells what is wrong with the table itself; where a needed column is missing no row is read. */
    public void read(String text, Problems problems, Reader reader) {
        OptionalInt wide = tooWide(text);
        if (wide.isPresent()) {
            problems.add(new Problem("line " + wide.getAsInt(), "This line has more than %d cells; there are %s.".formatted(MOST_SEPARATORS,
                    String.join(", ", columns))));
            return;
        }
        try (CSVParser rows = CSVParser.parse(new StringReader(Cells.withoutMark(text)), Cells.readable(text))) {
            if (!hasColumns(rows.getHeaderNames(), problems)) {
                return;
            }
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() > most) {
                    problems.add(new Problem("line " + rows.getCurrentLineNumber(), "More than %d %s; split the table.".formatted(most, what)));
                    return;
                }
                if (problems.isFull()) {
                    return;
                }
                reader.row(row, rows.getCurrentLineNumber());
            }
        } catch (CSVException e) {
            problems.add(new Problem("", Cells.notATable(e)));
        } catch (IllegalArgumentException | UncheckedIOException e) {
            problems.add(new Problem("", Cells.notATable(e)));
        } catch (IOException e) {
            throw new UncheckedIOException("Impossible state: a text could not be read", e);
        }
    }

    /** The first line that has too many cells. */
    private static OptionalInt tooWide(String text) {
        int line = 1;
        int separators = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\n' || c == '\r') {
                line += c == '\n' ? 1 : 0;
                separators = 0;
            } else if ((c == ',' || c == ';') && ++separators > MOST_SEPARATORS) {
                return OptionalInt.of(line);
            }
        }
        return OptionalInt.empty();
    }

    private boolean hasColumns(List<String> header, Problems problems) {
        Set<String> there = new LinkedHashSet<>();
        header.forEach(name -> there.add(name.toLowerCase(Locale.ROOT)));
        List<String> missing = needed.stream().filter(name -> !there.contains(name)).toList();
        missing.forEach(name -> problems.add(new Problem("line 1", "The column “%s” is missing; the first row names the columns: %s."
                .formatted(name, String.join(", ", columns)))));
        there.stream().filter(name -> !columns.contains(name)).forEach(name -> problems.add(new Problem("line 1",
                "No column is called “%s”; there are %s.".formatted(Text.shown(name), String.join(", ", columns)))));
        return missing.isEmpty();
    }
}
