package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;
import java.util.Set;

/** Where the top player is, seen from the bottom player: the first thing that anybody can tell about a place. */
public enum Bearing implements Coded {
    /** Before you on the ground: in your guard, or before your turtle. */
    IN_FRONT,
    /** Lying across your trunk. */
    ACROSS,
    /** Sitting beside you, hip to hip. */
    BESIDE,
    /** Sitting or kneeling on you with a leg on either side. */
    ASTRIDE,
    /** Over your head, from the north. */
    ABOVE,
    /** At your back. */
    BEHIND,
    /** Both of you on your feet. */
    STANDING;

    /** Those that one may be taken for, as nothing sharp lies between them: lying across and sitting beside. */
    public Set<Bearing> neighbours() {
        return switch (this) {
            case ACROSS -> Set.of(BESIDE, ABOVE, ASTRIDE);
            case BESIDE, ABOVE, ASTRIDE -> Set.of(ACROSS);
            case BEHIND -> Set.of(BESIDE);
            case IN_FRONT -> Set.of(STANDING);
            case STANDING -> Set.of(IN_FRONT);
        };
    }
}
