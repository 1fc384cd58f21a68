package app.narrowgate.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Outlines of hulls of discs against what geometry says of them. */
class HullTest {

    private static double length(List<Hull.Stretch> stretches) {
        return stretches.stream().mapToDouble(Hull.Stretch::length).sum();
    }

    /** A stadium of two equal discs a distance d apart has the perimeter 2d + 2πr. */
    @Test
    void theOutlineOfTwoEqualDiscsIsAStadium() {
        Hull hull = new Hull(List.of(new Disc(0, 0, .1, 0), new Disc(.3, .4, .1, 0)));
        assertThat(length(hull.outline())).isCloseTo(2 * .5 + 2 * Math.PI * .1, within(1e-9));
    }

    @Test
    void aDiscInsideAnotherAddsNothing() {
        Hull hull = new Hull(List.of(new Disc(0, 0, .2, 0), new Disc(.05, 0, .1, 0)));
        assertThat(length(hull.outline())).isCloseTo(2 * Math.PI * .2, within(1e-9));
    }

    /** Cauchy: the perimeter of a convex shape is the integral of its support over all directions. */
    @Test
    void thePerimeterIsTheIntegralOfTheSupport() {
        Random random = new Random(3);
        for (int run = 0; run < 50; run++) {
            List<Disc> discs = new ArrayList<>();
            for (int i = 0; i < 2 + run % 5; i++) {
                discs.add(new Disc(random.nextDouble(), random.nextDouble(), .02 + .2 * random.nextDouble(), 0));
            }
            int steps = 20_000;
            double integral = 0;
            for (int i = 0; i < steps; i++) {
                double angle = 2 * Math.PI * (i + .5) / steps;
                integral += discs.stream().mapToDouble(d -> d.support(Math.cos(angle), Math.sin(angle))).max().orElseThrow();
            }
            assertThat(length(new Hull(discs).outline())).isCloseTo(integral * 2 * Math.PI / steps, within(2e-4));
        }
    }

    @Test
    void theOutlineIsClosedAndLiesOnTheEdge() {
        Hull hull = new Hull(List.of(new Disc(0, 0, .1, 0), new Disc(.5, .1, .05, 0), new Disc(.2, .4, .08, 0)));
        List<Hull.Stretch> outline = hull.outline();
        for (int i = 0; i < outline.size(); i++) {
            Hull.Stretch next = outline.get((i + 1) % outline.size());
            assertThat(Math.hypot(outline.get(i).x(1) - next.x(0), outline.get(i).y(1) - next.y(0))).isLessThan(1e-9);
            double x = outline.get(i).x(.5);
            double y = outline.get(i).y(.5);
            assertThat(hull.holds(x, y, -1e-3)).isTrue();
            assertThat(hull.holds(x, y, 1e-3)).isFalse();
        }
    }

    @Test
    void depthIsHowFarInside() {
        Hull hull = new Hull(List.of(new Disc(0, 0, .1, 0), new Disc(.5, 0, .1, 0)));
        assertThat(hull.holds(.25, 0, .1 - 1e-9)).isTrue();
        assertThat(hull.holds(.25, 0, .1 + 1e-9)).isFalse();
        assertThat(hull.holds(.25, .12, -.021)).isTrue();
        assertThat(hull.holds(.25, .12, -.019)).isFalse();
    }

    /** What is left out and what is drawn are together the whole outline. */
    @Test
    void runsAndTheirOppositesMakeTheWhole() {
        Hull hull = new Hull(List.of(new Disc(0, 0, .1, 0), new Disc(.5, .1, .05, 0)));
        List<List<Hull.Stretch>> right = hull.runs(.004, (x, y) -> x > .3);
        List<List<Hull.Stretch>> left = hull.runs(.004, (x, y) -> x <= .3);
        assertThat(right).hasSize(1);
        assertThat(left).hasSize(1);
        assertThat(length(right.get(0)) + length(left.get(0))).isCloseTo(length(hull.outline()), within(1e-9));
        assertThat(hull.runs(.004, (x, y) -> true)).hasSize(1).first().satisfies(run -> assertThat(length(run)).isCloseTo(length(hull.outline()), within(1e-9)));
        assertThat(hull.runs(.004, (x, y) -> false)).isEmpty();
    }
}
