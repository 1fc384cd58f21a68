package app.narrowgate.core.drill;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** Drawing by lot, the same for the same seed. */
final class Lot {

    private Lot() {
    }

    /** The numbers of a seed. It is mixed first: the platform's generator begins nearly alike for neighbouring seeds. */
    static Random of(long seed) {
        return new Random(mixed(seed));
    }

    /**
     * The first number that SplitMix64 draws of a seed (Steele, Lea and Flood 2014, with the multipliers of Stafford's
     * variant 13), as {@code SplittableRandom} does; written out, as browsers have none.
     */
    static long mixed(long seed) {
        long z = seed + 0x9E3779B97F4A7C15L;
        z = (z ^ (z >>> 30)) * 0xBF58476D1CE4E5B9L;
        z = (z ^ (z >>> 27)) * 0x94D049BB133111EBL;
        return z ^ (z >>> 31);
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

    /**
     * Puts a list into an order by lot, the one that {@code Collections.shuffle} gives it; written out, as the numbers below
     * a bound are not everywhere drawn as {@link Random#nextInt(int)} says they are.
     */
    static void shuffle(List<?> list, Random random) {
        for (int left = list.size(); left > 1; left--) {
            Collections.swap(list, left - 1, below(random, left));
        }
    }

    private static int below(Random random, int bound) {
        int drawn = random.nextInt() >>> 1;
        if ((bound & -bound) == bound) {
            return (int) (bound * (long) drawn >> 31);
        }
        int number = drawn % bound;
        // Numbers of the last, incomplete round of the bound would come more often than others.
        while (drawn - number + (bound - 1) < 0) {
            drawn = random.nextInt() >>> 1;
            number = drawn % bound;
        }
        return number;
    }
}
