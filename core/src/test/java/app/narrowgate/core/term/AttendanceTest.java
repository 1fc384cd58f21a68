package app.narrowgate.core.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class AttendanceTest {

    private static final UUID REGULAR = new UUID(0, 1);
    private static final UUID TUESDAYS = new UUID(0, 2);
    /** A Tuesday. */
    private static final LocalDate TUESDAY = LocalDate.of(2026, 9, 1);

    private static List<Attendance.Held> weeks(int weeks) {
        List<Attendance.Held> held = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            held.add(new Attendance.Held(TUESDAY.plusWeeks(week), Set.of(REGULAR, TUESDAYS)));
            held.add(new Attendance.Held(TUESDAY.plusWeeks(week).plusDays(2), Set.of(REGULAR)));
        }
        return held;
    }

    /** The mean of Beta(a, b) is a / (a + b); with a prior of four classes at one of two, nothing seen leaves one of two. */
    @Test
    void nobodyKnownComesEverySecondTime() {
        assertThat(Attendance.of(List.of(), List.of(REGULAR)).comes(REGULAR, DayOfWeek.MONDAY)).isEqualTo(0.5);
        assertThat(Attendance.of(List.of(), List.of()).comes(REGULAR)).isEqualTo(0.5);
    }

    @Test
    void aWeekdayIsDrawnToThePersonAndThePersonToEverybody() {
        Attendance attendance = Attendance.of(weeks(2), List.of(REGULAR, TUESDAYS));
        // Six of eight times somebody was there.
        double everybody = (6 + 4 * 0.5) / (8 + 4);
        double own = (2 + 4 * everybody) / (4 + 4);
        assertThat(attendance.comes(TUESDAYS)).isCloseTo(own, within(1e-12));
        assertThat(attendance.comes(TUESDAYS, DayOfWeek.TUESDAY)).isCloseTo((2 + 4 * own) / (2 + 4), within(1e-12));
        assertThat(attendance.comes(TUESDAYS, DayOfWeek.SUNDAY)).isCloseTo(own, within(1e-12));
    }

    @Test
    void whatWasSeenOftenOutweighsTheRest() {
        Attendance attendance = Attendance.of(weeks(60), List.of(REGULAR, TUESDAYS));
        assertThat(attendance.comes(TUESDAYS, DayOfWeek.TUESDAY)).isGreaterThan(0.95);
        assertThat(attendance.comes(TUESDAYS, DayOfWeek.THURSDAY)).isLessThan(0.05);
        assertThat(attendance.comes(REGULAR, DayOfWeek.THURSDAY)).isBetween(0.95, 1.0);
    }
}
