package app.narrowgate.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RangeTest {

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -1e-300, 1.0000001})
    void whatIsNotInsideIsRefused(double value) {
        assertThat(Range.CHANCE.holds(value)).isFalse();
        assertThatThrownBy(() -> Range.CHANCE.require("A chance", value)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("A chance is ").hasMessageContaining("between 0 and 1.");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -0.0, 1, 0.5, Double.MIN_VALUE})
    void bothEndsBelongToIt(double value) {
        assertThat(Range.CHANCE.require("A chance", value)).isEqualTo(value);
    }

    @ParameterizedTest
    @CsvSource({"0, 'It is 0; it must lie between 0.000001 and 1000000 kg.'",
        "0.00000025, 'It is 0.00000025; it must lie between 0.000001 and 1000000 kg.'",
        "2500000.5, 'It is 2500000.5; it must lie between 0.000001 and 1000000 kg.'"})
    void numbersAreWrittenAsPeopleWriteThem(double value, String sentence) {
        assertThat(new Range(1e-6, 1e6, "kg").problem("It", value)).contains(sentence);
    }

    /** Against the class library's own plain writing, on doubles of every size. */
    @Test
    void noNumberIsWrittenWithAnExponent() {
        Random random = new Random(7);
        Range none = new Range(0, 0, "");
        for (int i = 0; i < 20_000; i++) {
            double value = random.nextInt(4) == 0 ? Math.scalb(random.nextDouble() - 0.5, random.nextInt(600) - 300)
                    : Double.longBitsToDouble(random.nextLong());
            if (Double.isFinite(value) && value != 0 && !(value == Math.rint(value) && Math.abs(value) < 1e15)) {
                assertThat(none.problem("It", value)).contains("It is %s; it must lie between 0 and 0."
                        .formatted(new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString()));
            }
        }
    }

    @Test
    void anUpsideDownRangeIsABug() {
        assertThatThrownBy(() -> new Range(2, 1, "")).hasMessageStartingWith("Impossible state");
        assertThatThrownBy(() -> new Range(0, Double.NaN, "")).hasMessageStartingWith("Impossible state");
    }
}
