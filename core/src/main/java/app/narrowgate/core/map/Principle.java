package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.List;

/** A question on which good coaches disagree, with their stances. */
public record Principle(Id id, String title, List<Stance> stances) {
    public Principle {
        Text.TITLE.require("A principle's title", title);
        stances = List.copyOf(stances);
    }

    /** One answer to the principle's question. */
    public record Stance(Id id, String title) {
        public Stance {
            Text.TITLE.require("A stance's title", title);
        }
    }
}
