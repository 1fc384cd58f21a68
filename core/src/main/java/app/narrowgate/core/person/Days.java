package app.narrowgate.core.person;

import app.narrowgate.core.check.RefusedException;
import java.time.LocalDate;

/** Days that can have been meant. */
final class Days {

    private Days() {
    }

    static void require(String name, LocalDate day, LocalDate earliest, LocalDate latest) {
        if (day.isBefore(earliest) || day.isAfter(latest)) {
            throw new RefusedException("%s is %s; it must lie between %s and %s.".formatted(name, day, earliest, latest));
        }
    }
}
