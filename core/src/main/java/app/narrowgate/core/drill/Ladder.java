package app.narrowgate.core.drill;

import app.narrowgate.core.trait.Level;
import java.util.List;

/**
 * The kinds of drill in the order in which a level climbs them: blocked, then serial, then random (contextual
 * interference: Shea and Morgan 1979, named from memory), and how much of a drill a level is given.
 */
public final class Ladder {

    private Ladder() {
    }

    /** The rungs of a level, the first first. */
    public static List<DrillKind> of(Level level) {
        return switch (level) {
            case NOVICE -> List.of(DrillKind.SOLO, DrillKind.STEP_LIMITED, DrillKind.FIXED, DrillKind.CHAIN, DrillKind.DIAL,
                    DrillKind.CALLED, DrillKind.DISCOVERY, DrillKind.GATE);
            case INTERMEDIATE -> List.of(DrillKind.STEP_LIMITED, DrillKind.FIXED, DrillKind.CHAIN, DrillKind.STAGED,
                    DrillKind.DIAL, DrillKind.CALLED, DrillKind.ROUND_PATTERN, DrillKind.UNTIL_OUT, DrillKind.LIVE,
                    DrillKind.GATE);
            case ADVANCED -> List.of(DrillKind.FIXED, DrillKind.CHAIN, DrillKind.STAGED, DrillKind.CALLED,
                    DrillKind.ROUND_PATTERN, DrillKind.UNTIL_OUT, DrillKind.DISCOVERY, DrillKind.LIVE, DrillKind.GATE);
        };
    }

    /** Links of a drill that a level is given; common practice for beginners, house figures for the others. */
    public static int mostLinks(Level level) {
        return switch (level) {
            case NOVICE -> 2;
            case INTERMEDIATE -> 4;
            case ADVANCED -> Drill.MOST_LINKS;
        };
    }
}
