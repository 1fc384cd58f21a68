package app.narrowgate.core.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The smallest set that shuts the map, against trying every set. */
class CutSearchTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    static IntStream seeds() {
        return IntStream.range(2000, 2120);
    }

    /** Thinking time and clocks included, so that being quicker sometimes harms; at every read. */
    @ParameterizedTest
    @MethodSource("seeds")
    void isTheSmallestOfAll(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 5, 2, 3));
        for (double read : new double[] {0, 0.5, 1}) {
            SolvedMap whole = SolvedMap.of(index, EVEN.withRead(read).withLate(0.3 * (seed % 3)));
            double threshold = (0.5 + 0.1 * (seed % 5)) * whole.startWorth();
            SmallestCut cut = CutSearch.search(whole, threshold, Progress.NONE);
            if (threshold < 1e-6) {
                // Nothing to lose: the worth is 0, known to within the bounds.
                continue;
            }
            int smallest = smallest(whole, threshold);
            if (smallest <= CutSearch.EXACT_SIZE) {
                assertThat(cut.found()).as("read %s", read).isTrue();
                assertThat(cut.exact()).as("read %s", read).isTrue();
                assertThat(cut.reactions()).as("read %s", read).hasSize(smallest);
                assertThat(cut.startWithout()).isLessThan(threshold);
                assertThat(whole.without(Set.copyOf(cut.reactions())).startWorth()).isEqualTo(cut.startWithout());
            } else if (smallest == Integer.MAX_VALUE) {
                assertThat(cut.found()).isFalse();
            } else {
                assertThat(cut.atLeast()).isLessThanOrEqualTo(smallest);
                assertThat(!cut.found() || cut.reactions().size() >= smallest).isTrue();
                assertThat(cut.exact()).isEqualTo(cut.found() && cut.reactions().size() == CutSearch.EXACT_SIZE + 1);
            }
        }
    }

    private static int smallest(SolvedMap whole, double threshold) {
        List<Id> all = new ArrayList<>(whole.map().reactions().stream().map(Reaction::id).toList());
        int smallest = Integer.MAX_VALUE;
        for (int bits = 0; bits < 1 << all.size(); bits++) {
            Set<Id> taken = new HashSet<>();
            for (int i = 0; i < all.size(); i++) {
                if ((bits >> i & 1) == 1) {
                    taken.add(all.get(i));
                }
            }
            if (taken.size() < smallest && whole.without(taken).startWorth() < threshold) {
                smallest = taken.size();
            }
        }
        return smallest;
    }

    /** A partner who always finds the worst goes left now; without the only answer on the right he would go there. */
    @Test
    void looksAtLandingsThatOnlyAReaderWouldTurnTo() {
        MapFixture fixture = new MapFixture().situation("start").start("start").situation("left").situation("right")
                .reaction("start", 1, "left", "right")
                .reaction("left", 0.5, 0, java.util.Map.of(), java.util.Optional.of("tap"), "win")
                .reaction("left", 0.5, 0, java.util.Map.of(), java.util.Optional.of("tap"), "win")
                .reaction("right", 0.9, 0, java.util.Map.of(), java.util.Optional.of("tap"), "win");
        SolvedMap whole = SolvedMap.of(MapIndex.of(fixture.map()),
                EVEN.withRead(1).withThinking(ThinkingTime.NONE));
        SmallestCut cut = CutSearch.search(whole, 0.4, Progress.NONE);
        assertThat(cut.reactions()).hasSize(1);
        assertThat(cut.exact()).isTrue();
    }

    @Test
    void longWorkCanBeStopped() {
        SolvedMap whole = SolvedMap.of(MapIndex.of(RandomMaps.map(new Random(1), 8, 3, 3)), EVEN);
        assertThatThrownBy(() -> CutSearch.search(whole, 0.01, Progress.until(() -> true)))
                .isInstanceOf(StoppedException.class);
    }
}
