package app.narrowgate.core.drill;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import org.jgrapht.Graph;
import org.jgrapht.alg.flow.mincost.CapacityScalingMinimumCostFlow;
import org.jgrapht.alg.flow.mincost.MinimumCostFlowProblem;
import org.jgrapht.alg.interfaces.MinimumCostFlowAlgorithm;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.DirectedWeightedPseudograph;

/**
 * The cheapest circulation that uses some arrows at least so often and hangs together: what a closed walk through all
 * of them is made of.
 *
 * <p>Problem: whole numbers {@code x ≥ least} on the arrows of a directed graph, as many into each node as out of it,
 * all arrows with {@code x > 0} in one component, least {@code Σ cost·x}. That is the directed rural postman problem,
 * NP-hard in the number of components of the arrows that must be used (Lenstra and Rinnooy Kan 1976).
 *
 * <p>Method: branch and bound. Without the last condition it is a minimum-cost flow (capacity scaling, Edmonds and Karp
 * 1972). Where that falls apart, each part must be left at least once: the least reduced costs of the arrows that leave
 * the parts, and then of what is left of those that enter them, may be added to the bound, since every arrow leaves one
 * part only (dual ascent). A branch says which arrow is the first, in the order of reduced costs, by which one part is
 * left. The search is best first; when {@code mostFlows} have been solved it ends with the best it has and the bound it
 * has reached. Deterministic.
 */
final class ConnectedCirculation {

    /** Costs nearer together than this are equal. */
    static final double TOLERANCE = 1e-6;
    private static final int UNBOUNDED = 10_000_000;

    /** An arrow that must be used at least {@code least} times; cost at least 0. */
    record Arrow(int from, int to, double cost, int least) {
    }

    /**
     * What was found.
     *
     * @param uses how often each arrow is used
     * @param bound no circulation that hangs together costs less
     */
    record Found(int[] uses, double cost, double bound) {
        boolean proven() {
            return cost - bound < TOLERANCE;
        }
    }

    private final int nodes;
    private final Arrow[] arrows;
    private int flowsLeft;
    private int[] best;
    private double bestCost = Double.POSITIVE_INFINITY;

    private ConnectedCirculation(int nodes, List<Arrow> arrows, int mostFlows) {
        this.nodes = nodes;
        this.arrows = arrows.toArray(Arrow[]::new);
        this.flowsLeft = mostFlows;
    }

    /**
     * Solves the problem. Precondition: from every arrow that must be used every other can be reached.
     *
     * @param mostFlows flows to be solved at most, at least 1; a few more are solved to have an answer at all
     */
    static Found solve(int nodes, List<Arrow> arrows, int mostFlows) {
        return new ConnectedCirculation(nodes, arrows, mostFlows).search();
    }

    /** A flow that is best for its own lower bounds, and what it says of those that hang together. */
    private final class State {
        final int[] least;
        final boolean[] barred;
        final int[] uses;
        final double bound;
        /** Arrows by which the part to be joined may be left, the cheapest first; empty when all hangs together. */
        final List<Integer> ways;
        /** The cheapest way out of every part. */
        final List<Integer> cheapest = new ArrayList<>();

        State(int[] least, boolean[] barred) {
            this.least = least;
            this.barred = barred;
            double[] reduced = new double[arrows.length];
            this.uses = flow(least, barred, reduced);
            double value = 0;
            for (int a = 0; a < arrows.length; a++) {
                value += arrows[a].cost() * uses[a];
            }
            int[] part = parts(uses);
            int count = Arrays.stream(part).max().orElse(-1) + 1;
            List<Integer> narrowest = List.of();
            double raised = 0;
            if (count > 1) {
                double[] left = reduced.clone();
                double[] out = new double[count];
                double[] in = new double[count];
                List<List<Integer>> leaving = new ArrayList<>();
                for (int p = 0; p < count; p++) {
                    leaving.add(new ArrayList<>());
                }
                Arrays.fill(out, Double.POSITIVE_INFINITY);
                Arrays.fill(in, Double.POSITIVE_INFINITY);
                for (int a = 0; a < arrows.length; a++) {
                    if (crosses(a, part) && part[arrows[a].from()] >= 0) {
                        leaving.get(part[arrows[a].from()]).add(a);
                        out[part[arrows[a].from()]] = Math.min(out[part[arrows[a].from()]], reduced[a]);
                    }
                }
                for (int a = 0; a < arrows.length; a++) {
                    if (crosses(a, part)) {
                        left[a] -= part[arrows[a].from()] >= 0 ? out[part[arrows[a].from()]] : 0;
                        if (part[arrows[a].to()] >= 0) {
                            in[part[arrows[a].to()]] = Math.min(in[part[arrows[a].to()]], left[a]);
                        }
                    }
                }
                raised = Arrays.stream(out).sum() + Arrays.stream(in).sum();
                for (List<Integer> ways : leaving) {
                    ways.sort(Comparator.comparingDouble((Integer a) -> reduced[a]).thenComparing(a -> a));
                    if (!ways.isEmpty()) {
                        cheapest.add(ways.get(0));
                    }
                    if (narrowest.isEmpty() || ways.size() < narrowest.size()) {
                        narrowest = ways;
                    }
                }
            } else if (value < bestCost) {
                bestCost = value;
                best = uses;
            }
            this.ways = narrowest;
            this.bound = value + raised;
        }

        private boolean crosses(int a, int[] part) {
            return !barred[a] && part[arrows[a].from()] != part[arrows[a].to()];
        }

        /** This with the i-th way taken and those before it barred. */
        State taking(int way) {
            int[] more = least.clone();
            more[ways.get(way)] = Math.max(1, more[ways.get(way)]);
            boolean[] fewer = barred.clone();
            ways.subList(0, way).forEach(a -> fewer[a] = true);
            return new State(more, fewer);
        }

        /** This with the cheapest way out of every part taken at once. */
        State takingAll() {
            int[] more = least.clone();
            cheapest.forEach(a -> more[a] = Math.max(1, more[a]));
            return new State(more, barred);
        }
    }

    private Found search() {
        int[] least = Arrays.stream(arrows).mapToInt(Arrow::least).toArray();
        State root = new State(least, new boolean[arrows.length]);
        for (State state = root; !state.ways.isEmpty();) {
            state = state.takingAll();
        }
        PriorityQueue<State> open = new PriorityQueue<>(Comparator.comparingDouble(s -> s.bound));
        open.add(root);
        double bound = root.bound;
        while (!open.isEmpty()) {
            State state = open.poll();
            bound = Math.max(bound, Math.min(state.bound, bestCost));
            if (bound > bestCost - TOLERANCE) {
                return new Found(best, bestCost, bestCost);
            }
            if (state.ways.isEmpty()) {
                continue;
            }
            for (int way = 0; way < state.ways.size(); way++) {
                if (flowsLeft <= 0) {
                    return new Found(best, bestCost, Math.min(bound, bestCost));
                }
                State child = state.taking(way);
                if (child.bound < bestCost - TOLERANCE) {
                    open.add(child);
                }
            }
        }
        return new Found(best, bestCost, bestCost);
    }

    /** The cheapest circulation for these bounds, and the reduced costs of the arrows. */
    private int[] flow(int[] least, boolean[] barred, double[] reduced) {
        flowsLeft--;
        Graph<Integer, DefaultWeightedEdge> graph = new DirectedWeightedPseudograph<>(DefaultWeightedEdge.class);
        for (int node = 0; node < nodes; node++) {
            graph.addVertex(node);
        }
        Map<DefaultWeightedEdge, Integer> numbers = new HashMap<>();
        for (int a = 0; a < arrows.length; a++) {
            if (!barred[a] && arrows[a].from() != arrows[a].to()) {
                DefaultWeightedEdge edge = graph.addEdge(arrows[a].from(), arrows[a].to());
                graph.setEdgeWeight(edge, arrows[a].cost());
                numbers.put(edge, a);
            }
        }
        CapacityScalingMinimumCostFlow<Integer, DefaultWeightedEdge> solver = new CapacityScalingMinimumCostFlow<>();
        MinimumCostFlowAlgorithm.MinimumCostFlow<DefaultWeightedEdge> flow = solver.getMinimumCostFlow(
                new MinimumCostFlowProblem.MinimumCostFlowProblemImpl<>(graph, node -> 0, edge -> UNBOUNDED,
                        edge -> least[numbers.get(edge)]));
        Map<Integer, Double> potential = solver.getDualSolution();
        int[] uses = new int[arrows.length];
        flow.getFlowMap().forEach((edge, amount) -> uses[numbers.get(edge)] = (int) Math.round(amount));
        for (int a = 0; a < arrows.length; a++) {
            Arrow arrow = arrows[a];
            if (arrow.from() == arrow.to()) {
                uses[a] = least[a];
            }
            reduced[a] = Math.max(0, arrow.cost() - potential.get(arrow.from()) + potential.get(arrow.to()));
        }
        return uses;
    }

    /** The part each node lies in, by the arrows that are used; -1 where none is. */
    private int[] parts(int[] uses) {
        List<List<Integer>> beside = new ArrayList<>();
        for (int node = 0; node < nodes; node++) {
            beside.add(new ArrayList<>());
        }
        for (int a = 0; a < arrows.length; a++) {
            if (uses[a] > 0) {
                beside.get(arrows[a].from()).add(arrows[a].to());
                beside.get(arrows[a].to()).add(arrows[a].from());
            }
        }
        int[] part = new int[nodes];
        Arrays.fill(part, -1);
        int count = 0;
        for (int node = 0; node < nodes; node++) {
            if (part[node] < 0 && !beside.get(node).isEmpty()) {
                Deque<Integer> reached = new ArrayDeque<>(List.of(node));
                part[node] = count;
                while (!reached.isEmpty()) {
                    for (int next : beside.get(reached.pop())) {
                        if (part[next] < 0) {
                            part[next] = count;
                            reached.push(next);
                        }
                    }
                }
                count++;
            }
        }
        return part;
    }
}
