package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Solves the map once with each usable reaction taken away. Taking one away also shortens the thinking time for the
 * others, so a loss can be below 0. Cost: one compile and solve a reaction.
 */
public final class GateSweep {

    /** A situation's change below this is not listed. */
    private static final double WORTH_SAYING = 1e-3;

    private GateSweep() {
    }

    /** All gates under {@code setting}. */
    public static NarrowGates sweep(MapIndex index, Setting setting) {
        return sweep(index, setting, Progress.NONE);
    }

    /**
     * All gates under {@code setting}, telling {@code progress} after each.
     *
     * @throws StoppedException when {@code progress} asks to stop
     */
    public static NarrowGates sweep(MapIndex index, Setting setting, Progress progress) {
        Solved whole = Solved.converged(index, setting);
        List<Reaction> usable = index.map().situations().stream()
                .flatMap(s -> whole.conditions().usable(s).stream()).toList();
        List<NarrowGates.Gate> gates = new ArrayList<>();
        for (Reaction reaction : usable) {
            progress.at(gates.size(), usable.size());
            gates.add(gate(whole, reaction, Solved.converged(index, setting.without(Set.of(reaction.id())))));
        }
        gates.sort(Comparator.comparingDouble(NarrowGates.Gate::lost).reversed());
        return new NarrowGates(whole.startWorth(), gates);
    }

    private static NarrowGates.Gate gate(Solved whole, Reaction reaction, Solved without) {
        Map<Id, Double> lost = new LinkedHashMap<>();
        for (int s = 0; s < whole.game().situations; s++) {
            double difference = whole.solution().value(s) - without.solution().value(s);
            if (Math.abs(difference) > WORTH_SAYING) {
                lost.put(whole.placeId(s), difference);
            }
        }
        double start = without.startWorth();
        int choice = whole.solution().choice()[whole.places().get(reaction.from())];
        boolean chosen = choice != Solution.STOP && whole.game().optionReaction[choice] != Game.WAIT
                && whole.reactionId(choice).equals(reaction.id());
        return new NarrowGates.Gate(reaction.id(), reaction.from(), chosen, start, whole.startWorth() - start, lost);
    }
}
