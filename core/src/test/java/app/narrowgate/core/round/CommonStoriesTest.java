package app.narrowgate.core.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The likeliest stories against listing every story of up to so many exchanges. */
class CommonStoriesTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    static IntStream seeds() {
        return IntStream.range(3000, 3040);
    }

    /** Chances of every way a round of up to {@code left} exchanges can go, told apart by place and order only. */
    private static void list(SolvedMap solved, int place, double chance, int left, List<Double> ends) {
        if (solved.chain().ends(place)) {
            ends.add(chance);
        } else if (left > 0) {
            for (Branch branch : solved.branches(solved.placeId(place))) {
                list(solved, solved.place(branch.landing()), chance * branch.share(), left - 1, ends);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void areTheLikeliestOfAll(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 5, 2, 2));
        Setting setting = EVEN.withRead(seed % 2 == 0 ? 0 : 0.4).withLate(0.5 * (seed % 3));
        SolvedMap solved = SolvedMap.of(index, setting);
        List<Double> every = new ArrayList<>();
        double[] starts = solved.starts();
        for (int s = 0; s < starts.length; s++) {
            list(solved, s, starts[s], 6, every);
        }
        every.removeIf(chance -> chance <= 0);
        every.sort(Comparator.reverseOrder());

        List<CommonStories.Story> stories = CommonStories.of(SolvedMap.of(index, setting), Optional.empty(), 3);

        List<CommonStories.Story> within = stories.stream().filter(s -> s.steps().size() <= 6).toList();
        for (int i = 0; i < within.size(); i++) {
            assertThat(within.get(i).chance()).isLessThanOrEqualTo(1);
        }
        if (stories.size() == within.size()) {
            assertThat(stories.stream().map(CommonStories.Story::chance).toList()).usingElementComparator(
                    (a, b) -> Math.abs(a - b) < 1e-12 ? 0 : Double.compare(a, b))
                    .isEqualTo(every.subList(0, Math.min(3, every.size())));
        }
    }

    @Test
    void areToldInWords() {
        MapIndex index = MapIndex.of(new MapFixture().situation("pin").reaction("pin", 0.75, "win*3", "tap").map());
        List<CommonStories.Story> stories = CommonStories.of(SolvedMap.of(index, EVEN), Optional.of(Id.of("pin")), 2);
        assertThat(stories.get(0).chance()).isCloseTo(0.75 * 0.75, within(1e-12));
        assertThat(StoryTeller.tell(index, stories.get(0))).containsExactly(
                "Situation pin: “Technique”, and they answer: “Outcome win”.", "It ends: Outcome win.");
    }

    @Test
    void asksForACountThatCanBeTold() {
        MapIndex index = MapIndex.of(new MapFixture().situation("pin").map());
        assertThatThrownBy(() -> CommonStories.of(SolvedMap.of(index, EVEN), Optional.empty(), 0)).hasMessageContaining("between 1 and 20");
        assertThatThrownBy(() -> CommonStories.of(SolvedMap.of(index, EVEN), Optional.of(Id.of("ghost")), 1))
                .hasMessageContaining("ghost");
    }
}
