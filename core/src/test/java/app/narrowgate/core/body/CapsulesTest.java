package app.narrowgate.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Closest points of two segments against a search over both. */
class CapsulesTest {

    private static double[] point(Random random) {
        return new double[] {random.nextDouble(), random.nextDouble(), random.nextDouble()};
    }

    private static double distance(double[] p, double[] q, double[] a, double[] b, double s, double t) {
        double sum = 0;
        for (int i = 0; i < 3; i++) {
            double d = p[i] + s * (q[i] - p[i]) - a[i] - t * (b[i] - a[i]);
            sum += d * d;
        }
        return Math.sqrt(sum);
    }

    private static double[] ends(double[]... points) {
        return Arrays.stream(points).flatMapToDouble(Arrays::stream).toArray();
    }

    @Test
    void noPairOfPointsIsNearer() {
        Random random = new Random(7);
        for (int run = 0; run < 200; run++) {
            double[] p = point(random);
            double[] q = run % 10 == 0 ? p.clone() : point(random);
            double[] a = point(random);
            double[] b = run % 15 == 0 ? a.clone() : point(random);
            Capsules.Meeting meeting = Capsules.meeting(ends(p, q, a, b));
            assertThat(distance(p, q, a, b, meeting.along(), meeting.alongOther())).isCloseTo(meeting.distance(), within(1e-12));
            for (double s = 0; s <= 1; s += .05) {
                for (double t = 0; t <= 1; t += .05) {
                    assertThat(meeting.distance()).isLessThanOrEqualTo(distance(p, q, a, b, s, t) + 1e-9);
                }
            }
        }
    }

    @Test
    void crossingAxesArePartedUpwards() {
        Capsules.Meeting meeting = Capsules.meeting(new double[] {-1, 0, 0, 1, 0, 0, 0, -1, 0, 0, 1, 0});
        assertThat(meeting.distance()).isZero();
        assertThat(meeting.z()).isEqualTo(1);
    }
}
