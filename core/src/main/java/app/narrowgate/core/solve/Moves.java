package app.narrowgate.core.solve;

/**
 * A game's options as the solver walks them: every option's chance of falling back into its own situation is taken out
 * and the rest scaled up to make good for it.
 *
 * <p>{@code x = max(A + c·x)} and {@code x = max(A / (1-c))} have the same least solution for {@code c < 1}, and an
 * option that never leaves ({@code c = 1}) is worth 0, so nothing changes but the number of sweeps. With a partner who
 * reads (λ &gt; 0) only the chance part is taken out; the worst landing stays as it is.
 */
final class Moves {

    final Game game;
    /** Share of each landing, self landings 0; index as {@link Game#landing}. */
    final double[] share;
    /** Share of the worst landing. */
    final double[] worstShare;
    final double[] stuffedShare;
    final double[] lateShare;
    /** {@code error[option]}: bound on the relative error of {@link #value}, shares and sum rounded as they are. */
    final double[] error;
    /** False for an option that only ever falls back into its own situation. */
    final boolean[] leaves;

    private Moves(Game game) {
        this.game = game;
        int options = game.options();
        share = new double[game.landing.length];
        worstShare = new double[options];
        stuffedShare = new double[options];
        lateShare = new double[options];
        leaves = new boolean[options];
        error = new double[options];
        for (int s = 0; s < game.situations; s++) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                scale(s, o);
            }
        }
    }

    static Moves of(Game game) {
        return new Moves(game);
    }

    private void scale(int s, int o) {
        // Every share is a product and a quotient of at most two sums over the responses; the value is one more sum. All
        // terms are at least 0, so the relative roundings add up and nothing else does.
        error[o] = (4.0 * (game.responseStart[o + 1] - game.responseStart[o]) + 24) * 0x1p-53;
        double habit = game.going[o] * game.read.habit();
        double away = 0;
        boolean landsElsewhere = false;
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            if (game.landing[i] != s) {
                share[i] = habit * game.chance[i];
                away += share[i];
                landsElsewhere = true;
            }
        }
        worstShare[o] = landsElsewhere ? game.going[o] * game.read.share() : 0;
        stuffedShare[o] = game.stuffed[o] == s ? 0 : game.stuffedShare[o];
        lateShare[o] = game.becomes[s] == s ? 0 : game.lateShare[o];
        away += worstShare[o] + stuffedShare[o] + lateShare[o];
        leaves[o] = away > 0;
        if (!leaves[o]) {
            return;
        }
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            share[i] /= away;
        }
        worstShare[o] /= away;
        stuffedShare[o] /= away;
        lateShare[o] /= away;
    }

    /** What option {@code o} of situation {@code s} is worth under {@code value[place]}. Allocates nothing. */
    double value(int s, int o, double[] value) {
        double sum = 0;
        if (stuffedShare[o] > 0) {
            sum += stuffedShare[o] * value[game.stuffed[o]];
        }
        if (lateShare[o] > 0) {
            sum += lateShare[o] * value[game.becomes[s]];
        }
        int end = game.responseStart[o + 1];
        if (worstShare[o] > 0) {
            double least = 1;
            for (int i = game.responseStart[o]; i < end; i++) {
                double v = value[game.landing[i]];
                sum += share[i] * v;
                least = v < least ? v : least;
            }
            return sum + worstShare[o] * least;
        }
        for (int i = game.responseStart[o]; i < end; i++) {
            sum += share[i] * value[game.landing[i]];
        }
        return sum;
    }

    /** At most what {@link #value} is in exact arithmetic. */
    double valueDown(int s, int o, double[] value) {
        return value(s, o, value) * (1 - error[o]);
    }

    /** At least what {@link #value} is in exact arithmetic. */
    double valueUp(int s, int o, double[] value) {
        return value(s, o, value) * (1 + error[o]);
    }

    /** At least the better of stopping and the best option of {@code s}. Allocates nothing. */
    double bestUp(int s, double[] value) {
        double best = game.worth[s];
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (leaves[o]) {
                best = Math.max(best, valueUp(s, o, value));
            }
        }
        return best;
    }
}
