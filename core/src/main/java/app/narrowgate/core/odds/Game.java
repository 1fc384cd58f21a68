package app.narrowgate.core.odds;

/**
 * A map compiled for one setting: a game on flat arrays.
 *
 * <p>Places {@code 0 .. situations-1} are situations, the rest are outcomes. Situation {@code s} owns the options
 * {@code optionStart[s] .. optionStart[s+1]-1}; option {@code o} owns the responses
 * {@code responseStart[o] .. responseStart[o+1]-1}. An option is worth
 *
 * <pre>
 * going[o] · ((1-read) · Σ chance[i]·V(landing[i]) + read · min V(landing[i]))
 *   + stuffedShare[o] · V(stuffed[o]) + lateShare[o] · V(becomes[s])
 * </pre>
 *
 * and its three shares sum to 1. A situation in which nothing is usable but a clock runs has a single option that
 * waits: {@code lateShare = 1}. Arrays are shared, not copied; nobody outside the package can reach them.
 */
final class Game {

    /** Stands in {@link #optionReaction} for waiting. */
    static final int WAIT = -1;

    final int situations;
    final int places;
    /** {@code worth[place]}: of an outcome, or of stopping at a situation (0 where nobody rests). */
    final double[] worth;
    final int[] optionStart;
    /** {@code optionReaction[option]}: index into the map's reactions, or {@link #WAIT}. */
    final int[] optionReaction;
    final double[] going;
    final double[] stuffedShare;
    final double[] lateShare;
    final int[] stuffed;
    /** {@code becomes[situation]}: where the clock leads; the situation itself where there is no clock. */
    final int[] becomes;
    final int[] responseStart;
    final int[] landing;
    final double[] chance;
    final double read;

    Game(double[] worth, int situations, int[] optionStart, int[] optionReaction, double[] going,
            double[] stuffedShare, double[] lateShare, int[] stuffed, int[] becomes, int[] responseStart,
            int[] landing, double[] chance, double read) {
        this.situations = situations;
        this.places = worth.length;
        this.worth = worth;
        this.optionStart = optionStart;
        this.optionReaction = optionReaction;
        this.going = going;
        this.stuffedShare = stuffedShare;
        this.lateShare = lateShare;
        this.stuffed = stuffed;
        this.becomes = becomes;
        this.responseStart = responseStart;
        this.landing = landing;
        this.chance = chance;
        this.read = read;
    }

    int options() {
        return optionReaction.length;
    }

    /** What option {@code o} of situation {@code s} is worth under {@code value[place]}. Allocates nothing. */
    double optionValue(int s, int o, double[] value) {
        double sum = 0;
        if (stuffedShare[o] > 0) {
            sum += stuffedShare[o] * value[stuffed[o]];
        }
        if (lateShare[o] > 0) {
            sum += lateShare[o] * value[becomes[s]];
        }
        return going[o] > 0 ? sum + going[o] * underWay(o, value) : sum;
    }

    /** What option {@code o} is worth once it is under way; it must have responses. */
    double underWay(int o, double[] value) {
        double mean = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = responseStart[o]; i < responseStart[o + 1]; i++) {
            double v = value[landing[i]];
            mean += chance[i] * v;
            least = Math.min(least, v);
        }
        return (1 - read) * mean + read * least;
    }

    /** The response that lands worst for the bottom player under {@code value}; the first of equals. */
    int worstResponse(int o, double[] value) {
        int worst = responseStart[o];
        for (int i = worst + 1; i < responseStart[o + 1]; i++) {
            if (value[landing[i]] < value[landing[worst]]) {
                worst = i;
            }
        }
        return worst;
    }
}
