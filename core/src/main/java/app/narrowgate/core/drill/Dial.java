package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.trait.Injury;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Weight or grip that is added notch by notch until the lighter partner says stop. That it is never turned on the neck is common
 * practice, no source; how long a notch lasts is our estimate.
 */
public final class Dial {

    /** Notches of a round at most: beyond that nobody says any more what the difference was. */
    public static final int MOST_NOTCHES = 8;

    /** Seconds of a notch, about: to settle, to answer once, and to be asked. */
    private static final int NOTCH = 20;

    private Dial() {
    }

    /** Notches of a round of so many seconds, equally long, from 1 to {@link #MOST_NOTCHES}. */
    public static int notches(int seconds) {
        return Math.min(MOST_NOTCHES, Math.max(1, seconds / NOTCH));
    }

    /** True where a dial may be turned: anywhere but where a finish is about to close. */
    public static boolean isOpen(MapIndex index, Id place) {
        return !PracticeGraph.isClosing(index, place);
    }

    /** What to take care of in {@code place}, where there is more than anywhere. */
    public static Optional<String> caution(MapIndex index, Id place) {
        return holdsTheHead(index, place)
                ? Optional.of("The head is held here: the dial is for the weight, the hold on the head stays as light as at the first notch.") : Optional.empty();
    }

    private static boolean holdsTheHead(MapIndex index, Id place) {
        return index.situation(place).filter(one -> one.held().containsKey(Segment.HEAD)).isPresent();
    }

    /**
     * Which of {@code hurt} keep somebody from being below while it is turned: ribs anywhere, as they bear the weight, and a neck where the
     * head is held; common practice, no source.
     */
    public static Set<Injury> minds(MapIndex index, Id place, Set<Injury> hurt) {
        boolean head = holdsTheHead(index, place);
        return hurt.stream().filter(one -> one == Injury.RIB || one == Injury.NECK && head).collect(Collectors.toSet());
    }

    /** What is wrong with the place of a dial, in a sentence; empty for other drills, and where nothing is. */
    static Optional<String> fault(MapIndex index, Drill drill) {
        return drill.place().filter(place -> drill.kind() == DrillKind.DIAL && !isOpen(index, place))
                .map(place -> "A finish is about to close here, and nobody tightens that notch by notch. Turn the dial in the place before it.");
    }
}
