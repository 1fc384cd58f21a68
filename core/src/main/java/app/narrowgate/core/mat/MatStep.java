package app.narrowgate.core.mat;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.trait.Side;
import java.util.List;
import java.util.Optional;

/**
 * What the room does for a while.
 *
 * @param number of the step in its class; never given twice, so that whoever steers can say which one they mean
 * @param seconds that it is planned for
 * @param side that is practised; empty where that is left to the pair
 * @param bottom who is on the bottom; empty where nobody is
 * @param movement of the warm-up
 * @param bout which of the part's pairings holds
 * @param calls what is called, in order; empty where nothing is
 */
public record MatStep(int number, Kind kind, int seconds, Optional<Side> side, Optional<Role> bottom, Optional<Id> movement, int bout,
        List<Call> calls) {

    /** Seconds that a step may be planned for. */
    public static final Range SECONDS = new Range(1, 3 * 60 * 60, "seconds");

    /** What kind of thing the room does. */
    public enum Kind implements Coded {
        /** The warm-up. */
        MOVE,
        /** Somebody shows or says something to all. */
        SHOW,
        /** Everybody goes where the next round begins; its last seconds are counted in. */
        CHANGE,
        /** Partners work. */
        ROUND,
        /** All talk. */
        TALK,
        /** A break. */
        BREAK;

        /** True for what ends when whoever teaches says so; the clock goes on below zero. */
        public boolean waits() {
            return this == SHOW || this == TALK || this == BREAK;
        }
    }

    /**
     * Something that is called.
     *
     * @param at seconds after the beginning of the step
     */
    public record Call(LinkRef link, int at) {
    }

    public MatStep {
        SECONDS.require("The length of a step", seconds);
        calls = List.copyOf(calls);
    }

    static MatStep plain(int number, Kind kind, int seconds) {
        return new MatStep(number, kind, seconds, Optional.empty(), Optional.empty(), Optional.empty(), 0, List.of());
    }
}
