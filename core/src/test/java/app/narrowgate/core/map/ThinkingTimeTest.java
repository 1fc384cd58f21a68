package app.narrowgate.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ThinkingTimeTest {

    /** Hick (1952), Hyman (1953): time grows with log2(n + 1), so doubling n + 1 adds one coefficient. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 3, 7, 15, 31})
    void doublingTheAlternativesAddsOneBit(int answers) {
        ThinkingTime thinking = new ThinkingTime(0.2, 0.15);
        int doubled = 2 * (answers + 1) - 1;
        assertThat(thinking.seconds(doubled) - thinking.seconds(answers)).isCloseTo(0.15, within(1e-12));
    }

    @Test
    void nothingToChooseTakesTheBase() {
        assertThat(ThinkingTime.USUAL.seconds(0)).isEqualTo(0.2);
        assertThat(ThinkingTime.NONE.seconds(6)).isZero();
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -0.1, Double.POSITIVE_INFINITY, 11})
    void refusesCoefficientsOutside(double value) {
        assertThatThrownBy(() -> new ThinkingTime(value, 0.15)).hasMessageContaining("between 0 and 10 seconds");
        assertThatThrownBy(() -> new ThinkingTime(0.2, value)).hasMessageContaining("between 0 and 10 seconds");
    }
}
