package app.narrowgate.core.person;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PersonLineTest {

    @Test
    void everythingThatIsKnownStandsInOneLine() {
        Person wren = PersonLine.read(" Wren Askeby , 62 kg, 171 cm, Beginner, left, child, since 2025-09 ");
        assertThat(wren.name()).isEqualTo("Wren Askeby");
        assertThat(wren.weight()).contains(62.0);
        assertThat(wren.height()).contains(171.0);
        assertThat(wren.level()).contains(Level.NOVICE);
        assertThat(wren.strong()).contains(Side.LEFT);
        assertThat(wren.age()).isEqualTo(AgeGroup.CHILDREN);
        assertThat(wren.joined()).contains(LocalDate.of(2025, 9, 1));
    }

    @Test
    void aNameIsEnough() {
        assertThat(PersonLine.read("Joss Tillender")).isEqualTo(Person.named("Joss Tillender"));
    }

    /** A pound is 0.45359237 kg and an inch 2.54 cm (international yard and pound agreement, 1959). */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"A, 62, 171 | 62 | 171", "A,62,171 | 62 | 171", "A, 62,5, 171 | 62.5 | 171", "A; 137 lb; 5'7\" | 62.1 | 170.2",
        "A, 200 lbs, 6 ft | 90.7 | 182.9", "A, 1.71 m, 62.5kgs | 62.5 | 171", "A, 5 ft 11, 80 | 80 | 180.3"})
    void sizesAreTurnedIntoKilogramsAndCentimetres(String line, double weight, double height) {
        Person person = PersonLine.read(line);
        assertThat(person.weight()).contains(weight);
        assertThat(person.height()).contains(height);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"'' | empty", "' , ,' | empty", "A, purple | “purple”", "A, 62 kg, 64 kg | twice", "A, left, right | twice",
        "A, 2025-13 | no day", "A, 900 kg | between 10 and 250", "A, 62, 171, 9 | twice", "A, 40 cm | between 70"})
    void whatIsNotUnderstoodIsNamed(String line, String told) {
        assertThatThrownBy(() -> PersonLine.read(line)).isInstanceOf(RefusedException.class).hasMessageContaining(told);
    }

    @ParameterizedTest
    @ValueSource(strings = {"A\u0000", "A<script>", "\u202e", "A, NaN kg", "A, 1e3", "A, -5 kg", "A, ∞", "A, 62 stone"})
    void nothingBrokenComesIn(String line) {
        assertThatThrownBy(() -> PersonLine.read(line)).isInstanceOf(RefusedException.class);
    }
}
