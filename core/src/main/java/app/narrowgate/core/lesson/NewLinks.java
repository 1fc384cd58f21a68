package app.narrowgate.core.lesson;

import app.narrowgate.core.drill.Ladder;
import app.narrowgate.core.trait.Level;

/** How many new links somebody is given in one class: two in the first months, four later ({@link Ladder#mostLinks}). */
public final class NewLinks {

    /** For whoever is past the first months. */
    public static final int MOST = 4;

    private NewLinks() {
    }

    /** New links in one class for somebody of a level. */
    public static int of(Level level) {
        return Math.min(MOST, Ladder.mostLinks(level));
    }
}
