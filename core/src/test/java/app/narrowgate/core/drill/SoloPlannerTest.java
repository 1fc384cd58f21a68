package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The cover against every choice of up to fifteen movements. */
class SoloPlannerTest {

    static IntStream seeds() {
        return IntStream.range(0, 60);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void takesAsFewAsTheBestOfAllChoices(int seed) {
        Random random = new Random(seed);
        int movements = 3 + random.nextInt(13);
        int techniques = 2 + random.nextInt(14);
        List<Id> order = IntStream.range(0, movements).mapToObj(m -> Id.of("m" + m)).toList();
        List<Set<Id>> needs = new ArrayList<>();
        double[] weights = new double[techniques];
        for (int t = 0; t < techniques; t++) {
            Set<Id> own = new HashSet<>();
            IntStream.rangeClosed(0, random.nextInt(3)).forEach(i -> own.add(order.get(random.nextInt(movements))));
            needs.add(own);
            weights[t] = random.nextInt(4) == 0 ? 0 : random.nextDouble();
        }
        double share = new double[] {1, 0.8, 0.5}[seed % 3];
        SetCover.Found found = SetCover.fewest(order, needs, weights, share);
        assertThat(found.proven()).isTrue();
        assertThat(found.share()).isGreaterThanOrEqualTo(share - 1e-9);
        assertThat(found.chosen()).hasSize(fewest(movements, order, needs, weights, share)).doesNotHaveDuplicates();
    }

    private static int fewest(int movements, List<Id> order, List<Set<Id>> needs, double[] weights, double share) {
        double total = IntStream.range(0, weights.length).mapToDouble(t -> weights[t]).sum();
        int fewest = movements;
        for (int set = 0; set < 1 << movements; set++) {
            double covered = 0;
            for (int t = 0; t < weights.length; t++) {
                boolean hit = false;
                for (int m = 0; m < movements; m++) {
                    hit |= (set >> m & 1) == 1 && needs.get(t).contains(order.get(m));
                }
                covered += hit ? weights[t] : 0;
            }
            if (covered >= share * total - 1e-12) {
                fewest = Math.min(fewest, Integer.bitCount(set));
            }
        }
        return fewest;
    }

    private static SolvedMap solved() {
        EscapeMap map = new MapFixture().situation("pin").reaction("pin", 0.5, "win").map();
        map = map.with(new Movement(Id.of("bridge"), "Bridge", List.of(), Set.of(), Set.of(), List.of(), List.of(), true, 10))
                .with(new Movement(Id.of("stand"), "Stand up", List.of(), Set.of(), Set.of(), List.of(), List.of(), false, 8));
        var named = map.techniques().get(0);
        map = map.with(new app.narrowgate.core.map.Technique(named.id(), "Technique", List.of(),
                List.of(Id.of("bridge"), Id.of("stand")), List.of(), List.of(), List.of(), List.of(), Optional.empty(),
                named.level(), true, Set.of(), Set.of())).with(app.narrowgate.core.map.Technique.named(Id.of("bare"), "Bare"));
        return SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("even")));
    }

    @Test
    void theWeakSideComesFirstAndTheMinutesAreShared() {
        SoloPlan plan = SoloPlanner.behind(solved(), Set.of(Id.of("technique"), Id.of("bare")), 6, Side.RIGHT);
        assertThat(plan.movements()).hasSize(1);
        assertThat(plan.without()).containsExactly(Id.of("bare"));
        assertThat(plan.lines()).extracting(SoloPlan.Line::side).containsExactly(Optional.of(Side.RIGHT), Optional.of(Side.LEFT));
        assertThat(plan.lines().stream().mapToDouble(SoloPlan.Line::minutes).sum()).isCloseTo(6, within(1e-9));
        assertThat(SoloPlanner.behindShare(solved(), 0.8, 6, Side.LEFT).share()).isEqualTo(1);
        assertThatThrownBy(() -> SoloPlanner.behind(solved(), Set.of(Id.of("bare")), 6, Side.LEFT))
                .isInstanceOf(RefusedException.class).hasMessageContaining("movement");
    }
}
