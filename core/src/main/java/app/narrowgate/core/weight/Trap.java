package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Posts of one side that are taken away together, and where that leaves them weakest.
 *
 * @param changes what is trapped, of one side
 * @param weakest where they tip first then
 */
public record Trap(Set<Change> changes, Base.Lean weakest) {

    /** By how many degrees a second trap must weaken them to be worth the trouble. */
    private static final double WORTH_IT = 2;
    private static final List<List<Change>> SIDES = List.of(List.of(Change.TRAP_HAND_LEFT, Change.TRAP_FOOT_LEFT),
            List.of(Change.TRAP_HAND_RIGHT, Change.TRAP_FOOT_RIGHT));

    /**
     * The trap after which they tip soonest: a hand, a foot, or both of one side. Of two nearly as good the one with fewer
     * traps. Empty where nothing can be trapped, nothing is gained by it, or the base is not reckoned.
     *
     * @param posture solved, nothing changed
     */
    public static Optional<Trap> best(Bodies posture) {
        Optional<Base> untouched = Weighing.of(posture, Set.of(), rough -> rough).base();
        if (untouched.isEmpty()) {
            return Optional.empty();
        }
        Optional<Trap> best = Optional.empty();
        double toBeat = untouched.get().weakest().degrees();
        for (Set<Change> changes : candidates(posture)) {
            Base.Lean weakest = Weighing.of(posture, changes, rough -> rough).base().orElseThrow().weakest();
            if (weakest.degrees() < toBeat - WORTH_IT) {
                best = Optional.of(new Trap(changes, weakest));
                toBeat = weakest.degrees();
            }
        }
        return best;
    }

    private static List<Set<Change>> candidates(Bodies posture) {
        List<Set<Change>> one = new ArrayList<>();
        List<Set<Change>> both = new ArrayList<>();
        for (List<Change> side : SIDES) {
            List<Change> there = side.stream().filter(change -> change.applies(posture)).toList();
            there.forEach(change -> one.add(EnumSet.of(change)));
            if (there.size() > 1) {
                both.add(EnumSet.copyOf(there));
            }
        }
        one.addAll(both);
        return one;
    }
}
