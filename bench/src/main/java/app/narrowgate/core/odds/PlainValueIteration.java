package app.narrowgate.core.odds;

import app.narrowgate.core.solve.Game;

/** Value iteration as textbooks have it: two arrays, all states, stop when nothing moves much. For comparison only. */
final class PlainValueIteration {

    private PlainValueIteration() {
    }

    /** Values when no value moves by more than {@code still} any more; no bounds. */
    static double[] solve(Game game, double still) {
        double[] value = game.worth.clone();
        double[] next = game.worth.clone();
        double moved;
        do {
            moved = 0;
            for (int s = 0; s < game.situations; s++) {
                double best = game.worth[s];
                for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                    best = Math.max(best, game.optionValue(s, o, value));
                }
                moved = Math.max(moved, Math.abs(best - value[s]));
                next[s] = best;
            }
            double[] swap = value;
            value = next;
            next = swap;
        } while (moved > still);
        return value;
    }
}
