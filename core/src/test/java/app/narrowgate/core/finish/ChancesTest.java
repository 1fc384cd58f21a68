package app.narrowgate.core.finish;

import static app.narrowgate.core.finish.Trees.need;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Requirement.All;
import app.narrowgate.core.map.Requirement.Any;
import app.narrowgate.core.map.Requirement.Need;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Chances and importance against the sum over the whole truth table, and against an example of a handbook. */
class ChancesTest {

    static IntStream seeds() {
        return IntStream.range(0, 200);
    }

    private static Map<Id, Double> randomChances(Random random, Requirement tree) {
        Map<Id, Double> met = new HashMap<>();
        tree.needs().forEach(need -> met.put(need.id(), random.nextInt(8) == 0 ? random.nextInt(2) : random.nextDouble()));
        return met;
    }

    /** The sum of the rows of the truth table in which {@code counts}, by the chance of each. */
    private static double sum(Requirement tree, Map<Id, Double> met, Predicate<Set<Id>> counts) {
        double[] sum = {0};
        Trees.rows(tree, gone -> {
            if (counts.test(gone)) {
                double row = 1;
                for (Need need : tree.needs()) {
                    row *= gone.contains(need.id()) ? 1 - met.get(need.id()) : met.get(need.id());
                }
                sum[0] += row;
            }
        });
        return sum[0];
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void areThoseOfTheTruthTable(int seed) {
        Random random = new Random(seed);
        Requirement tree = Trees.random(random, 10);
        Map<Id, Double> met = randomChances(random, tree);
        Chances chances = Chances.of(tree, met);
        double closes = sum(tree, met, gone -> Trees.holds(tree, gone));
        Set<Set<Id>> denials = Trees.denials(tree);

        assertThat(chances.closes()).isCloseTo(closes, within(1e-12));
        for (Need need : tree.needs()) {
            Map<Id, Double> sure = new HashMap<>(met);
            sure.put(need.id(), 1.0);
            Map<Id, Double> gone = new HashMap<>(met);
            gone.put(need.id(), 0.0);
            assertThat(chances.importance(need.id())).isCloseTo(sum(tree, sure, g -> Trees.holds(tree, g))
                    - sum(tree, gone, g -> Trees.holds(tree, g)), within(1e-12));
            double through = sum(tree, met, g -> denials.stream().anyMatch(d -> d.contains(need.id()) && g.containsAll(d)));
            assertThat(chances.shareOfFailures(need.id()))
                    .isCloseTo(1 - closes <= 0 ? 0 : through / (1 - closes), within(1e-9));
        }
    }

    /**
     * Birnbaum's importance is the slope of the chance in the chance of one part, which is a straight line: the chance is
     * the one without the part plus importance times the part's own.
     */
    @ParameterizedTest
    @MethodSource("seeds")
    void importanceIsASlope(int seed) {
        Random random = new Random(seed);
        Requirement tree = Trees.random(random, 27);
        Map<Id, Double> met = randomChances(random, tree);
        Chances chances = Chances.of(tree, met);
        for (Need need : tree.needs()) {
            assertThat(chances.without(Set.of(need.id())).closes() + chances.importance(need.id()) * met.get(need.id()))
                    .isCloseTo(chances.closes(), within(1e-12));
        }
    }

    /**
     * The pressure tank of the <i>Fault Tree Handbook</i> (NUREG-0492, Vesely and others 1981, chapters VIII and XI), from
     * memory: the tank bursts by itself (5e-6), when relay K2 stays closed (3e-5), or when the pressure switch S stays
     * closed (1e-4) and so does relay K1 (3e-5), the timer R (1e-4) or the button S1 (3e-5). Its smallest cut sets are
     * {T}, {K2}, {S, K1}, {S, R}, {S, S1}, the chance is about 3.5e-5 by their sum; about 86 % of it is K2's, 14 % the
     * tank's, and less than 0.1 % that of the rest. What fails there is what is denied here.
     */
    @Test
    void theHandbooksPressureTank() {
        Map<String, Double> fails = Map.of("t", 5e-6, "k2", 3e-5, "s", 1e-4, "k1", 3e-5, "r", 1e-4, "s1", 3e-5);
        Requirement tree = new All(List.of(need("t", 1), need("k2", 1), new Any(List.of(need("s", 1),
                new All(List.of(need("k1", 1), need("r", 1), need("s1", 1)))))));
        Map<Id, Double> works = new HashMap<>();
        fails.forEach((part, chance) -> works.put(Id.of(part), 1 - chance));
        Chances chances = Chances.of(tree, works);

        assertThat(Denials.minimal(tree)).containsExactlyInAnyOrder(Set.of(Id.of("t")), Set.of(Id.of("k2")),
                Set.of(Id.of("s"), Id.of("k1")), Set.of(Id.of("s"), Id.of("r")), Set.of(Id.of("s"), Id.of("s1")));
        assertThat(1 - chances.closes()).isCloseTo(3.5e-5, within(0.1e-5));
        assertThat(chances.shareOfFailures(Id.of("k2"))).isCloseTo(0.86, within(0.005));
        assertThat(chances.shareOfFailures(Id.of("t"))).isCloseTo(0.14, within(0.005));
        for (String rest : List.of("s", "k1", "r", "s1")) {
            assertThat(chances.shareOfFailures(Id.of(rest))).isLessThan(0.001);
        }
    }

    /** Two out of three in a row and side by side, by hand: 0.9 · 0.8 and 1 - 0.1 · 0.2. */
    @Test
    void aGateOfEachKind() {
        Map<Id, Double> met = Map.of(Id.of("a"), 0.9, Id.of("b"), 0.8);
        List<Requirement> parts = List.of(need("a", 1), need("b", 1));
        Chances all = Chances.of(new All(parts), met);
        Chances any = Chances.of(new Any(parts), met);
        assertThat(all.closes()).isCloseTo(0.72, within(1e-15));
        assertThat(any.closes()).isCloseTo(0.98, within(1e-15));
        assertThat(all.importance(Id.of("a"))).isCloseTo(0.8, within(1e-15));
        assertThat(any.importance(Id.of("a"))).isCloseTo(0.2, within(1e-15));
        assertThat(any.shareOfFailures(Id.of("a"))).as("both must be gone").isCloseTo(1, within(1e-12));
        assertThat(all.given(Set.of(Id.of("a"))).closes()).isCloseTo(0.8, within(1e-15));
        assertThat(all.without(Set.of(Id.of("a"))).closes()).isZero();
    }

    @Test
    void whatIsSureFailsNowhere() {
        Chances chances = Chances.of(need("a", 1), Map.of(Id.of("a"), 1.0));
        assertThat(chances.shareOfFailures(Id.of("a"))).isZero();
        assertThat(chances.closes()).isEqualTo(1);
    }

    @Test
    void chancesThatAreNoneAreRefused() {
        assertThatThrownBy(() -> Chances.of(need("a", 1), Map.of())).hasMessageContaining("how likely “Need a” is");
        assertThatThrownBy(() -> Chances.of(need("a", 1), Map.of(Id.of("a"), Double.NaN))).hasMessageContaining("NaN");
        assertThatThrownBy(() -> Chances.of(need("a", 1), Map.of(Id.of("a"), 1.1))).hasMessageContaining("1.1");
        assertThatThrownBy(() -> Chances.of(new All(new ArrayList<>(List.of(need("a", 1), need("a", 2)))),
                Map.of(Id.of("a"), 0.5))).hasMessageContaining("stands twice");
    }
}
