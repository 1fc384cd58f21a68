package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;

/**
 * Where a figure comes from that was learned on the mat. What was thought before is kept: whoever learns again begins with that, so that no
 * round counts twice.
 *
 * @param chance the figure that it speaks of, in [0,1]
 * @param before what stood on the map before
 * @param tries how often it was tried in the rounds behind it, those reckoned and faded included
 * @param noted how many of these were noted, at most {@code tries}
 * @param until the day up to which rounds were counted
 */
public record Source(double chance, Likelihood before, double tries, double noted, Day until) {

    /** Tries that may stand behind a figure. */
    public static final Range TRIES = new Range(0, 1e9, "tries");

    public Source {
        Range.CHANCE.require("What was learned", chance);
        Range.CHANCE.require("What was thought before", before.chance());
        TRIES.require("The tries", tries);
        TRIES.require("The noted tries", noted);
        if (noted > tries) {
            throw new RefusedException("%s noted of %s tries: there cannot be more noted ones than there were.".formatted(noted, tries));
        }
    }
}
