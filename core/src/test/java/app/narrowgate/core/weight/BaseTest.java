package app.narrowgate.core.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.weight.Supports.Landing;
import app.narrowgate.core.weight.Supports.Post;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;

/** The base against a general geometry library, and tipping against the right-angled triangle. */
class BaseTest {

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private static Post post(double x, double y, double radius) {
        return new Post(new JointOf(Player.THEY, Joint.KNEE_LEFT), Vector3D.of(x, y, 0), radius);
    }

    private static final List<Post> SQUARE = List.of(post(-.2, -.2, 0), post(.2, -.2, 0), post(.2, .2, 0), post(-.2, .2, 0));

    /** atan(d/h): over the middle of a side d is half the side, over a corner half the diagonal. */
    @ParameterizedTest
    @CsvSource({"0, .2", "90, .2", "180, .2", "45, .28284271247461906", "-135, .28284271247461906"})
    void aSquareBaseTipsAtTheAngleOfTheTriangle(double azimuth, double distance) {
        Base base = Base.of(Vector3D.of(0, 0, .3), SQUARE, List.of());
        assertThat(base.degrees(Math.toRadians(azimuth))).isCloseTo(Math.toDegrees(Math.atan(distance / .3)), within(1e-9));
    }

    @Test
    void theWeakestSideOfASquareIsNearestToAWeightOffItsMiddle() {
        Base.Lean weakest = Base.of(Vector3D.of(.15, 0, .3), SQUARE, List.of()).weakest();
        assertThat(weakest.azimuth()).isCloseTo(0, within(1e-9));
        assertThat(weakest.degrees()).isCloseTo(Math.toDegrees(Math.atan(.05 / .3)), within(1e-9));
        List<Vector3D> edge = Base.of(Vector3D.of(.15, 0, .3), SQUARE, List.of()).edge(weakest.azimuth());
        assertThat(edge).extracting(Vector3D::getX).containsOnly(.2);
        assertThat(edge).extracting(Vector3D::getY).containsExactly(-.2, .2);
    }

    /** Outside the base they lean already: by minus the angle, away from the nearest corner. */
    @Test
    void aWeightOutsideLeansAlready() {
        Base.Lean weakest = Base.of(Vector3D.of(.5, .6, .4), SQUARE, List.of()).weakest();
        assertThat(weakest.degrees()).isCloseTo(-Math.toDegrees(Math.atan(.5 / .4)), within(1e-9));
        assertThat(Math.toDegrees(weakest.azimuth())).isCloseTo(Math.toDegrees(Math.atan2(.4, .3)), within(1e-9));
    }

    /** Lifting over an edge raises the centre from h to the hypotenuse of h and d. */
    @Test
    void workIsWeightTimesTheRise() {
        Base base = Base.of(Vector3D.of(0, 0, .3), SQUARE, List.of());
        double rise = (Math.hypot(.3, .2) - .3) * 1.78;
        assertThat(base.work(0, 80, 1.78)).isCloseTo(80 * 9.80665 * rise, within(1e-9));
        assertThat(Base.of(Vector3D.of(.5, 0, .3), SQUARE, List.of()).work(0, 80, 1.78)).isZero();
    }

    /** The outline is the library's hull of the patches, and distances are those to its edges. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void isTheHullOfTheLibrary(long seed) {
        Random random = new Random(seed);
        List<Post> posts = new ArrayList<>();
        for (int i = 0; i < 3 + random.nextInt(8); i++) {
            posts.add(post(random.nextGaussian() * .3, random.nextGaussian() * .3, .01 + random.nextDouble() * .03));
        }
        Vector3D centre = Vector3D.of(random.nextGaussian() * .1, random.nextGaussian() * .1, .3);
        Base base = Base.of(centre, posts, List.of());
        Coordinate[] ring = new Coordinate[base.outline().size() + 1];
        for (int i = 0; i < ring.length; i++) {
            Vector3D corner = base.outline().get(i % base.outline().size());
            ring[i] = new Coordinate(corner.getX(), corner.getY());
        }
        Polygon outline = FACTORY.createPolygon(ring);
        assertThat(outline.isValid()).isTrue();
        assertThat(outline.convexHull().getArea()).isCloseTo(outline.getArea(), within(1e-12));
        // Patches told from the library's own circles: 24-cornered ones lie within 1 - cos(7.5°) of them.
        posts.forEach(post -> assertThat(outline.buffer(.01 * post.radius() + 1e-9)
                .covers(FACTORY.createPoint(new Coordinate(post.at().getX(), post.at().getY())).buffer(post.radius()))).isTrue());
        Point foot = FACTORY.createPoint(new Coordinate(centre.getX(), centre.getY()));
        double toTheEdge = outline.covers(foot) ? outline.getExteriorRing().distance(foot) : -outline.distance(foot);
        assertThat(Math.tan(Math.toRadians(base.weakest().degrees())) * .3).isCloseTo(toTheEdge, within(6e-4));
    }

    /** The weakest side is the least of all directions round. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24, 25, 26})
    void noDirectionIsWeakerThanTheWeakest(long seed) {
        Random random = new Random(seed);
        List<Post> posts = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            posts.add(post(random.nextGaussian() * .3, random.nextGaussian() * .3, .02));
        }
        Base base = Base.of(Vector3D.of(random.nextGaussian() * .3, random.nextGaussian() * .2, .25), posts, List.of());
        double least = base.rose(3600).stream().mapToDouble(d -> d).min().orElseThrow();
        assertThat(base.weakest().degrees()).isBetween(least - .2, least + .2);
    }

    /** A hand that may land widens the base on its side and nowhere else. */
    @Test
    void aHandThatMayLandWidensItsSide() {
        Landing right = new Landing(new JointOf(Player.THEY, Joint.HAND_RIGHT), List.of(Vector3D.of(.5, -.1, 0), Vector3D.of(.5, .1, 0)));
        Base without = Base.of(Vector3D.of(0, 0, .3), SQUARE, List.of());
        Base with = Base.of(Vector3D.of(0, 0, .3), SQUARE, List.of(right));
        assertThat(with.degrees(0)).isCloseTo(Math.toDegrees(Math.atan(.5 / .3)), within(1e-9));
        assertThat(with.degrees(Math.PI)).isEqualTo(without.degrees(Math.PI));
    }
}
