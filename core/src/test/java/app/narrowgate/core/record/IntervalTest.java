package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntervalTest {

    /** Ends of the exact interval, from memory of its published tables (Clopper and Pearson 1934), 95 %. */
    @ParameterizedTest
    @CsvSource({"0, 10, 0, 0.3085", "5, 10, 0.1871, 0.8129", "10, 10, 0.6915, 1", "1, 20, 0.0013, 0.2487"})
    void isTheOneOfTheTables(int seen, int of, double low, double high) {
        Interval interval = Interval.exact(seen, of, 0.95);
        assertThat(interval.low()).isCloseTo(low, within(5e-5));
        assertThat(interval.high()).isCloseTo(high, within(5e-5));
    }

    /** What it is: at its ends what was seen, or more of it, has just the chance that is left outside. */
    @Test
    void leavesJustSoMuchOutside() {
        for (int seen = 1; seen < 12; seen++) {
            Interval interval = Interval.exact(seen, 12, 0.9);
            assertThat(1 - BinomialDistribution.of(12, interval.low()).cumulativeProbability(seen - 1)).isCloseTo(0.05, within(1e-9));
            assertThat(BinomialDistribution.of(12, interval.high()).cumulativeProbability(seen)).isCloseTo(0.05, within(1e-9));
            assertThat(interval.holds(seen / 12.0)).isTrue();
        }
    }

    @Test
    void moreThanThereWereIsRefused() {
        assertThatThrownBy(() -> Interval.exact(3, 2, 0.9)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> Interval.exact(0, 0, 0.9)).isInstanceOf(RefusedException.class);
    }
}
