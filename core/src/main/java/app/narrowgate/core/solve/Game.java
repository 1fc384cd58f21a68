package app.narrowgate.core.solve;

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
 * waits: {@code lateShare = 1}. Arrays are shared, not copied; only who made a game may write to them.
 */
public final class Game {

    /** Stands in {@code optionReaction} for waiting. */
    public static final int WAIT = -1;

    public final int situations;
    public final int places;
    /** {@code worth[place]}: of an outcome, or of stopping at a situation (0 where nobody rests). */
    public final double[] worth;
    /** {@code rests[situation]}: whether one may rest there. */
    public final boolean[] rests;
    public final int[] optionStart;
    /** {@code optionReaction[option]}: index into the map's reactions, or {@link #WAIT}. */
    public final int[] optionReaction;
    public final double[] going;
    public final double[] stuffedShare;
    public final double[] lateShare;
    public final int[] stuffed;
    /** {@code becomes[situation]}: where the clock leads; the situation itself where there is no clock. */
    public final int[] becomes;
    public final int[] responseStart;
    public final int[] landing;
    public final double[] chance;
    public final PartnerRead read;

    /** A game of those arrays, which are not copied; see the fields. */
    public Game(double[] worth, boolean[] rests, int[] optionStart, int[] optionReaction, double[] going,
            double[] stuffedShare, double[] lateShare, int[] stuffed, int[] becomes, int[] responseStart,
            int[] landing, double[] chance, PartnerRead read) {
        this.situations = rests.length;
        this.places = worth.length;
        this.worth = worth;
        this.rests = rests;
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

    /** How many options there are in all. */
    public int options() {
        return optionReaction.length;
    }

    /** True when option {@code o} is waiting for the clock. */
    public boolean waits(int o) {
        return optionReaction[o] == WAIT;
    }

    /** How many options situation {@code s} has. */
    public int options(int s) {
        return optionStart[s + 1] - optionStart[s];
    }

    /** What option {@code o} of situation {@code s} is worth under {@code value[place]}. Allocates nothing. */
    public double optionValue(int s, int o, double[] value) {
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
    public double underWay(int o, double[] value) {
        double mean = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = responseStart[o]; i < responseStart[o + 1]; i++) {
            double v = value[landing[i]];
            mean += chance[i] * v;
            least = Math.min(least, v);
        }
        return read.blend(mean, least);
    }

    /** The response that lands worst for the bottom player under {@code value}; the first of equals. */
    public int worstResponse(int o, double[] value) {
        int worst = responseStart[o];
        for (int i = worst + 1; i < responseStart[o + 1]; i++) {
            if (value[landing[i]] < value[landing[worst]]) {
                worst = i;
            }
        }
        return worst;
    }
}
