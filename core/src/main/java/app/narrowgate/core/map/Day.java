package app.narrowgate.core.map;

import app.narrowgate.core.check.RefusedException;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A day of the calendar that a map tells of, written {@code 2026-09-03} (ISO 8601). The class library's own would be a tenth of
 * what a browser has to fetch to read a map, and this is all of it that a map needs.
 *
 * @param year 0 to 9999, of the proleptic Gregorian calendar
 * @param month 1 to 12
 * @param day 1 to the month's last
 */
public record Day(int year, int month, int day) {

    private static final String FORM = "yyyy-mm-dd";

    public Day {
        if (!isOne(year, month, day)) {
            throw new RefusedException("There is no day %d of month %d in %d.".formatted(day, month, year));
        }
    }

    /** The same day. */
    public static Day of(LocalDate day) {
        return new Day(day.getYear(), day.getMonthValue(), day.getDayOfMonth());
    }

    /** What is written so; empty where it is no day or written otherwise. */
    public static Optional<Day> read(String written) {
        if (written.length() != FORM.length()) {
            return Optional.empty();
        }
        for (int i = 0; i < FORM.length(); i++) {
            char c = written.charAt(i);
            if (FORM.charAt(i) == '-' ? c != '-' : c < '0' || c > '9') {
                return Optional.empty();
            }
        }
        int year = Integer.parseInt(written.substring(0, 4));
        int month = Integer.parseInt(written.substring(5, 7));
        int day = Integer.parseInt(written.substring(8));
        return isOne(year, month, day) ? Optional.of(new Day(year, month, day)) : Optional.empty();
    }

    private static boolean isOne(int year, int month, int day) {
        return year >= 0 && year <= 9999 && month >= 1 && month <= 12 && day >= 1 && day <= lastOf(year, month);
    }

    private static int lastOf(int year, int month) {
        boolean leaps = year % 4 == 0 && (year % 100 != 0 || year % 400 == 0);
        return month == 2 ? leaps ? 29 : 28 : month == 4 || month == 6 || month == 9 || month == 11 ? 30 : 31;
    }

    /** The same day. */
    public LocalDate toLocalDate() {
        return LocalDate.of(year, month, day);
    }

    @Override
    public String toString() {
        return padded(year, 4) + "-" + padded(month, 2) + "-" + padded(day, 2);
    }

    private static String padded(int number, int length) {
        String digits = Integer.toString(number);
        return "0".repeat(length - digits.length()) + digits;
    }
}
