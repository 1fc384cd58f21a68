package app.narrowgate.core.finish;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.Closing;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A reaction that is taught against a hold, at the stage of its situation.
 *
 * @param takesAway every need of the hold that goes with it
 * @param works chance in [0,1] that it gets going
 * @param inTime chance in [0,1] that it is under way before the situation's clock moves on
 * @param seconds what it takes, without thinking and a late start
 * @param before chance in [0,1] that the hold closes as seen from its stage; empty while a need's chance is not said
 * @param closes the same with the answer given once: where it fails, they go on as if nothing had been
 * @param closedBy what closes it under the setting; empty when it is usable
 */
public record Answer(Id reaction, Stage stage, Set<Id> takesAway, double works, double inTime, double seconds,
        OptionalDouble before, OptionalDouble closes, List<Closing> closedBy) {

    public Answer {
        takesAway = Set.copyOf(takesAway);
        closedBy = List.copyOf(closedBy);
    }

    /** True when nothing closes it. */
    public boolean isUsable() {
        return closedBy.isEmpty();
    }

    /** Chance in [0,1] that it is in time and gets going. */
    public double succeeds() {
        return works * inTime;
    }

    /** By how much the chance that the hold closes falls; 0 while it is not known. */
    public double gain() {
        return before.isPresent() && closes.isPresent() ? before.getAsDouble() - closes.getAsDouble() : 0;
    }
}
