package app.narrowgate.core.drill;

import java.util.Arrays;
import java.util.Random;
import java.util.SplittableRandom;

/** Drawing by lot, the same for the same seed. */
final class Lot {

    private Lot() {
    }

    /** The numbers of a seed. It is mixed first: the platform's generator begins nearly alike for neighbouring seeds. */
    static Random of(long seed) {
        return new Random(new SplittableRandom(seed).nextLong());
    }

    /**
     * One of the numbers {@code 0 .. weights.length-1}, with chances as their weights; one of weight 0 never.
     *
     * @param weights at least 0, one of them above
     */
    static int drawn(Random random, double[] weights) {
        double at = random.nextDouble() * Arrays.stream(weights).sum();
        int last = -1;
        for (int i = 0; i < weights.length; i++) {
            if (weights[i] > 0) {
                last = i;
                at -= weights[i];
                if (at < 0) {
                    return i;
                }
            }
        }
        return last;
    }
}
