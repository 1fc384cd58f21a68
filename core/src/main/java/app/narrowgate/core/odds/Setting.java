package app.narrowgate.core.odds;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.PartnerRead;
import java.util.Collections;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What the odds are asked for.
 *
 * @param aim the aim that gives each kind of place its worth
 * @param read how well the partner reads you
 * @param late seconds by which the student starts too late
 * @param thinking how long choosing takes
 * @param matchup who is on the mat
 * @param stances principle to the house's stance; a principle that is missing is decided by condition
 * @param without reactions taken away, to see what hangs on them
 */
public record Setting(Id aim, PartnerRead read, double late, ThinkingTime thinking, Matchup matchup,
        Map<Id, Id> stances, Set<Id> without) {

    /** Seconds of a late start. */
    public static final Range LATE = new Range(0, 30, "seconds");

    public Setting {
        LATE.require("The late start", late);
        stances = Collections.unmodifiableMap(new TreeMap<>(stances));
        without = Set.copyOf(without);
    }

    /** An even pair, a partner who answers by habit, no late start, usual thinking time, every stance. */
    public static Setting of(Id aim) {
        return new Setting(aim, PartnerRead.NONE, 0, ThinkingTime.USUAL, Matchup.EVEN, Map.of(), Set.of());
    }

    /**
     * The same with another read.
     *
     * @param share of the answers that are the worst for you, in [0,1]
     */
    public Setting withRead(double share) {
        return new Setting(aim, new PartnerRead(share), late, thinking, matchup, stances, without);
    }

    /** The same with another late start. */
    public Setting withLate(double other) {
        return new Setting(aim, read, other, thinking, matchup, stances, without);
    }

    /** The same with another thinking time. */
    public Setting withThinking(ThinkingTime other) {
        return new Setting(aim, read, late, other, matchup, stances, without);
    }

    /** The same for another pair. */
    public Setting withMatchup(Matchup other) {
        return new Setting(aim, read, late, thinking, other, stances, without);
    }

    /** The same with the house's stances. */
    public Setting withStances(Map<Id, Id> others) {
        return new Setting(aim, read, late, thinking, matchup, others, without);
    }

    /** The same with these reactions taken away. */
    public Setting without(Set<Id> reactions) {
        return new Setting(aim, read, late, thinking, matchup, stances, reactions);
    }

    /** The same with another read, late start and thinking time: what closes reactions and shifts them is as it was. */
    Setting retimed(PartnerRead otherRead, double otherLate, ThinkingTime otherThinking) {
        return new Setting(aim, otherRead, otherLate, otherThinking, matchup, stances, without);
    }
}
