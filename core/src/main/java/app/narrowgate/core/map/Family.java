package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.Optional;

/**
 * A group of situations, such as the mount; the rows of the map view.
 *
 * @param posture how the two bodies are in those of its situations that say nothing else; empty where nobody has drawn it
 */
public record Family(Id id, String title, Optional<Id> posture) implements Part {
    public Family {
        Text.TITLE.require("A family's title", title);
    }

    /** A family that nobody has drawn. */
    public Family(Id id, String title) {
        this(id, title, Optional.empty());
    }

    /** The same family drawn otherwise, or not at all. */
    Family withPosture(Optional<Id> other) {
        return new Family(id, title, other);
    }
}
