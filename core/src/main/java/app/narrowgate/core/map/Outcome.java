package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;

/** Where an exchange ends for good. */
public record Outcome(Id id, String title, PlaceKind kind) implements Part {
    public Outcome {
        Text.TITLE.require("An outcome's title", title);
    }
}
