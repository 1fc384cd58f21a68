package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.drill.ConnectedCirculation.Arrow;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jgrapht.alg.cycle.ChinesePostman;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.DirectedWeightedPseudograph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Variable;

/** Closed walks against an integer program and against the plain postman. */
class ConnectedCirculationTest {

    private static final int ENOUGH = 5_000;

    static IntStream seeds() {
        return IntStream.range(0, 60);
    }

    /** A ring through all nodes so that there is an answer, dear; other arrows, cheap; some of all must be used. */
    private static List<Arrow> arrows(Random random, int nodes) {
        List<Arrow> arrows = new ArrayList<>();
        for (int node = 0; node < nodes; node++) {
            arrows.add(new Arrow(node, (node + 1) % nodes, 6 + random.nextInt(6), 0));
        }
        for (int more = 0; more < 2 * nodes; more++) {
            boolean used = random.nextInt(3) == 0;
            arrows.add(new Arrow(random.nextInt(nodes), random.nextInt(nodes), random.nextInt(5), used ? 1 + random.nextInt(2) : 0));
        }
        arrows.add(new Arrow(0, 1, 0, 1));
        return arrows;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void costsWhatTheIntegerProgramCosts(int seed) {
        Random random = new Random(seed);
        int nodes = 4 + random.nextInt(5);
        List<Arrow> arrows = arrows(random, nodes);
        ConnectedCirculation.Found found = ConnectedCirculation.solve(nodes, arrows, ENOUGH);
        assertThat(found.proven()).isTrue();
        assertThat(found.cost()).isCloseTo(integerProgram(nodes, arrows), within(1e-6));
        assertIsOne(nodes, arrows, found);
    }

    /** With little work allowed the bound is one all the same. */
    @ParameterizedTest
    @MethodSource("seeds")
    void aSearchThatIsCutShortStatesItsGap(int seed) {
        Random random = new Random(1000 + seed);
        int nodes = 8;
        List<Arrow> arrows = arrows(random, nodes);
        ConnectedCirculation.Found found = ConnectedCirculation.solve(nodes, arrows, 1);
        assertIsOne(nodes, arrows, found);
        assertThat(integerProgram(nodes, arrows)).isBetween(found.bound() - 1e-6, found.cost() + 1e-6);
    }

    /** Where every arrow must be used once it is the plain postman, who has a polynomial solution. */
    @ParameterizedTest
    @MethodSource("seeds")
    void isThePostmanWhereEveryArrowMustBeUsed(int seed) {
        Random random = new Random(2000 + seed);
        int nodes = 5 + random.nextInt(20);
        DirectedWeightedPseudograph<Integer, DefaultWeightedEdge> graph = new DirectedWeightedPseudograph<>(DefaultWeightedEdge.class);
        IntStream.range(0, nodes).forEach(graph::addVertex);
        List<Arrow> arrows = new ArrayList<>();
        for (Arrow arrow : arrows(random, nodes)) {
            arrows.add(new Arrow(arrow.from(), arrow.to(), 1 + arrow.cost(), 1));
            graph.setEdgeWeight(graph.addEdge(arrow.from(), arrow.to()), 1 + arrow.cost());
        }
        double tour = new ChinesePostman<Integer, DefaultWeightedEdge>().getCPPSolution(graph).getWeight();
        assertThat(ConnectedCirculation.solve(nodes, arrows, ENOUGH).cost()).isCloseTo(tour, within(1e-6));
    }

    /** Two rings that nothing joins but dear arrows: the flow alone would leave them apart. */
    @Test
    void partsAreJoinedAndTheBoundKnowsIt() {
        List<Arrow> arrows = List.of(new Arrow(0, 1, 0, 3), new Arrow(1, 0, 1, 0), new Arrow(2, 3, 0, 3), new Arrow(3, 2, 1, 0),
                new Arrow(1, 4, 8, 0), new Arrow(3, 4, 8, 0), new Arrow(4, 0, 0, 0), new Arrow(4, 2, 0, 0));
        ConnectedCirculation.Found found = ConnectedCirculation.solve(5, arrows, ENOUGH);
        assertThat(found.cost()).as("twice less the way home, twice the way round").isEqualTo(2 + 2 + 8 + 8);
        assertThat(found.proven()).isTrue();
    }

    private static void assertIsOne(int nodes, List<Arrow> arrows, ConnectedCirculation.Found found) {
        int[] balance = new int[nodes];
        double cost = 0;
        List<List<Integer>> reach = new ArrayList<>();
        IntStream.range(0, nodes).forEach(n -> reach.add(new ArrayList<>()));
        int first = -1;
        for (int a = 0; a < arrows.size(); a++) {
            Arrow arrow = arrows.get(a);
            int uses = found.uses()[a];
            assertThat(uses).isGreaterThanOrEqualTo(arrow.least());
            balance[arrow.from()] -= uses;
            balance[arrow.to()] += uses;
            cost += uses * arrow.cost();
            if (uses > 0) {
                first = arrow.from();
                reach.get(arrow.from()).add(arrow.to());
            }
        }
        assertThat(balance).containsOnly(0);
        assertThat(found.cost()).isCloseTo(cost, within(1e-9));
        boolean[] seen = new boolean[nodes];
        List<Integer> next = new ArrayList<>(List.of(first));
        while (!next.isEmpty()) {
            int node = next.remove(next.size() - 1);
            if (!seen[node]) {
                seen[node] = true;
                next.addAll(reach.get(node));
            }
        }
        for (int node = 0; node < nodes; node++) {
            assertThat(seen[node] || reach.get(node).isEmpty()).as("node %d hangs together with the rest", node).isTrue();
        }
    }

    /** Every set of nodes that holds some of the arrows to be used, but not all, must be left. */
    private static double integerProgram(int nodes, List<Arrow> arrows) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Variable[] uses = new Variable[arrows.size()];
        Expression[] balance = new Expression[nodes];
        for (int node = 0; node < nodes; node++) {
            balance[node] = model.newExpression("balance" + node).level(0);
        }
        for (int a = 0; a < uses.length; a++) {
            Arrow arrow = arrows.get(a);
            uses[a] = model.newVariable("x" + a).weight(arrow.cost()).lower(arrow.least()).upper(60).integer(true);
            if (arrow.from() != arrow.to()) {
                balance[arrow.from()].set(uses[a], -1);
                balance[arrow.to()].set(uses[a], 1);
            }
        }
        for (int set = 1; set < 1 << nodes; set++) {
            int within = 0;
            int without = 0;
            for (Arrow arrow : arrows) {
                boolean from = (set >> arrow.from() & 1) == 1;
                boolean to = (set >> arrow.to() & 1) == 1;
                within += arrow.least() > 0 && from && to ? 1 : 0;
                without += arrow.least() > 0 && !from && !to ? 1 : 0;
            }
            if (within > 0 && without > 0) {
                Expression left = model.newExpression("left" + set).lower(1);
                for (int a = 0; a < uses.length; a++) {
                    if ((set >> arrows.get(a).from() & 1) == 1 && (set >> arrows.get(a).to() & 1) == 0) {
                        left.set(uses[a], 1);
                    }
                }
            }
        }
        return model.minimise().getValue();
    }
}
