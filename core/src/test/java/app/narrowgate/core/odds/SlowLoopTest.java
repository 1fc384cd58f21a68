package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.core.solve.Solution;
import app.narrowgate.core.solve.StrategyEnumeration;
import app.narrowgate.core.solve.TangledException;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Loops that mix so slowly that sweeping alone would take millions of passes. */
class SlowLoopTest {

    private static final Setting WIN = Setting.of(Id.of("win")).withThinking(ThinkingTime.NONE);

    /** Two situations that swap; a leak of one in ten million each, one to the win, one twice as wide to the tap. */
    @Test
    void aSlowLeakIsSolved() {
        MapFixture fixture = new MapFixture().situation("a").situation("b")
                .reaction("a", 1, "b*1000000", "win*0.1").reaction("b", 1, "a*1000000", "tap*0.2");
        Solution solution = IntervalIterationSolver.solve(GameCompiler.compile(MapIndex.of(fixture.map()), WIN), 5000);
        double p = 0.1 / 1000000.1;
        double q = 0.2 / 1000000.2;
        double expected = p / (1 - (1 - p) * (1 - q));
        assertThat(solution.converged()).isTrue();
        assertThat(solution.value(0)).isCloseTo(expected, within(1e-7));
    }

    /** A partner who nearly always finds the landing that keeps you in; what leaks is the win. */
    @Test
    void aPartnerWhoNearlyAlwaysReadsYouIsSolved() {
        MapFixture fixture = new MapFixture().situation("a").situation("b")
                .reaction("a", 1, "b", "win").reaction("b", 1, "a", "win");
        Solution solution = IntervalIterationSolver.solve(
                GameCompiler.compile(MapIndex.of(fixture.map()), WIN.withRead(0.9999999)), 5000);
        assertThat(solution.converged()).isTrue();
        assertThat(solution.value(0)).isCloseTo(1, within(1e-6));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void agreesWithEveryStrategyTriedWhenTheReadIsNearlyFull(int seed) {
        Game game = GameCompiler.compile(MapIndex.of(RandomMaps.map(new Random(seed), 4, 2, 2)),
                Setting.of(Id.of("even")).withRead(0.99999));
        double[] expected = StrategyEnumeration.values(game);
        Solution solution = IntervalIterationSolver.solve(game, 5000);
        for (int s = 0; s < game.situations; s++) {
            assertThat(solution.value(s)).isCloseTo(expected[s], within(1e-7));
        }
    }

    /**
     * The gambler's ruin with even odds, 1,990 places long: from place i the chance of the far end is i/(n+1) (Feller, "An
     * Introduction to Probability Theory and Its Applications" I, chapter XIV). Some four million exchanges until it is
     * over.
     */
    @Test
    void aLongChainThatFallsBackIsSolved() {
        int n = 1990;
        SolvedMap solved = SolvedMap.of(MapIndex.of(chain(n)), WIN).converged();
        for (int i = 1; i <= n; i++) {
            assertThat(solved.worth(Id.of("s" + i))).isCloseTo(i / (n + 1.0), within(1e-6));
        }
    }

    /**
     * The same with a partner who reads: he leads back with (1+λ)/2, and with r = (1+λ)/(1-λ) the chance of the far end is
     * (r^i - 1)/(r^(n+1) - 1) (Feller, the same place). Near the win neighbours differ by less than a double can tell from
     * 1 while the partner's answers are still being found, and far from it they are worth less than 1e-300.
     */
    @ParameterizedTest
    @ValueSource(doubles = {0.001, 0.1, 0.25, 0.5, 0.75, 0.99, 0.9999})
    void aLongChainWithAPartnerWhoReadsIsSolved(double read) {
        int n = 1990;
        SolvedMap solved = SolvedMap.of(MapIndex.of(chain(n)), WIN.withRead(read)).converged();
        double r = (1 + read) / (1 - read);
        for (int i = 1; i <= n; i++) {
            double expected = (Math.pow(r, i - n - 1) - Math.pow(r, -n - 1)) / (1 - Math.pow(r, -n - 1));
            assertThat(solved.worth(Id.of("s" + i))).isCloseTo(expected, within(1e-6));
        }
    }

    /**
     * Twenty times as likely back to the beginning as one place on, 3,000 places long: the chance to get through is 21 to the power of −3,000,
     * which no double holds. It is said, and nothing is concluded.
     */
    @Test
    void aChainThatNobodyGetsThroughIsRefusedInWords() {
        int n = 3000;
        MapFixture fixture = new MapFixture();
        for (int i = 1; i <= n; i++) {
            fixture.situation("s" + i);
        }
        for (int i = 1; i <= n; i++) {
            fixture.reaction("s" + i, 0.7, i < n ? "s" + (i + 1) : "win", "s1*20");
        }
        SolvedMap solved = SolvedMap.of(MapIndex.of(fixture.map()), WIN);
        assertThatThrownBy(solved::converged).isInstanceOf(NotConvergedException.class);
        assertThatThrownBy(() -> RoundChain.of(solved.game(), solved.solution())).isInstanceOf(TangledException.class)
                .hasMessageContaining("leads out more often");
    }

    private static EscapeMap chain(int n) {
        MapFixture fixture = new MapFixture();
        for (int i = 1; i <= n; i++) {
            fixture.situation("s" + i);
        }
        for (int i = 1; i <= n; i++) {
            fixture.reaction("s" + i, 0.7, i < n ? "s" + (i + 1) : "win", i > 1 ? "s" + (i - 1) : "tap");
        }
        return fixture.map();
    }

    /** What is not solved says so. */
    @Test
    void aCutOffSolveIsNotConverged() {
        MapFixture fixture = new MapFixture().situation("a").situation("b")
                .reaction("a", 1, "b*50", "win*1").reaction("b", 1, "a*50", "tap*2");
        assertThat(IntervalIterationSolver.solve(GameCompiler.compile(MapIndex.of(fixture.map()), WIN), 3).converged())
                .isFalse();
    }
}
