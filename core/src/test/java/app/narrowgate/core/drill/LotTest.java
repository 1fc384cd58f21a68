package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class LotTest {

    @Test
    void neighbouringSeedsBeginAllOverTheRange() {
        assertThat(IntStream.range(0, 100).map(seed -> (int) (10 * Lot.of(seed).nextDouble())).distinct().count()).isEqualTo(10);
        assertThat(Lot.of(7).nextLong()).isEqualTo(Lot.of(7).nextLong());
    }

    @Test
    void seedsAreMixedAsThePlatformsOwnSplittableNumbersAre() {
        assertThat(LongStream.of(0, 1, 2, 20, 999_999, -1, Long.MIN_VALUE, Long.MAX_VALUE))
                .allSatisfy(seed -> assertThat(Lot.mixed(seed)).isEqualTo(new SplittableRandom(seed).nextLong()));
    }

    @Test
    void listsAreShuffledAsThePlatformShufflesThem() {
        for (int seed = 0; seed < 200; seed++) {
            List<Integer> ours = new ArrayList<>(IntStream.range(0, 1 + seed % 20).boxed().toList());
            List<Integer> theirs = new ArrayList<>(ours);
            Lot.shuffle(ours, new Random(seed));
            Collections.shuffle(theirs, new Random(seed));
            assertThat(ours).isEqualTo(theirs);
        }
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
