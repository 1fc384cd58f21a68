package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;

/** A solo body skill shared by many techniques. */
public record Movement(Id id, String title) {
    public Movement {
        Text.TITLE.require("A movement's title", title);
    }
}
