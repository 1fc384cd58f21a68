package app.narrowgate.core.lesson;

import app.narrowgate.core.check.RefusedException;
import java.util.UUID;

/** Two people, whoever is named first. */
public record Couple(UUID one, UUID other) {

    /** Puts them in order, so that the same two are equal. */
    public Couple {
        if (one.equals(other)) {
            throw new RefusedException("Two people make a pair; one stands there twice.");
        }
        if (one.compareTo(other) > 0) {
            UUID first = other;
            other = one;
            one = first;
        }
    }

    /** True where somebody is one of them. */
    boolean holds(UUID who) {
        return one.equals(who) || other.equals(who);
    }
}
