package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import app.narrowgate.core.solve.Solution;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * The solver against the linear program of the decision process: least values that no option exceeds (Puterman, "Markov
 * Decision Processes", 1994, named from memory), solved by a general library.
 */
class LinearProgramTest {

    static IntStream seeds() {
        return IntStream.range(1000, 1040);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void agreesWithTheLinearProgram(int seed) {
        Game game = GameCompiler.compile(MapIndex.of(RandomMaps.map(new Random(seed), 25, 3, 4)),
                Setting.of(Id.of("even")).withLate(0.2));
        Solution solution = IntervalIterationSolver.solve(game);
        double[] expected = linearProgram(game);
        for (int s = 0; s < game.situations; s++) {
            assertThat(solution.value(s)).isCloseTo(expected[s], within(1e-6));
        }
    }

    /** Minimises the sum of the values subject to being at least every option's and every stop's worth. */
    private static double[] linearProgram(Game game) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Variable[] value = new Variable[game.situations];
        for (int s = 0; s < game.situations; s++) {
            value[s] = model.newVariable("v" + s).weight(1).lower(game.worth[s]).upper(1);
        }
        for (int s = 0; s < game.situations; s++) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                double[] row = new double[game.situations];
                double constant = 0;
                if (leaving(game, s, o) < 1e-9) {
                    // “At least itself”, up to rounding, which the program would take for a contradiction.
                    continue;
                }
                row[s] += 1;
                constant += subtract(game, row, value.length, game.stuffed[o], game.stuffedShare[o]);
                constant += subtract(game, row, value.length, game.becomes[s], game.lateShare[o]);
                for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                    constant += subtract(game, row, value.length, game.landing[i], game.going[o] * game.chance[i]);
                }
                Expression atLeast = model.newExpression("o" + o).lower(constant);
                for (int t = 0; t < row.length; t++) {
                    if (row[t] != 0) {
                        atLeast.set(value[t], row[t]);
                    }
                }
            }
        }
        Optimisation.Result result = model.minimise();
        return IntStream.range(0, game.situations).mapToDouble(s -> result.doubleValue(s)).toArray();
    }

    private static double leaving(Game game, int s, int o) {
        double leaving = game.stuffed[o] == s ? 0 : game.stuffedShare[o];
        leaving += game.becomes[s] == s ? 0 : game.lateShare[o];
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            leaving += game.landing[i] == s ? 0 : game.going[o] * game.chance[i];
        }
        return leaving;
    }

    private static double subtract(Game game, double[] row, int situations, int place, double share) {
        if (place < situations) {
            row[place] -= share;
            return 0;
        }
        return share * game.worth[place];
    }
}
