package app.narrowgate.core.gate;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.solve.Game;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Solves the map once with each usable reaction taken away. Taking one away also shortens the thinking time for the
 * others, so a loss can be below 0. Cost: one solve a reaction; on a map so large that this would take more than some
 * seconds, only for those that {@link GateEstimate} finds costliest.
 */
public final class GateSweep {

    /** A situation's change below this is not listed. */
    private static final double WORTH_SAYING = 1e-3;

    /**
     * Solves times responses: some three seconds on one core. A map of a thousand responses is solved for throughout.
     */
    private static final int MOST_WORK = 1_000_000;

    private GateSweep() {
    }

    /** All gates of {@code whole}. */
    public static NarrowGates sweep(SolvedMap whole) {
        return sweep(whole, Progress.NONE);
    }

    /**
     * All gates of {@code whole}, telling {@code progress} after each.
     *
     * @throws StoppedException when {@code progress} asks to stop
     */
    public static NarrowGates sweep(SolvedMap whole, Progress progress) {
        return sweep(whole, progress, mostSolved(whole));
    }

    private static int mostSolved(SolvedMap whole) {
        return MOST_WORK / Math.max(1, responses(whole));
    }

    private static int responses(SolvedMap whole) {
        return whole.map().reactions().stream().mapToInt(r -> r.responses().size() + 1).sum();
    }

    /** The same with a bound on the solves: what looks costliest is solved for, the rest stays an estimate. */
    static NarrowGates sweep(SolvedMap whole, Progress progress, int mostSolved) {
        Game game = whole.converged().game();
        GateEstimate estimate = new GateEstimate(whole);
        List<NarrowGates.Gate> gates = new ArrayList<>();
        for (int s = 0; s < game.situations; s++) {
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                if (!game.waits(o)) {
                    gates.add(estimated(whole, estimate, s, o));
                }
            }
        }
        gates.sort(Comparator.comparingDouble((NarrowGates.Gate g) -> Math.abs(g.lost())).reversed());
        for (int i = 0; i < Math.min(gates.size(), mostSolved); i++) {
            progress.at(i, Math.min(gates.size(), mostSolved));
            Reaction reaction = whole.index().reaction(gates.get(i).reaction()).orElseThrow();
            gates.set(i, gate(whole, reaction, whole.without(Set.of(reaction.id()))));
        }
        gates.sort(Comparator.comparingDouble(NarrowGates.Gate::lost).reversed());
        return new NarrowGates(whole.startWorth(), gates);
    }

    private static NarrowGates.Gate estimated(SolvedMap whole, GateEstimate estimate, int s, int o) {
        double local = estimate.localLoss(s, o);
        double lost = estimate.startLoss(s, local);
        Id situation = whole.placeId(s);
        return new NarrowGates.Gate(whole.reaction(o).id(), situation, whole.solution().tries(s, o),
                whole.startWorth() - lost, lost, Math.abs(local) > WORTH_SAYING ? Map.of(situation, local) : Map.of(), true);
    }

    private static NarrowGates.Gate gate(SolvedMap whole, Reaction reaction, SolvedMap without) {
        Map<Id, Double> lost = new LinkedHashMap<>();
        for (int s = 0; s < whole.game().situations; s++) {
            double difference = whole.solution().value(s) - without.solution().value(s);
            if (Math.abs(difference) > WORTH_SAYING) {
                lost.put(whole.placeId(s), difference);
            }
        }
        double start = without.startWorth();
        boolean chosen = whole.best(whole.place(reaction.from())).filter(r -> r.id().equals(reaction.id())).isPresent();
        return new NarrowGates.Gate(reaction.id(), reaction.from(), chosen, start, whole.startWorth() - start, lost,
                false);
    }
}
