package app.narrowgate.core.lesson;

import app.narrowgate.core.drill.Role;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.List;

/**
 * A part of a class by the clock: how long it is shown, and who is on the bottom on which side for how long. Both partners are below
 * equally long on each side that is practised. The lengths are our estimates.
 *
 * @param showing seconds for showing it, and for what is left over when the turns are of whole steps
 * @param turns in order; none where the minutes are too few for any
 */
public record Turns(int showing, List<Turn> turns) {

    /** Seconds in which everybody changes places before a turn. */
    public static final int CHANGE = 10;

    private static final int MINUTE = 60;
    private static final int STEP = 5;
    /** In seconds. A turn of practice lasts about this long, and a side is not divided below the least. */
    private static final int TURN = 90;
    private static final int LEAST_ON_BOTH_SIDES = 40;
    private static final int LEAST = 15;
    /** In seconds, of a live round before the partners are changed. */
    private static final int LIVE_TURN = 150;

    /**
     * One partner on the bottom.
     *
     * @param seconds without the change before it
     * @param bout how often partners were changed before it
     */
    public record Turn(Side side, Role bottom, int seconds, int bout) {
    }

    public Turns {
        turns = List.copyOf(turns);
    }

    /** Those of a part of the class that practises something. */
    public static Turns of(Section section, int minutes) {
        int all = minutes * MINUTE;
        int practised = all - (int) Math.round(section.setUp() * MINUTE);
        int live = section == Section.LIVE ? bouts(minutes) : 0;
        int number = live > 0 ? 2 * live : number(practised);
        int each = (practised / number - CHANGE) / STEP * STEP;
        if (each < LEAST) {
            return new Turns(all, List.of());
        }
        List<Turn> turns = new ArrayList<>();
        for (int i = 0; i < number; i++) {
            turns.add(new Turn(i / 2 % 2 == 0 ? Side.LEFT : Side.RIGHT, i % 2 == 0 ? Role.FIRST : Role.SECOND, each, live > 0 ? i / 2 : 0));
        }
        return new Turns(all - number * (each + CHANGE), turns);
    }

    /** How often a live part is begun with another partner, the first time included. */
    public static int bouts(int minutes) {
        int practised = minutes * MINUTE - (int) Math.round(Section.LIVE.setUp() * MINUTE);
        return Math.max(1, Math.round(practised / (2f * (LIVE_TURN + CHANGE))));
    }

    private static int number(int practised) {
        if (practised / 4 - CHANGE < LEAST_ON_BOTH_SIDES) {
            return 2;
        }
        return 4 * Math.max(1, Math.round(practised / (4f * (TURN + CHANGE))));
    }
}
