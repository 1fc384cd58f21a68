package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;

/** A group of situations, such as the mount; the rows of the map view. */
public record Family(Id id, String title) implements Part {
    public Family {
        Text.TITLE.require("A family's title", title);
    }
}
