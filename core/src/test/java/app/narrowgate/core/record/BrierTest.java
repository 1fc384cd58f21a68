package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BrierTest {

    /** By hand: 0.2 said four times and true once, 0.8 said six times and true four times; Murphy (1973) for the partition. */
    @Test
    void isTheSumOfItsParts() {
        Brier brier = Brier.of(List.of(new Brier.Forecast(0.2, 4, 1), new Brier.Forecast(0.8, 6, 4)));
        assertThat(brier.score()).isCloseTo((1 * 0.64 + 3 * 0.04 + 4 * 0.04 + 2 * 0.64) / 10, within(1e-12));
        assertThat(brier.reliability()).isCloseTo(0.4 * 0.05 * 0.05 + 0.6 * Math.pow(0.8 - 2 / 3.0, 2), within(1e-12));
        assertThat(brier.resolution()).isCloseTo(0.4 * 0.25 * 0.25 + 0.6 * Math.pow(2 / 3.0 - 0.5, 2), within(1e-12));
        assertThat(brier.uncertainty()).isEqualTo(0.25);
    }

    @Test
    void partsAddUpWhateverWasSaid() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            List<Brier.Forecast> forecasts = new ArrayList<>();
            for (int k = 0; k <= i % 12; k++) {
                int times = 1 + random.nextInt(30);
                forecasts.add(new Brier.Forecast(random.nextDouble(), times, random.nextInt(times + 1)));
            }
            Brier brier = Brier.of(forecasts);
            assertThat(brier.reliability() - brier.resolution() + brier.uncertainty()).isCloseTo(brier.score(), within(1e-12));
        }
    }

    @Test
    void whoSaysTheSameEveryTimeResolvesNothing() {
        Brier brier = Brier.of(List.of(new Brier.Forecast(0.5, 10, 3)));
        assertThat(brier.resolution()).isZero();
        assertThat(brier.uncertainty()).isCloseTo(0.21, within(1e-12));
    }
}
