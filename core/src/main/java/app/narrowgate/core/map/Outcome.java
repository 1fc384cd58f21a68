package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.Optional;

/**
 * Where an exchange ends for good.
 *
 * @param then after a reversal, the situation in which the other one finds themselves: their turn on the bottom; empty
 *     where nobody has said
 */
public record Outcome(Id id, String title, PlaceKind kind, Optional<Id> then) implements Part {
    public Outcome {
        Text.TITLE.require("An outcome's title", title);
    }

    /** The same outcome from which the other one goes on elsewhere. */
    Outcome withThen(Optional<Id> situation) {
        return new Outcome(id, title, kind, situation);
    }
}
