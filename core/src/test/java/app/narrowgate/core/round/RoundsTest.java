package app.narrowgate.core.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.odds.SolvedMaps;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Rolled and flowing rounds against the solver, on seeded random maps. */
class RoundsTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    static IntStream seeds() {
        return IntStream.range(2000, 2060);
    }

    /** Inside a 99.9 % interval: 3.29 standard errors, plus what rounds cut off could be worth. */
    @ParameterizedTest
    @MethodSource("seeds")
    void simulationAgreesWithTheSolver(int seed) {
        SolvedMap map = SolvedMaps.solved(seed);
        RoundSimulation rolled = RoundSimulation.run(map, Optional.empty(), 20_000, 2, seed, Progress.NONE);
        double solved = map.startWorth();
        double error = Math.max(rolled.error(), Math.sqrt(solved * (1 - solved) / rolled.rounds()));
        assertThat(rolled.worth()).isCloseTo(solved, within(3.29 * error + rolled.cutOff() + 1e-9));
        assertThat(RoundSimulation.run(map, Optional.empty(), 20_000, 2, seed, Progress.NONE))
                .isEqualTo(rolled);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theFlowKeepsEverybodyAndEndsWhereTheOddsSay(int seed) {
        Flow flow = Flow.of(SolvedMaps.solved(seed), Optional.empty(), 30);
        flow.exchanges().forEach(layer -> assertThat(layer.values().stream().mapToDouble(c -> c).sum())
                .isCloseTo(100, within(1.0)));
        assertThat(flow.links()).allMatch(link -> link.count() > 0 && link.count() <= 100 + 1e-9);
    }

    @Test
    void aRoundIsToldInWords() {
        MapIndex index = MapIndex.of(new MapFixture().situation("a", 0.1, "b").situation("b").reaction("b", 1, "win").map());
        RoundSimulation rolled = RoundSimulation.run(SolvedMap.of(index, EVEN.withThinking(ThinkingTime.NONE)), Optional.of(Id.of("a")),
                1, 1, 1, Progress.NONE);
        List<String> words = StoryTeller.tell(index, rolled.stories().get(0));
        assertThat(words).containsExactly("0 s, Situation a: nothing is taught, they move on to “Situation b”.",
                "0 s, Situation b: “Technique”, and they answer: “Outcome win”.", "It ends: Outcome win.");
    }

    /** Where the odds say that a round never ends it is cut off, and nowhere else but by the limit of exchanges. */
    @ParameterizedTest
    @MethodSource("seeds")
    void rollsEndWhereTheOddsSayTheyDo(int seed) {
        SolvedMap map = SolvedMaps.solved(seed);
        RoundSimulation rolled = RoundSimulation.run(map, Optional.empty(), 20_000, 0, seed, Progress.NONE);
        double never = 0;
        double slow = 0;
        double[] starts = map.starts();
        double[] neverEnding = map.chain().neverEnding();
        double[] here = starts.clone();
        for (int exchange = 0; exchange < 400; exchange++) {
            here = map.chain().step(here);
        }
        for (int s = 0; s < starts.length; s++) {
            never += starts[s] * neverEnding[s];
            slow += map.chain().stays(s) ? 0 : here[s] * (1 - neverEnding[s]);
        }
        assertThat(rolled.cutOff()).isCloseTo(never + slow, within(3.29 * Math.sqrt(0.25 / 20_000)));
    }

    @Test
    void longWorkCanBeStopped() {
        assertThatThrownBy(() -> RoundSimulation.run(SolvedMaps.solved(2001), Optional.empty(), 100, 0, 1,
                Progress.until(() -> true))).isInstanceOf(StoppedException.class);
    }
}
