package app.narrowgate.core.odds;

import app.narrowgate.core.solve.Game;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/** The decision process (λ = 0) as a linear program for a general library. For comparison only. */
final class LinearProgram {

    private LinearProgram() {
    }

    /** Least values that no option exceeds; the sum of them. */
    static double solve(Game game) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Variable[] value = new Variable[game.situations];
        for (int s = 0; s < game.situations; s++) {
            value[s] = model.newVariable("v" + s).weight(1).lower(game.worth[s]).upper(1);
        }
        double[] row = new double[game.situations];
        for (int s = 0; s < game.situations; s++) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                java.util.Arrays.fill(row, 0);
                row[s] = 1;
                double constant = subtract(game, row, game.stuffed[o], game.stuffedShare[o])
                        + subtract(game, row, game.becomes[s], game.lateShare[o]);
                for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                    constant += subtract(game, row, game.landing[i], game.going[o] * game.chance[i]);
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
        return result.getValue();
    }

    private static double subtract(Game game, double[] row, int place, double share) {
        if (place < game.situations) {
            row[place] -= share;
            return 0;
        }
        return share * game.worth[place];
    }
}
