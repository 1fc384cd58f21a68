package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.Optional;

/**
 * Where an exchange ends for good.
 *
 * @param then after a reversal, the situation in which the other one finds themselves: their turn on the bottom; empty
 *     where nobody has said
 * @param posture how the two bodies are then; empty where nobody has drawn it
 */
public record Outcome(Id id, String title, PlaceKind kind, Optional<Id> then, Optional<Id> posture) implements Part {
    public Outcome {
        Text.TITLE.require("An outcome's title", title);
    }

    /** An outcome that nobody has drawn. */
    public Outcome(Id id, String title, PlaceKind kind, Optional<Id> then) {
        this(id, title, kind, then, Optional.empty());
    }

    /** The same outcome from which the other one goes on elsewhere. */
    Outcome withThen(Optional<Id> situation) {
        return new Outcome(id, title, kind, situation, posture);
    }

    /** The same outcome drawn otherwise, or not at all. */
    Outcome withPosture(Optional<Id> other) {
        return new Outcome(id, title, kind, then, other);
    }
}
