package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The solver against results known in closed form. */
class ClosedFormTest {

    private static final Setting WIN = Setting.of(Id.of("win")).withThinking(ThinkingTime.NONE);

    /** A walk on 0..n that ends at 0 (tap) and n (win), one step up with weight p, down with weight q. */
    private static Odds walk(int n, double p, double q) {
        MapFixture fixture = new MapFixture();
        for (int i = 1; i < n; i++) {
            fixture.situation("s" + i);
        }
        for (int i = 1; i < n; i++) {
            String up = i == n - 1 ? "win" : "s" + (i + 1);
            String down = i == 1 ? "tap" : "s" + (i - 1);
            fixture.reaction("s" + i, 1, up + "*" + p, down + "*" + q);
        }
        return OddsSolver.solve(MapIndex.of(fixture.map()), WIN);
    }

    /** Feller, "An Introduction to Probability Theory and Its Applications", vol. 1, ch. XIV: gambler's ruin. */
    @ParameterizedTest
    @CsvSource({"10,0.5", "10,0.4", "25,0.55", "40,0.48", "2,0.3"})
    void gamblersRuin(int n, double p) {
        double q = 1 - p;
        Odds odds = walk(n, p, q);
        for (int i = 1; i < n; i++) {
            double expected = p == q
                    ? (double) i / n
                    : (1 - Math.pow(q / p, i)) / (1 - Math.pow(q / p, n));
            SituationOdds at = odds.at(Id.of("s" + i));
            assertThat(at.worth()).isCloseTo(expected, within(1e-9));
            assertThat(at.lower()).isLessThanOrEqualTo(expected + 1e-12);
            assertThat(at.upper()).isGreaterThanOrEqualTo(expected - 1e-12);
        }
        assertThat(odds.converged()).isTrue();
    }

    /** Kemeny and Snell, "Finite Markov Chains": the walk on 0..4 takes 3, 4, 3 steps; ends at 4 in i/4. */
    @Test
    void absorbingWalkOfKemenyAndSnell() {
        Odds odds = walk(4, 1, 1);
        double[] steps = {3, 4, 3};
        for (int i = 1; i <= 3; i++) {
            SituationOdds at = odds.at(Id.of("s" + i));
            assertThat(at.exchanges().orElseThrow()).isCloseTo(steps[i - 1], within(1e-9));
            assertThat(at.ends().get(PlaceKind.REVERSAL)).isCloseTo(i / 4.0, within(1e-9));
            assertThat(at.ends().get(PlaceKind.TAP)).isCloseTo(1 - i / 4.0, within(1e-9));
        }
    }

    /**
     * Two arms of ten steps, every step as likely to fall back to the middle: 1/2 by symmetry. Iteration from below
     * that stops when nothing moves much is still near 0 there (Haddad and Monmege 2018, the motivating example).
     */
    @Test
    void boundsHoldWhereAPlainStoppingRuleStopsTooSoon() {
        int arm = 10;
        MapFixture fixture = new MapFixture().situation("middle");
        for (String side : new String[] {"up", "down"}) {
            for (int i = 1; i < arm; i++) {
                fixture.situation(side + i);
            }
        }
        fixture.reaction("middle", 1, "up1", "down1");
        for (String side : new String[] {"up", "down"}) {
            for (int i = 1; i < arm; i++) {
                String next = i < arm - 1 ? side + (i + 1) : side.equals("up") ? "win" : "tap";
                fixture.reaction(side + i, 1, next, "middle");
            }
        }
        MapIndex index = MapIndex.of(fixture.map());
        SituationOdds middle = OddsSolver.solve(index, WIN).at(Id.of("middle"));
        assertThat(middle.worth()).isCloseTo(0.5, within(1e-9));
        assertThat(middle.upper() - middle.lower()).isLessThanOrEqualTo(IntervalIterationSolver.GAP);

        assertThat(valueIteration(GameCompiler.compile(index, WIN), 1e-3)[0])
                .as("plain value iteration, stopped when no value moves by a thousandth")
                .isLessThan(0.1);
    }

    private static double[] valueIteration(Game game, double still) {
        double[] value = game.worth.clone();
        double moved;
        do {
            moved = 0;
            double[] next = value.clone();
            for (int s = 0; s < game.situations; s++) {
                double best = game.worth[s];
                for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                    best = Math.max(best, game.optionValue(s, o, value));
                }
                moved = Math.max(moved, Math.abs(best - value[s]));
                next[s] = best;
            }
            value = next;
        } while (moved > still);
        return value;
    }
}
