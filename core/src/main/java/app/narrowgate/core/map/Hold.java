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
public record Hold(Id id, String title, Kind kind, List<Id> at, Requirement requirement) implements Part {

    /** Pins hold, finishes end. */
    public enum Kind implements Coded { PIN, FINISH }

    /** The same hold in other situations. */
    Hold withAt(List<Id> situations) {
        return new Hold(id, title, kind, situations, requirement);
    }

    /** The same hold with other needs. */
    Hold withRequirement(Requirement other) {
        return new Hold(id, title, kind, at, other);
    }

    public Hold {
        Text.TITLE.require("A hold's title", title);
        at = List.copyOf(at);
    }
}
