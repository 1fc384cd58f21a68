package app.narrowgate.exchange.table;

import app.narrowgate.core.check.Text;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/** What every table has in common, whatever stands in it. */
public final class Cells {

    /**
     * Where a spreadsheet would begin to compute, also one that splits at semicolons or tabs, looks through what cannot be
     * seen, or takes the wide forms of the signs.
     */
    private static final String BEGINNING = "(^|[;\\t])";
    private static final String COMPUTES = "(?=[\\s\\p{Cf}]*['=+\\-@＝＋－＠])";
    private static final Pattern FORMULA = Pattern.compile(BEGINNING + COMPUTES);
    private static final Pattern GUARDED = Pattern.compile(BEGINNING + "'" + COMPUTES);

    private Cells() {
    }

    /** A text as a cell, with an apostrophe before what a spreadsheet would take for a formula. */
    public static String guarded(String text) {
        return FORMULA.matcher(text).replaceAll("$1'");
    }

    /** The text of a cell, without the apostrophes that {@link #guarded} put there. */
    public static String unguarded(String cell) {
        return GUARDED.matcher(cell).replaceAll("$1");
    }

    /** How to read a table with its columns' names in the first row. Spreadsheets of many countries write semicolons. */
    public static CSVFormat readable(String text) {
        String header = text.lines().findFirst().orElse("");
        char delimiter = header.chars().filter(c -> c == ';').count() > header.chars().filter(c -> c == ',').count() ? ';' : ',';
        return CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setIgnoreEmptyLines(true)
                .setTrim(true).setIgnoreHeaderCase(true).setDelimiter(delimiter).get();
    }

    /** A text without the mark that some programs put before it. */
    public static String withoutMark(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /** Why a text is no table; the library's own words say where, seldom what to do. */
    public static String notATable(Exception e) {
        Throwable first = e;
        while (first.getCause() != null) {
            first = first.getCause();
        }
        return "This is not a table of comma-separated values with the columns' names in its first row: %s."
                .formatted(Text.shown(String.valueOf(first.getMessage())));
    }

    /** A number as it is written, without a point where it has none. */
    public static String number(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e9 ? Long.toString((long) value) : Double.toString(value);
    }
}
