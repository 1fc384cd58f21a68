package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import java.util.List;

/**
 * One reaction in its situation.
 *
 * @param closedBy what closes it here; empty when it is usable
 * @param takes seconds from the start of the situation until it is under way: late start, thinking, doing
 * @param inTime chance in [0,1] that this is before the clock moves on
 * @param works chance in [0,1] that it then gets going
 * @param underWay worth in [0,1] once it has got going
 * @param worth worth in [0,1] of choosing it; 0 when closed, but for what is told as what not to do: there it is what
 *     doing it once leaves
 */
public record ReactionOdds(Id reaction, List<Closing> closedBy, double takes, double inTime, double works, double underWay,
        double worth, List<ResponseOdds> responses) {

    public ReactionOdds {
        closedBy = List.copyOf(closedBy);
        responses = List.copyOf(responses);
    }

    /** False while nobody has given it a response: then {@link #worth} is only what a stuffed one is worth. */
    public boolean known() {
        return !responses.isEmpty();
    }

    /** True when no known fact rules it out. */
    public boolean usable() {
        return closedBy.isEmpty();
    }
}
