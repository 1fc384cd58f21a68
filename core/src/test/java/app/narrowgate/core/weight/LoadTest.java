package app.narrowgate.core.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Loads against textbook statics: sums of forces and of moments. */
class LoadTest {

    private static Load.Point mat(double x, double y) {
        return new Load.Point(Vector3D.of(x, y, 0), 1, Optional.empty());
    }

    private static Load.Point you(double x, double y, Spot spot) {
        return new Load.Point(Vector3D.of(x, y, .2), 1, Optional.of(spot));
    }

    /** A beam on two supports: the one at distance a from the weight carries b/(a+b) of it. */
    @ParameterizedTest
    @CsvSource({"0, 0", ".25, .25", ".5, .5", ".9, .9", "1, 1"})
    void aBeamOnTwoSupports(double weightAt, double onTheFarOne) {
        Load load = Load.of(Vector3D.of(weightAt, 0, .4), List.of(mat(0, 0), you(1, 0, Spot.HIPS))).orElseThrow();
        assertThat(load.likely()).isCloseTo(onTheFarOne, within(1e-6));
        assertThat(load.least()).isCloseTo(onTheFarOne, within(1e-6));
        assertThat(load.most()).isCloseTo(onTheFarOne, within(1e-6));
    }

    /** Three supports leave nothing open: shares are the weight's barycentric coordinates in their triangle. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void threeSupportsLeaveNothingOpen(long seed) {
        Random random = new Random(seed);
        double[] share = {random.nextDouble() + .05, random.nextDouble() + .05, random.nextDouble() + .05};
        double sum = share[0] + share[1] + share[2];
        List<Vector3D> corners = List.of(Vector3D.of(-.3, -.2, 0), Vector3D.of(.4, -.1, 0), Vector3D.of(.05, .5, 0));
        Vector3D centre = Vector3D.ZERO;
        for (int i = 0; i < 3; i++) {
            centre = centre.add(corners.get(i).multiply(share[i] / sum));
        }
        Load load = Load.of(centre, List.of(mat(-.3, -.2), mat(.4, -.1), you(.05, .5, Spot.RIBS))).orElseThrow();
        assertThat(load.likely()).isCloseTo(share[2] / sum, within(1e-6));
        assertThat(load.most() - load.least()).isLessThan(1e-6);
    }

    /**
     * A square table: the middle of it may rest on either pair of opposite legs alone, and springs carry it evenly. In
     * between, by symmetry.
     */
    @Test
    void aSquareTableLeavesARange() {
        List<Load.Point> table = List.of(you(-1, -1, Spot.HIPS), mat(1, -1), you(1, 1, Spot.RIBS), mat(-1, 1));
        Load load = Load.of(Vector3D.of(0, 0, 1), table).orElseThrow();
        assertThat(load.least()).isCloseTo(0, within(1e-6));
        assertThat(load.most()).isCloseTo(1, within(1e-6));
        assertThat(load.likely()).isCloseTo(.5, within(1e-6));
        assertThat(load.spots().get(Spot.HIPS)).isCloseTo(.25, within(1e-6));
        assertThat(load.spots().get(Spot.RIBS)).isCloseTo(.25, within(1e-6));
    }

    /** Two springs in one place share by stiffness. */
    @Test
    void theStifferCarriesMore() {
        List<Load.Point> points = List.of(new Load.Point(Vector3D.ZERO, 2, Optional.of(Spot.RIBS)),
                new Load.Point(Vector3D.ZERO, 1, Optional.empty()));
        assertThat(Load.of(Vector3D.ZERO, points).orElseThrow().likely()).isCloseTo(2 / 3.0, within(1e-6));
    }

    /** A weight outside everything that carries falls; nothing upright holds it. */
    @Test
    void whatFallsHasNoLoad() {
        List<Load.Point> points = List.of(mat(0, 0), mat(1, 0), you(.5, 1, Spot.RIBS));
        assertThat(Load.of(Vector3D.of(.5, 1.1, .3), points)).isEmpty();
        assertThat(Load.of(Vector3D.of(-.2, .1, .3), points)).isEmpty();
        assertThat(Load.of(Vector3D.ZERO, List.of())).isEmpty();
    }

    /** Whatever the points, the likely load lies in its range, and taking a post away can only raise the least. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18})
    void aPostTakenAwayNeverMakesTheLeastLess(long seed) {
        Random random = new Random(seed);
        List<Load.Point> points = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            points.add(mat(random.nextDouble() - .5, random.nextDouble() - .5));
            points.add(you(random.nextDouble() - .5, random.nextDouble() - .5, Spot.BELLY));
        }
        Vector3D centre = points.stream().map(Load.Point::at).reduce(Vector3D.ZERO, Vector3D::add).multiply(.1);
        Load all = Load.of(centre, points).orElseThrow();
        assertThat(all.likely()).isBetween(all.least() - 1e-9, all.most() + 1e-9);
        Load fewer = Load.of(centre, points.subList(1, points.size())).orElse(all);
        assertThat(fewer.least()).isGreaterThanOrEqualTo(all.least() - 1e-6);
        assertThat(fewer.most()).isLessThanOrEqualTo(all.most() + 1e-6);
    }
}
