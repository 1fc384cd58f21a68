package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.cycle.HierholzerEulerianCycle;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedPseudograph;

/**
 * The feeder's order of calls: random to the one who must read it, balanced to the one who counts.
 *
 * <p>Problem: a cyclic sequence over {@code calls} calls in which each comes {@code repetitions} times and the counts
 * of any two ordered pairs of neighbours differ by at most one. With {@code repetitions = calls} that is a de Bruijn
 * sequence B(calls, 2).
 *
 * <p>Method: a directed multigraph in which every call has {@code repetitions} arrows in and out, made of as many
 * complete graphs with loops as fit and of cyclic shifts for the rest; an Eulerian cycle of it (Hierholzer 1873) is the
 * sequence. Arrows are laid in shuffled order, so the seed decides which of the many cycles comes out. Time and memory
 * O(calls · repetitions). The same seed gives the same order.
 */
public final class CallOrder {

    /** More calls than this nobody keeps apart by ear. */
    public static final int MOST_CALLS = 12;
    /** More repetitions of one call than this do not fit a class. */
    public static final int MOST_REPETITIONS = 500;

    private CallOrder() {
    }

    /**
     * The order, as numbers {@code 0 .. calls-1}, of length {@code calls · repetitions}.
     *
     * @throws RefusedException when there are no calls or repetitions, or too many
     */
    public static List<Integer> of(int calls, int repetitions, long seed) {
        if (!(calls >= 1 && calls <= MOST_CALLS)) {
            throw new RefusedException("%d calls; between 1 and %d can be called.".formatted(calls, MOST_CALLS));
        }
        if (!(repetitions >= 1 && repetitions <= MOST_REPETITIONS)) {
            throw new RefusedException(
                    "%d repetitions; between 1 and %d are possible.".formatted(repetitions, MOST_REPETITIONS));
        }
        Random random = Lot.of(seed);
        List<int[]> arrows = arrows(calls, repetitions, random);
        Collections.shuffle(arrows, random);
        DirectedPseudograph<Integer, DefaultEdge> graph = new DirectedPseudograph<>(DefaultEdge.class);
        List<Integer> names = shuffled(0, calls, random);
        names.forEach(graph::addVertex);
        arrows.forEach(arrow -> graph.addEdge(names.get(arrow[0]), names.get(arrow[1])));
        GraphPath<Integer, DefaultEdge> cycle = new HierholzerEulerianCycle<Integer, DefaultEdge>()
                .getEulerianCycle(graph);
        List<Integer> order = new ArrayList<>(cycle.getVertexList());
        order.remove(order.size() - 1);
        return List.copyOf(order);
    }

    private static List<int[]> arrows(int calls, int repetitions, Random random) {
        List<int[]> arrows = new ArrayList<>();
        for (int whole = 0; whole < repetitions / calls; whole++) {
            for (int from = 0; from < calls; from++) {
                for (int to = 0; to < calls; to++) {
                    arrows.add(new int[] {from, to});
                }
            }
        }
        // The shift by one joins all calls, so the graph hangs together even when nothing else is in it.
        List<Integer> shifts = new ArrayList<>(List.of(1 % calls));
        for (int shift : shuffled(0, calls, random)) {
            if (shift != 1 % calls) {
                shifts.add(shift);
            }
        }
        for (int shift : shifts.subList(0, repetitions % calls)) {
            for (int from = 0; from < calls; from++) {
                arrows.add(new int[] {from, (from + shift) % calls});
            }
        }
        return arrows;
    }

    private static List<Integer> shuffled(int from, int to, Random random) {
        List<Integer> numbers = new ArrayList<>();
        for (int n = from; n < to; n++) {
            numbers.add(n);
        }
        Collections.shuffle(numbers, random);
        return numbers;
    }
}
