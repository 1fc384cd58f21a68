package app.narrowgate.core.term;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import java.time.LocalDate;

/**
 * Some weeks of classes that belong together.
 *
 * @param first its first day
 * @param last its last day, not before the first
 */
public record Term(String title, LocalDate first, LocalDate last) {

    /** Weeks that a term lasts at most. */
    public static final int MOST_WEEKS = 26;

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);

    public Term {
        Text.TITLE.require("The title of a term", title);
        if (last.isBefore(first)) {
            throw new RefusedException("The term ends on %s, before it begins on %s; let it end later.".formatted(last, first));
        }
        if (last.isAfter(first.plusWeeks(MOST_WEEKS))) {
            throw new RefusedException("A term lasts at most %d weeks; this one would last from %s to %s.".formatted(MOST_WEEKS, first, last));
        }
        if (first.isBefore(EARLIEST) || last.isAfter(LATEST)) {
            throw new RefusedException("A term lies between 1990 and 2200.");
        }
    }
}
