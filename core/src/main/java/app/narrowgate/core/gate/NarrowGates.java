package app.narrowgate.core.gate;

import app.narrowgate.core.map.Id;
import java.util.List;
import java.util.Map;

/**
 * What hangs on each reaction.
 *
 * @param start worth of the starts with everything taught
 * @param gates every usable reaction, the one whose loss costs most first
 */
public record NarrowGates(double start, List<Gate> gates) {

    public NarrowGates {
        gates = List.copyOf(gates);
    }

    /**
     * One reaction taken away.
     *
     * @param situation where it is taught
     * @param chosen whether it is the best choice there
     * @param startWithout worth of the starts without it
     * @param lost what the starts lose; below 0 where the map is better off without it
     * @param situations what each situation loses (below 0: gains) where that is more than a thousandth
     * @param estimated whether this is a first-order estimate, as for the less costly reactions of a very large map;
     *     then only the reaction's own situation is listed
     */
    public record Gate(Id reaction, Id situation, boolean chosen, double startWithout, double lost,
            Map<Id, Double> situations, boolean estimated) {
        public Gate {
            situations = Map.copyOf(situations);
        }

        /** What its own situation gains when it is no longer taught; below 0 in the usual case. */
        public double trimGain() {
            return -situations.getOrDefault(situation, 0.0);
        }
    }

    /**
     * Reactions that are not the best choice in their situation and cost it more thinking time than they bring, the
     * costliest first.
     */
    public List<Gate> trims() {
        return gates.stream().filter(g -> !g.chosen() && g.trimGain() > 0)
                .sorted(java.util.Comparator.comparingDouble(Gate::trimGain).reversed()).toList();
    }
}
