package app.narrowgate.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What covers what, of bars laid over each other. */
class CoveringTest {

    private static final Covering.Joined APART = (one, other) -> false;

    /** A bar from one place to another, so near. */
    private static List<Disc> bar(double x, double y, double near, double toX, double toY, double toNear) {
        return List.of(new Disc(x, y, .03, near), new Disc((x + toX) / 2, (y + toY) / 2, .03, (near + toNear) / 2),
                new Disc(toX, toY, .03, toNear));
    }

    @Test
    void theNearerOneComesLast() {
        List<Disc> low = bar(-.3, 0, 0, .3, 0, 0);
        List<Disc> high = bar(0, -.3, .2, 0, .3, .2);
        assertThat(new Covering(List.of(low, high), .005, APART).order()).containsExactly(0, 1);
        assertThat(new Covering(List.of(high, low), .005, APART).order()).containsExactly(1, 0);
    }

    /** Sorting by the middle would fail: the slanting bar's middle is nearer, yet it passes below at the crossing. */
    @Test
    void whatCountsIsTheCrossingNotTheMiddle() {
        List<Disc> slanting = bar(-.3, 0, -.4, .9, 0, 1.2);
        List<Disc> level = bar(-.2, -.2, .1, -.2, .2, .1);
        assertThat(new Covering(List.of(level, slanting), .005, APART).order()).containsExactly(1, 0);
    }

    @Test
    void nothingIsWrongWhereThereIsAnOrder() {
        List<List<Disc>> stack = List.of(bar(-.3, 0, .4, .3, 0, .4), bar(0, -.3, .2, 0, .3, .2), bar(-.3, -.3, 0, .3, .3, 0));
        Covering covering = new Covering(stack, .005, APART);
        assertThat(covering.order()).containsExactly(2, 1, 0);
        assertThat(covering.wrong()).isZero();
        assertThat(covering.worst(0, piece -> true)).isEmpty();
    }

    /** Three that cover each other in a ring have no order; the pair at fault is named, so that one can be halved. */
    @Test
    void aRingIsFound() {
        List<List<Disc>> ring = List.of(bar(-.3, -.1, 0, .3, -.1, .3), bar(.1, -.3, .3, .1, .3, 0), bar(-.25, .25, -.1, .1, -.2, .55));
        List<List<Disc>> wound = List.of(bar(-.3, 0, .2, .3, 0, -.2), bar(-.3, .02, -.2, .3, .02, .2));
        Covering covering = new Covering(wound, .005, APART);
        assertThat(covering.wrong()).isGreaterThan(.05);
        assertThat(covering.worst(4, piece -> true)).isPresent();
        assertThat(new Covering(ring, .005, APART).order()).hasSize(3);
    }

    @Test
    void whatIsHiddenIsNotSeen() {
        List<Disc> behind = List.of(new Disc(0, 0, .02, -1), new Disc(.01, 0, .02, -1));
        List<Disc> before = List.of(new Disc(0, 0, .1, 0), new Disc(.02, 0, .1, 0));
        assertThat(new Covering(List.of(behind, before), .004, APART).shares()).containsExactly(0, 1);
    }
}
