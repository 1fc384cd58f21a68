package app.narrowgate.core.solve;

import app.narrowgate.core.progress.Stopping;
import java.util.Arrays;

/**
 * Sets of situations in which the bottom player can go round for ever while the top player lets it happen. On such a
 * set the equation of values has more than one solution, so an upper bound must be pulled down to the best way out of
 * it.
 *
 * <p>Maximal end components by repeated splitting into strongly connected parts (de Alfaro 1997); for a partner who
 * reads fully (λ = 1) the top player is restricted to the landings that are worst under the present lower bound, which
 * gives the simple end components of Kelmendi, Krämer, Křetínský and Weininger, "Value iteration for simple stochastic
 * games" (2018). For λ &lt; 1 every landing has a chance of its own, so the set does not depend on the top player and
 * is found once. Cost O(rounds · arrows), rounds at most the number of situations, in practice two or three. Stops when
 * {@link Stopping} says so.
 */
final class EndComponents {

    private static final int OUTSIDE = -1;
    /** Landings this near the worst count as worst; any set found is sound to pull down, a wider one only slower. */
    private static final double TIE = 1e-12;

    private final Moves moves;
    private final Game game;
    /** {@code block[situation]}: number of the set it is in, or {@link #OUTSIDE}. */
    private final int[] block;
    /** {@code local[situation]}: its number among those still inside. */
    private final int[] local;

    EndComponents(Moves moves) {
        this.moves = moves;
        this.game = moves.game;
        this.block = new int[game.situations];
        this.local = new int[game.situations];
        Arrays.fill(block, OUTSIDE);
    }

    /**
     * The end components among {@code members}, each as an array of situations; none in the usual case.
     *
     * @param lower present lower bound, index place; read only where λ = 1
     */
    int[][] among(int[] members, double[] lower) {
        for (int s : members) {
            block[s] = 0;
        }
        int blocks = 1;
        int left = members.length;
        while (true) {
            int stillIn = drop(members, lower);
            if (stillIn == 0) {
                blocks = 0;
                break;
            }
            int parts = split(members, lower);
            if (parts == blocks && stillIn == left) {
                break;
            }
            blocks = parts;
            left = stillIn;
        }
        int[][] found = grouped(members, blocks);
        for (int s : members) {
            block[s] = OUTSIDE;
        }
        return found;
    }

    /** At least what the best way out of {@code end} is worth under {@code value[place]}, stopping included. */
    double bestWayOut(int[] end, double[] lower, double[] value) {
        for (int s : end) {
            block[s] = 0;
        }
        double out = 0;
        for (int s : end) {
            out = Math.max(out, game.worth[s]);
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (moves.leaves[o] && !stays(s, o, lower)) {
                    out = Math.max(out, moves.valueUp(s, o, value));
                }
            }
        }
        for (int s : end) {
            block[s] = OUTSIDE;
        }
        return out;
    }

    /** Takes out, until nothing changes, the situations without an option that stays; returns how many are left. */
    private int drop(int[] members, double[] lower) {
        int left;
        boolean changed;
        do {
            Stopping.check();
            changed = false;
            left = 0;
            for (int s : members) {
                if (block[s] == OUTSIDE) {
                    continue;
                }
                if (canStay(s, lower)) {
                    left++;
                } else {
                    block[s] = OUTSIDE;
                    changed = true;
                }
            }
        } while (changed);
        return left;
    }

    private boolean canStay(int s, double[] lower) {
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (moves.leaves[o] && stays(s, o, lower)) {
                return true;
            }
        }
        return false;
    }

    /** True when option {@code o} can be answered so that the pair stays in the block of {@code s}. */
    private boolean stays(int s, int o, double[] lower) {
        if (moves.stuffedShare[o] > 0 && !with(s, game.stuffed[o])) {
            return false;
        }
        if (moves.lateShare[o] > 0 && !with(s, game.becomes[s])) {
            return false;
        }
        boolean answered = moves.worstShare[o] <= 0;
        double worst = worst(o, lower);
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            boolean inside = with(s, game.landing[i]);
            if (moves.share[i] > 0 && !inside) {
                return false;
            }
            answered |= inside && lower[game.landing[i]] <= worst;
        }
        return answered;
    }

    /** How much a landing may be worth for the top player to choose it; anything where chance chooses too. */
    private double worst(int o, double[] lower) {
        return !game.read.isWhole() || moves.worstShare[o] <= 0
                ? Double.POSITIVE_INFINITY
                : lower[game.landing[game.worstResponse(o, lower)]] + TIE;
    }

    private boolean with(int s, int place) {
        return place < game.situations && block[place] == block[s] && block[s] != OUTSIDE;
    }

    /** Splits the blocks into strongly connected ones along the options that stay; returns how many there are. */
    private int split(int[] members, double[] lower) {
        int points = 0;
        for (int s : members) {
            if (block[s] != OUTSIDE) {
                local[s] = points++;
            }
        }
        int[] row = new int[points + 1];
        IntList target = new IntList();
        int v = 0;
        for (int s : members) {
            if (block[s] != OUTSIDE) {
                arrows(s, lower, target);
                row[++v] = target.size();
            }
        }
        Components parts = Components.of(points, row, target.toArray());
        v = 0;
        for (int s : members) {
            if (block[s] != OUTSIDE) {
                block[s] = parts.of()[v++];
            }
        }
        return parts.count();
    }

    private void arrows(int s, double[] lower, IntList target) {
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (!moves.leaves[o] || !stays(s, o, lower)) {
                continue;
            }
            if (moves.stuffedShare[o] > 0) {
                target.add(local[game.stuffed[o]]);
            }
            if (moves.lateShare[o] > 0) {
                target.add(local[game.becomes[s]]);
            }
            double worst = worst(o, lower);
            for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                if (with(s, game.landing[i]) && lower[game.landing[i]] <= worst) {
                    target.add(local[game.landing[i]]);
                }
            }
        }
    }

    private int[][] grouped(int[] members, int blocks) {
        int[] size = new int[blocks];
        for (int s : members) {
            if (block[s] != OUTSIDE) {
                size[block[s]]++;
            }
        }
        int[][] groups = new int[blocks][];
        for (int b = 0; b < blocks; b++) {
            groups[b] = new int[size[b]];
        }
        for (int s : members) {
            if (block[s] != OUTSIDE) {
                int b = block[s];
                groups[b][groups[b].length - size[b]--] = s;
            }
        }
        return groups;
    }
}
