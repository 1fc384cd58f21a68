package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.List;
import java.util.Optional;

/**
 * A question on which good coaches disagree, with their stances.
 *
 * @param condition what separates the stances on the mat; may be empty
 * @param house the stance this house has taken; empty where it goes by the condition
 */
public record Principle(Id id, String title, String condition, List<Stance> stances, Optional<Id> house) implements Part {
    public Principle {
        Text.TITLE.require("A principle's title", title);
        Text.SENTENCE.require("A principle's condition", condition);
        stances = List.copyOf(stances);
    }

    /** A principle on which the house has not taken sides. */
    public Principle(Id id, String title, List<Stance> stances) {
        this(id, title, "", stances, Optional.empty());
    }

    /** The same with the house's stance; empty for going by the condition. */
    public Principle withHouse(Optional<Id> stance) {
        return new Principle(id, title, condition, stances, stance);
    }

    /**
     * One answer to the principle's question.
     *
     * @param wants what it asks of the bottom player and why; may be empty
     */
    public record Stance(Id id, String title, String wants) {
        public Stance {
            Text.TITLE.require("A stance's title", title);
            Text.SENTENCE.require("What a stance wants", wants);
        }

        /** A stance of which only the name is known. */
        public Stance(Id id, String title) {
            this(id, title, "");
        }
    }
}
