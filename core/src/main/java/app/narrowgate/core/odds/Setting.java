package app.narrowgate.core.odds;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.map.Id;

/**
 * What the odds are asked for.
 *
 * @param aim the aim that gives each kind of place its worth
 * @param read how well the partner reads you, λ in [0,1]: 0 answers by habit, 1 always finds the worst answer for you
 * @param late seconds by which the student starts too late
 * @param thinking how long choosing takes
 */
public record Setting(Id aim, double read, double late, ThinkingTime thinking) {

    /** Seconds of a late start. */
    public static final Range LATE = new Range(0, 30, "seconds");

    public Setting {
        Range.CHANCE.require("The partner's read", read);
        LATE.require("The late start", late);
    }

    /** A partner who answers by habit, no late start, usual thinking time. */
    public static Setting of(Id aim) {
        return new Setting(aim, 0, 0, ThinkingTime.USUAL);
    }

    /** The same with another read. */
    public Setting withRead(double other) {
        return new Setting(aim, other, late, thinking);
    }

    /** The same with another late start. */
    public Setting withLate(double other) {
        return new Setting(aim, read, other, thinking);
    }
}
