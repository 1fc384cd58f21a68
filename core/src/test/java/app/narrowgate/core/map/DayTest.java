package app.narrowgate.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Days of a map against the class library's calendar. */
class DayTest {

    @ParameterizedTest
    @ValueSource(ints = {0, 4, 1900, 2000, 2023, 2024, 2100, 9999})
    void everyDayOfAYearIsOneAndNoOther(int year) {
        for (int month = 0; month <= 13; month++) {
            for (int day = 0; day <= 32; day++) {
                String written = "%04d-%02d-%02d".formatted(year, month, day);
                Optional<LocalDate> expected = day(year, month, day);
                assertThat(Day.read(written).map(Day::toLocalDate)).as(written).isEqualTo(expected);
                assertThat(expected.map(Day::of).map(Day::toString)).isEqualTo(expected.map(LocalDate::toString));
            }
        }
    }

    private static Optional<LocalDate> day(int year, int month, int day) {
        try {
            return Optional.of(LocalDate.of(year, month, day));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "2026-9-03", "2026/09/03", "2026-09-03T00", " 2026-09-03", "20260903", "٢٠٢٦-09-03", "-026-09-03"})
    void whatIsWrittenOtherwiseIsNone(String written) {
        assertThat(Day.read(written)).isEmpty();
    }

    @Test
    void noDayIsMadeThatThereIsNot() {
        assertThatThrownBy(() -> new Day(2026, 2, 29)).isInstanceOf(RefusedException.class).hasMessageContaining("29");
    }
}
