package app.narrowgate.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;
import org.junit.jupiter.api.Test;

class VectorsTest {

    private static Vector3D any(Random random) {
        return Vector3D.of(random.nextGaussian(), random.nextGaussian(), random.nextGaussian());
    }

    /** Against Apache Commons Geometry, whose sums are exact to the last digit. */
    @Test
    void theyAgreeWithExactSums() {
        Random random = new Random(3);
        for (int run = 0; run < 200; run++) {
            Vector3D one = any(random);
            Vector3D other = any(random);
            double share = random.nextDouble();
            assertThat(Vectors.dot(one, other)).isCloseTo(one.dot(other), within(1e-14));
            assertThat(Vectors.cross(one, other).distance(one.cross(other))).isLessThan(1e-14);
            assertThat(Vectors.length(one)).isCloseTo(one.norm(), within(1e-14));
            assertThat(Vectors.distance(one, other)).isCloseTo(one.distance(other), within(1e-14));
            assertThat(Vectors.direction(one).distance(one.normalize())).isLessThan(1e-14);
            assertThat(Vectors.between(one, other, share).distance(one.lerp(other, share))).isLessThan(1e-14);
            Vector3D square = Vectors.square(one);
            assertThat(square.norm()).isCloseTo(1, within(1e-14));
            assertThat(square.dot(one)).isCloseTo(0, within(1e-14));
        }
    }

    @Test
    void whatIsNowhereHasNoDirection() {
        assertThatThrownBy(() -> Vectors.direction(Vector3D.ZERO)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Vectors.direction(Vector3D.of(Double.NaN, 0, 0))).isInstanceOf(IllegalArgumentException.class);
    }

    /** Against the quaternion that turns the one direction into the other the shortest way. */
    @Test
    void aLimbIsSwungTheShortestWay() {
        Random random = new Random(4);
        for (int run = 0; run < 200; run++) {
            Vector3D up = any(random).normalize();
            Vector3D right = up.orthogonal();
            Vector3D to = any(random).normalize();
            Vector3D carried = any(random);
            Vector3D swung = QuaternionRotation.createVectorRotation(up.negate(), to).apply(carried);
            assertThat(new Frame(right, up, up.cross(right)).swung(to, carried).distance(swung)).isLessThan(1e-9);
        }
    }
}
