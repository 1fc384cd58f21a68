package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import java.util.function.DoubleSupplier;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ojalgo.matrix.decomposition.LU;
import org.ojalgo.matrix.store.R064Store;

/** How sure figures are that were learned together, beside the inverse of all information, made in full. */
class JointTest {

    private static final int DRAWS = 40_000;

    private static double[] numbers(int many, DoubleSupplier next) {
        return IntStream.range(0, many).mapToDouble(i -> next.getAsDouble()).toArray();
    }

    /** What a general solver makes of what was believed before and all scores. */
    private static double[][] inverse(double[] precision, double[][] scores) {
        int n = precision.length;
        double[][] information = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                information[i][j] = i == j ? precision[i] : 0;
                for (double[] score : scores) {
                    information[i][j] += score[i] * score[j];
                }
            }
        }
        LU<Double> lu = LU.R064.make(n, n);
        lu.decompose(R064Store.FACTORY.rows(information));
        return lu.getInverse().toRawCopy2D();
    }

    private static double[] mixed(double[][] ways, int figures, SplittableRandom random) {
        double[] mixed = new double[figures];
        for (double[] way : ways) {
            double share = random.nextGaussian();
            for (int i = 0; i < figures; i++) {
                mixed[i] += share * way[i];
            }
        }
        return mixed;
    }

    /** One round that speaks for two figures of variance 1 at once: (1 + ssᵀ)⁻¹ is 2/3 beside -1/3, by hand. */
    @Test
    void twoFiguresOfWhichOneRoundSpeaksHangTogether() {
        Joint joint = new Joint(new double[] {1, 1}, new double[][] {{1, 1}});
        assertThat(joint.variance(0)).isCloseTo(2 / 3., within(1e-15));
        assertThat(joint.varied(new double[] {1, 0})).containsExactly(new double[] {2 / 3., -1 / 3.}, within(1e-15));
    }

    /** Fewer kinds of round than figures, as many, and more; also such that hang together, as the shares of answers do, and none at all. */
    @ParameterizedTest
    @CsvSource({"1, 1, 1", "40, 7, 7", "12, 12, 12", "9, 60, 9", "30, 60, 4", "6, 40, 0", "5, 0, 0"})
    void isTheInverseOfAllInformation(int figures, int kinds, int apart) {
        SplittableRandom random = new SplittableRandom(figures * 100L + kinds);
        double[] precision = numbers(figures, () -> Math.exp(random.nextGaussian() * 2));
        double[][] ways = IntStream.range(0, apart).mapToObj(way -> numbers(figures, () -> random.nextInt(3) == 0 ? 0 : random.nextGaussian()))
                .toArray(double[][]::new);
        double[][] scores = IntStream.range(0, kinds).mapToObj(kind -> mixed(ways, figures, random)).toArray(double[][]::new);
        double[][] inverse = inverse(precision, scores);
        double widest = DoubleStream.of(precision).map(one -> 1 / one).max().orElseThrow();
        Joint joint = new Joint(precision, scores);
        for (int i = 0; i < figures; i++) {
            assertThat(joint.variance(i)).isCloseTo(inverse[i][i], within(1e-7 / precision[i]));
            double[] one = new double[figures];
            one[i] = 1;
            assertThat(joint.varied(one)).containsExactly(inverse[i], within(1e-7 * widest));
        }
    }

    /** Rounds may have been logged of which nothing is left to learn. */
    @Test
    void ofNoFigureThereIsNothingToSay() {
        assertThat(new Joint(new double[0], new double[3][0]).drawn(new double[0], new SplittableRandom(1))).isEmpty();
    }

    /** Draws of what was believed before, pulled as the rounds pull, vary as what is believed does. */
    @Test
    void drawsVaryAsWhatIsBelieved() {
        SplittableRandom random = new SplittableRandom(3);
        double[] precision = {1, 4, .25, 2};
        double[][] scores = {{1, -1, 0, 0}, {0, 2, 1, 0}, {.5, .5, .5, 0}};
        double[][] variance = inverse(precision, scores);
        Joint joint = new Joint(precision, scores);
        double[][] together = new double[4][4];
        for (int draw = 0; draw < DRAWS; draw++) {
            double[] before = IntStream.range(0, 4).mapToDouble(i -> random.nextGaussian() / Math.sqrt(precision[i])).toArray();
            double[] off = joint.drawn(before, random);
            assertThat(off[3]).as("no round speaks of it").isEqualTo(before[3]);
            for (int i = 0; i < 4; i++) {
                for (int j = 0; j < 4; j++) {
                    together[i][j] += off[i] * off[j] / DRAWS;
                }
            }
        }
        for (int i = 0; i < 4; i++) {
            for (int j = 0; j < 4; j++) {
                // A mean of products of normals errs by the root of (vᵢvⱼ + cᵢⱼ²) over the draws; four and a half times that never happens by chance.
                double errs = Math.sqrt((variance[i][i] * variance[j][j] + variance[i][j] * variance[i][j]) / DRAWS);
                assertThat(together[i][j]).isCloseTo(variance[i][j], within(4.5 * errs));
            }
        }
    }
}
