package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Text;
import java.util.List;

/**
 * What the top player needs for a pin to hold or a submission to close.
 *
 * @param at the situations in which it is on or on its way, from early to late
 * @param requirement everything it needs, as a tree
 */
public record Hold(Id id, String title, Kind kind, List<Id> at, Requirement requirement) {

    /** Pins hold, finishes end. */
    public enum Kind implements Coded { PIN, FINISH }

    /** The same hold, not denied by that reaction any more. */
    public Hold withoutDenial(Id reaction) {
        return new Hold(id, title, kind, at, requirement.withoutDenial(reaction));
    }

    public Hold {
        Text.TITLE.require("A hold's title", title);
        at = List.copyOf(at);
    }
}
