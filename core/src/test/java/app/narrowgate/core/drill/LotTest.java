package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LotTest {

    @Test
    void neighbouringSeedsBeginAllOverTheRange() {
        assertThat(IntStream.range(0, 100).map(seed -> (int) (10 * Lot.of(seed).nextDouble())).distinct().count()).isEqualTo(10);
        assertThat(Lot.of(7).nextLong()).isEqualTo(Lot.of(7).nextLong());
    }

    @Test
    void whatIsDrawnComesAsOftenAsItWeighs() {
        Random random = Lot.of(1);
        double[] weights = {0, 3, 0, 1, 0};
        int[] counts = new int[weights.length];
        int draws = 20_000;
        for (int draw = 0; draw < draws; draw++) {
            counts[Lot.drawn(random, weights)]++;
        }
        assertThat(counts[0] + counts[2] + counts[4]).isZero();
        // Four standard errors of a share of three quarters.
        assertThat((double) counts[1] / draws).isCloseTo(0.75, within(4 * Math.sqrt(0.75 * 0.25 / draws)));
    }
}
