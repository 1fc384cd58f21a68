package app.narrowgate.core.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import java.util.Optional;

/**
 * Something worth drilling, ready as a drill.
 *
 * @param place what it is about
 * @param other the other one of two look-alikes
 * @param gain worth that the starts gain: for look-alikes if they are no longer mixed up one time in four, else if what is practised gets
 *     going one time in ten more often
 */
public record Proposal(Focus focus, Drill drill, Id place, Optional<Id> other, double gain) {

    /** Why it is proposed. */
    public enum Focus implements Coded {
        /** Recoveries and a way on top, round and round. */
        EVERYDAY,
        /** The answer that most hangs on. */
        NARROW_GATE,
        /** A hole of the map that has been mended lately. */
        ANSWERED_LATELY,
        /** Two places that are easily taken for each other. */
        LOOK_ALIKE,
        /** The answers of one place. */
        PLACE
    }
}
