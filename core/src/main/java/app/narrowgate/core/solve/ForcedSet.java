package app.narrowgate.core.solve;

import app.narrowgate.core.progress.Stopping;
import java.util.Arrays;

/**
 * From where the bottom player surely ends in a wanted place, whatever the top player answers.
 *
 * <p>Problem: almost-sure reachability in a game with chance; whether an answer comes, is stuffed or too late is
 * chance, which answer is the top player's choice, whatever the game's read. Method: the nested fixed point of de
 * Alfaro and Henzinger, "Concurrent omega-regular games" (2000), for games in turns: the largest set in which some
 * option is safe (never leads out of the set) and gains ground (may come nearer to what is wanted, whatever is
 * answered). No numbers are compared, so nothing is rounded. Cost O(situations · responses) at worst, some passes in
 * practice. Stops when {@link Stopping} says so.
 */
public final class ForcedSet {

    private final Game game;
    private final boolean[] wanted;
    private boolean[] within;

    private ForcedSet(Game game, boolean[] wanted) {
        this.game = game;
        this.wanted = wanted;
        this.within = new boolean[game.places];
    }

    /**
     * Membership by place; a wanted situation counts only where one may rest.
     *
     * @param wanted {@code wanted[place]}: whether an end there is wanted
     */
    public static boolean[] of(Game game, boolean[] wanted) {
        return new ForcedSet(game, wanted).solve();
    }

    private boolean[] solve() {
        Arrays.fill(within, true);
        for (int place = game.situations; place < game.places; place++) {
            within[place] = wanted[place];
        }
        while (true) {
            boolean[] near = reaching();
            if (Arrays.equals(near, within)) {
                return near;
            }
            within = near;
        }
    }

    /** Where one may come nearer and nearer to a wanted end without ever leaving {@link #within}. */
    private boolean[] reaching() {
        boolean[] near = new boolean[game.places];
        for (int place = 0; place < game.places; place++) {
            near[place] = wanted[place] && (place >= game.situations || game.rests[place]);
        }
        boolean changed = true;
        while (changed) {
            Stopping.check();
            changed = false;
            for (int s = 0; s < game.situations; s++) {
                if (!near[s] && within[s] && hasWay(s, near)) {
                    near[s] = true;
                    changed = true;
                }
            }
        }
        return near;
    }

    private boolean hasWay(int s, boolean[] near) {
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (isSafe(s, o) && gainsGround(s, o, near)) {
                return true;
            }
        }
        return false;
    }

    private boolean isSafe(int s, int o) {
        boolean safe = (game.lateShare[o] <= 0 || within[game.becomes[s]])
                && (game.stuffedShare[o] <= 0 || within[game.stuffed[o]]);
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1] && game.going[o] > 0; i++) {
            safe &= within[game.landing[i]];
        }
        return safe;
    }

    private boolean gainsGround(int s, int o, boolean[] near) {
        if (game.lateShare[o] > 0 && near[game.becomes[s]] || game.stuffedShare[o] > 0 && near[game.stuffed[o]]) {
            return true;
        }
        boolean whateverTheyAnswer = game.going[o] > 0;
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            whateverTheyAnswer &= near[game.landing[i]];
        }
        return whateverTheyAnswer;
    }
}
