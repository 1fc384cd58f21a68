package app.narrowgate.core.finish;

import static app.narrowgate.core.finish.Trees.need;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Requirement.All;
import app.narrowgate.core.map.Requirement.Any;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Stage;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Minimal denials against a truth table over every set of needs. */
class DenialsTest {

    private static Denials denials(MapFixture fixture) {
        EscapeMap map = fixture.map();
        return Denials.of(MapIndex.of(map), map.holds().get(0));
    }

    static IntStream seeds() {
        return IntStream.range(0, 200);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void areThoseOfTheTruthTable(int seed) {
        Requirement tree = Trees.random(new Random(seed), 12);
        assertThat(new HashSet<>(Denials.minimal(tree))).isEqualTo(Trees.denials(tree));
    }

    @Test
    void leastWorkComesFirstAndSaysWhereItIsTaught() {
        Denials denials = denials(new MapFixture().situation("pin").situation("elsewhere")
                .reaction("pin", 0.5, "win").reaction("elsewhere", 0.5, "win").pin(new All(List.of(need("hard", 4),
                        new Any(List.of(need("left", 1, "r1"), need("right", 2, "r1", "r2"))))), "pin"));

        assertThat(denials.denials()).extracting(Denials.Denial::needs).containsExactly(
                Set.of(Id.of("left"), Id.of("right")), Set.of(Id.of("hard")));
        assertThat(denials.denials()).extracting(Denials.Denial::work).containsExactly(3.0, 4.0);
        assertThat(denials.denials().get(0).stages()).containsExactly(Stage.SETTLED);
        assertThat(denials.denials().get(1).stages()).isEmpty();
        assertThat(denials.taught().get(Stage.SETTLED).get(Id.of("right")))
                .as("a reaction from a situation outside the hold does not count").containsExactly(Id.of("r1"));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void areNoMoreThanTheTreesWays(int seed) {
        Requirement tree = Trees.random(new Random(seed), 27);
        assertThat(Denials.minimal(tree)).hasSizeLessThanOrEqualTo(tree.ways());
    }

    @Test
    void tooManyWaysAreRefused() {
        List<Requirement> parts = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            parts.add(new All(List.of(need("a" + i, 1), need("b" + i, 1))));
        }
        Requirement tree = new Any(parts);
        assertThat(tree.ways()).as("stays at the largest rather than overflow").isEqualTo(Integer.MAX_VALUE);
        assertThatThrownBy(() -> denials(new MapFixture().situation("pin").pin(tree, "pin")))
                .hasMessageContaining("more than 1000 ways to deny “Pin”");
    }

    @Test
    void aTreeWithoutPartsIsRefused() {
        assertThatThrownBy(() -> new All(List.of())).hasMessageContaining("at least one part");
    }
}
