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
 * others, so a loss can be below 0. Cost: one compile and solve a reaction; on a map so large that this would
 * take more than some seconds, only for those that {@link GateEstimate} finds costliest.
 */
public final class GateSweep {

    /** A situation's change below this is not listed. */
    private static final double WORTH_SAYING = 1e-3;

    /** Solves times responses: some three seconds on one core. A map of a thousand responses is solved for throughout. */
    private static final int MOST_WORK = 1_000_000;

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
        int responses = index.map().reactions().stream().mapToInt(r -> r.responses().size() + 1).sum();
        return sweep(index, setting, progress, MOST_WORK / Math.max(1, responses));
    }

    /** The same with a bound on the solves: what looks costliest is solved for, the rest stays an estimate. */
    static NarrowGates sweep(MapIndex index, Setting setting, Progress progress, int mostSolved) {
        Solved whole = Solved.converged(index, setting);
        GateEstimate estimate = new GateEstimate(whole);
        Game game = whole.game();
        List<NarrowGates.Gate> gates = new ArrayList<>();
        for (int s = 0; s < game.situations; s++) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (game.optionReaction[o] != Game.WAIT) {
                    gates.add(estimated(whole, estimate, s, o));
                }
            }
        }
        gates.sort(Comparator.comparingDouble((NarrowGates.Gate g) -> Math.abs(g.lost())).reversed());
        for (int i = 0; i < Math.min(gates.size(), mostSolved); i++) {
            progress.at(i, gates.size());
            Reaction reaction = index.reaction(gates.get(i).reaction()).orElseThrow();
            gates.set(i, gate(whole, reaction, Solved.converged(index, setting.without(Set.of(reaction.id())))));
        }
        gates.sort(Comparator.comparingDouble(NarrowGates.Gate::lost).reversed());
        return new NarrowGates(whole.startWorth(), gates);
    }

    private static NarrowGates.Gate estimated(Solved whole, GateEstimate estimate, int s, int o) {
        double local = estimate.localLoss(s, o);
        double lost = estimate.startLoss(s, local);
        Id situation = whole.placeId(s);
        return new NarrowGates.Gate(whole.reactionId(o), situation, whole.solution().choice()[s] == o,
                whole.startWorth() - lost, lost, Math.abs(local) > WORTH_SAYING ? Map.of(situation, local) : Map.of(), true);
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
        return new NarrowGates.Gate(reaction.id(), reaction.from(), chosen, start, whole.startWorth() - start, lost,
                false);
    }
}
