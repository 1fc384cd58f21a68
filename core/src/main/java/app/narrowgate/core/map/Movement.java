package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.Injury;
import java.util.Set;

/**
 * A solo body skill shared by many techniques.
 *
 * @param uses segments of which at least one must be free to do it; empty where none in particular
 * @param risks what it can hurt
 */
public record Movement(Id id, String title, Set<Segment> uses, Set<Injury> risks) implements Part {
    public Movement {
        Text.TITLE.require("A movement's title", title);
        uses = Set.copyOf(uses);
        risks = Set.copyOf(risks);
    }
}
