package app.narrowgate.core.lesson;

import app.narrowgate.core.drill.Ladder;
import app.narrowgate.core.trait.Level;

/** How many new links somebody is given in one class: two in the first months, four later ({@link Ladder#mostLinks}). */
final class NewLinks {

    /** For whoever is past the first months. */
    static final int MOST = 4;

    private NewLinks() {
    }

    /** New links in one class for somebody of a level. */
    static int of(Level level) {
        return Math.min(MOST, Ladder.mostLinks(level));
    }
}
