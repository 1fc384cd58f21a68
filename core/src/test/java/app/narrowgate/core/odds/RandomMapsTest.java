package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import app.narrowgate.core.solve.Solution;
import app.narrowgate.core.solve.StrategyEnumeration;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The solver against enumeration of all positional strategies, on seeded random maps. */
class RandomMapsTest {

    static IntStream seeds() {
        return IntStream.range(0, 300);
    }

    private static MapIndex index(int seed) {
        return MapIndex.of(RandomMaps.map(new Random(seed), 10, 3, 3));
    }

    /** By habit, half read or always the worst, by turns. */
    private static Setting setting(int seed) {
        return Setting.of(Id.of("even")).withRead(0.5 * (seed % 3));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void agreesWithEveryStrategyTried(int seed) {
        EscapeMap map = RandomMaps.map(new Random(seed), 4, 2, 2);
        for (double read : new double[] {0, 0.5, 1}) {
            Setting setting = Setting.of(Id.of("even")).withRead(read).withLate(0.3);
            Game game = GameCompiler.compile(MapIndex.of(map), setting);
            double[] expected = StrategyEnumeration.values(game);
            Solution solution = IntervalIterationSolver.solve(game);
            assertThat(solution.converged()).isTrue();
            for (int s = 0; s < game.situations; s++) {
                assertThat(solution.value(s)).as("situation %d, read %s", s, read)
                        .isCloseTo(expected[s], within(1e-9));
                assertThat(solution.lower()[s]).isLessThanOrEqualTo(expected[s] + 1e-12);
                assertThat(solution.upper()[s]).isGreaterThanOrEqualTo(expected[s] - 1e-12);
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void boundsHoldHoweverSoonItStops(int seed) {
        Setting setting = setting(seed);
        Game game = GameCompiler.compile(MapIndex.of(RandomMaps.map(new Random(seed), 12, 3, 3)), setting);
        Solution whole = IntervalIterationSolver.solve(game);
        Solution cut = IntervalIterationSolver.solve(game, 1 + seed % 4);
        for (int s = 0; s < game.situations; s++) {
            assertThat(cut.lower()[s]).isLessThanOrEqualTo(whole.lower()[s] + 1e-9);
            assertThat(cut.upper()[s]).isGreaterThanOrEqualTo(whole.upper()[s] - 1e-9);
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aBetterReadOrALaterStartNeverHelps(int seed) {
        MapIndex index = index(seed);
        Setting setting = Setting.of(Id.of("even"));
        double before = OddsSolver.solve(index, setting).start();
        for (double read = 0.25; read <= 1; read += 0.25) {
            double now = OddsSolver.solve(index, setting.withRead(read)).start();
            assertThat(now).isLessThanOrEqualTo(before + 1e-6);
            before = now;
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theChosenReactionsReachTheWorth(int seed) {
        MapIndex index = index(seed);
        Setting setting = setting(seed);
        Odds odds = OddsSolver.solve(index, setting);
        var aim = index.aim(Id.of("even")).orElseThrow();
        odds.situations().values().forEach(at -> {
            double reached = at.ends().entrySet().stream()
                    .mapToDouble(e -> e.getValue() * aim.worthOf(e.getKey())).sum();
            assertThat(reached).isCloseTo(at.worth(), within(1e-6));
        });
    }
}
