package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Whether the map tells the truth: what it says of rounds from a place, beside what came of them. Only rounds count that ended out, in a
 * guard or better, or with a tap; the map says how many of such rounds end out against partners of that weight.
 *
 * @param places those with at least {@value #ENOUGH} rounds that had an end, furthest off first
 * @param fewer how many places have fewer
 * @param brier how far off the map is in {@code places}; empty where no place has enough
 */
public record Truth(List<AtPlace> places, int fewer, Optional<Brier> brier) {

    /** Fewer rounds than these say too little of a place. */
    public static final int ENOUGH = 10;

    /** How often the range that is shown holds the true share. */
    static final double LEVEL = 0.9;

    public Truth {
        places = List.copyOf(places);
    }

    /**
     * Rounds that count the same.
     *
     * @param gap the partner's weight less one's own in kilograms, in steps of {@link Tally#STEP}
     * @param person who was below; empty where they are forgotten
     * @param level theirs, where that is known
     * @param out true where they got out; else they had to tap
     * @param times how many
     */
    public record Seen(Id start, double gap, Optional<UUID> person, Optional<Level> level, boolean out, int times) {
    }

    /**
     * One place.
     *
     * @param said how many the map says get out, in [0,1]
     * @param rounds that had an end
     * @param out how many of them got out
     * @param seen between what the share of those who get out lies
     * @param onesided what most of the rounds have in common
     * @param explains the answer whose learned figure takes most of the difference away; looked for in the first {@value Truths#WORST} places
     *     where map and mat disagree, and empty where no single one takes much away
     */
    public record AtPlace(Id place, double said, int rounds, int out, Interval seen, List<Onesided> onesided, Optional<Explanation> explains) {

        public AtPlace {
            onesided = List.copyOf(onesided);
        }

        /** The share that got out. */
        public double share() {
            return out / (double) rounds;
        }

        /** True where what the map says may well be so. */
        public boolean agrees() {
            return seen.holds(said);
        }
    }

    /**
     * Rounds of a place are of one sort.
     *
     * @param many how many of them
     */
    public record Onesided(Sort sort, int many) {

        /** In what rounds are alike. */
        public enum Sort {
            /** By beginners. */
            BEGINNERS,
            /** Against partners who are ten kilograms lighter or more. */
            LIGHTER,
            /** Against partners who are ten kilograms heavier or more. */
            HEAVIER,
            /** By one person. */
            ONE_PERSON
        }
    }

    /**
     * An answer that works otherwise than the map says.
     *
     * @param before how often it gets going by the map
     * @param learned how often by what is believed
     * @param tries how often it was tried, those reckoned included and the old ones counting less
     * @param noted how many of these were noted
     * @param saidThen what the map would say of the place with the learned figure
     * @param scoreThen how far off the map would be with it, as {@link Brier#score}
     * @param instead the answer that would be the best one there with it; empty where it still is itself
     * @param moves places whose odds for an even pair would be other numbers of 100, those that move most first
     */
    public record Explanation(Id reaction, double before, Doubt learned, double tries, double noted, double saidThen, double scoreThen,
            Optional<Id> instead, List<Move> moves) {
        public Explanation {
            moves = List.copyOf(moves);
        }
    }

    /** The odds of a place before and after. */
    public record Move(Id place, double before, double then) {
    }
}
