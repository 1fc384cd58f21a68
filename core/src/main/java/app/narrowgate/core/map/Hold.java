package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Text;
import java.util.List;
import java.util.Set;

/**
 * What the top player needs for a pin to hold or a submission to close.
 *
 * @param at the situations in which it is on or on its way, from early to late
 * @param requirement everything it needs, as a tree
 * @param cautions what can hurt, said before anything else
 * @param feeder how a partner builds it for one who practises
 * @param arms arrangements of the bottom player's arms that are worth comparing, at most {@value #MOST_ARMS}
 */
public record Hold(Id id, String title, Kind kind, List<Id> at, Requirement requirement, List<String> cautions,
        Feeder feeder, List<Arms> arms) implements Part {

    /** More arrangements of two arms than these nobody tells apart. */
    public static final int MOST_ARMS = 8;

    /** Pins hold, finishes end. */
    public enum Kind implements Coded { PIN, FINISH }

    /**
     * A way to keep both arms, as long as it is kept.
     *
     * @param denies needs that cannot be met meanwhile, of this hold or of any other
     * @param gives needs that are met by it, of this hold or of any other
     */
    public record Arms(Id id, String title, Set<Id> denies, Set<Id> gives) {
        public Arms {
            Text.TITLE.require("The name of an arrangement of the arms", title);
            denies = Set.copyOf(denies);
            gives = Set.copyOf(gives);
        }
    }

    /** A hold of which no more is known than what it needs. */
    public static Hold of(Id id, String title, Kind kind, List<Id> at, Requirement requirement) {
        return new Hold(id, title, kind, at, requirement, List.of(), Feeder.NONE, List.of());
    }

    /** The same hold in other situations. */
    Hold withAt(List<Id> situations) {
        return new Hold(id, title, kind, situations, requirement, cautions, feeder, arms);
    }

    /** The same hold with other needs. */
    Hold withRequirement(Requirement other) {
        return new Hold(id, title, kind, at, other, cautions, feeder, arms);
    }

    public Hold {
        Text.TITLE.require("A hold's title", title);
        at = List.copyOf(at);
        cautions = List.copyOf(cautions);
        cautions.forEach(line -> Text.WORDS.require("A caution", line));
        arms = List.copyOf(arms);
    }
}
