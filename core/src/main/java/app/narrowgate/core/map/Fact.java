package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;

/** Something that is true, false or open in a situation, such as "their shoulders are forward". */
public record Fact(Id id, String title) implements Part {
    public Fact {
        Text.TITLE.require("A fact's title", title);
    }
}
