package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.statistics.distribution.GammaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class InTimeTest {

    /** The Erlang distribution of shape k and mean m is the gamma distribution of shape k and scale m/k. */
    @ParameterizedTest
    @CsvSource({"0,6", "0.01,6", "1.5,6", "6,6", "12,6", "30,6", "2,0.5", "0.3,120", "100,3"})
    void agreesWithTheGammaDistribution(double seconds, double mean) {
        double expected = GammaDistribution.of(InTime.SHAPE, mean / InTime.SHAPE).survivalProbability(seconds);
        assertThat(InTime.chance(seconds, mean)).isCloseTo(expected, within(1e-12));
    }

    @Test
    void fallsFromOneToNothing() {
        assertThat(InTime.chance(0, 6)).isEqualTo(1);
        assertThat(InTime.chance(Double.POSITIVE_INFINITY, 6)).isZero();
        for (double t = 0; t < 30; t += 0.25) {
            assertThat(InTime.chance(t + 0.25, 6)).isLessThan(InTime.chance(t, 6));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -0.001, Double.NEGATIVE_INFINITY})
    void refusesTimesThatAreNone(double seconds) {
        assertThatThrownBy(() -> InTime.chance(seconds, 6)).hasMessageContaining("must be 0 seconds or more");
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, 0, -1})
    void refusesAClockThatDoesNotRun(double mean) {
        assertThatThrownBy(() -> InTime.chance(1, mean)).hasMessageContaining("must be above 0 seconds");
    }
}
