package app.narrowgate.core.movingup;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.ledger.Tries;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What was seen of somebody in one place on one side.
 *
 * @param live rounds that began there, and how many of them ended out
 * @param clean repetitions of what is taught there, and how many of them came clean
 * @param last the last day on which anything of that was seen
 */
public record Evidence(Tries live, Tries clean, Optional<LocalDate> last) {

    /** Nothing was seen. */
    public static final Evidence NONE = new Evidence(Tries.NONE, Tries.NONE, Optional.empty());

    /** Rounds before anything is said. */
    private static final int LEAST = 3;
    /** Out in so many rounds is an answer, and so sure is one of it; our estimates. */
    private static final double OFTEN = 0.5;
    private static final double SURE = 0.8;

    /** What it says; the coach decides. */
    public enum Says implements Coded {
        TOO_LITTLE, NOT_YET, ENOUGH
    }

    /** Out more often than not, four to one at least. */
    public Says says() {
        return live.of() < LEAST ? Says.TOO_LITTLE : isEnough(live) ? Says.ENOUGH : Says.NOT_YET;
    }

    /** How many more rounds, all of which end out, would be enough; 0 where there is enough. */
    public int missing() {
        int more = Math.max(0, LEAST - live.of());
        while (!isEnough(live.and(new Tries(more, more)))) {
            more++;
        }
        return more;
    }

    private static boolean isEnough(Tries live) {
        return live.isBetterThan(OFTEN) >= SURE;
    }
}
