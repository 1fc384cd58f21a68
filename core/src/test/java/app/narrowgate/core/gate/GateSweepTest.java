package app.narrowgate.core.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.odds.SolvedMaps;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is lost without each reaction, against striking it from the map. */
class GateSweepTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    static IntStream seeds() {
        return IntStream.range(2000, 2060);
    }

    /** The sweep against solving a map from which the reaction has been struck. */
    @ParameterizedTest
    @MethodSource("seeds")
    void aGateIsWhatIsLostWhenTheReactionIsStruckFromTheMap(int seed) {
        SolvedMap solved = SolvedMaps.solved(seed);
        MapIndex index = solved.index();
        NarrowGates gates = GateSweep.sweep(solved);
        for (NarrowGates.Gate gate : gates.gates()) {
            MapIndex struck = MapIndex.of(index.map().without(PartKind.REACTIONS, gate.reaction()));
            assertThat(gate.startWithout()).isCloseTo(OddsSolver.solve(struck, solved.setting()).start(), within(1e-6));
        }
        assertThat(gates.gates()).isSortedAccordingTo((a, b) -> Double.compare(b.lost(), a.lost()));
    }

    @Test
    void aUselessSecondAnswerIsTrimmed() {
        MapFixture fixture = new MapFixture().situation("a", 2, "tap").reaction("a", 0.5, "win").reaction("a", 0.1, "win");
        NarrowGates gates = GateSweep.sweep(SolvedMap.of(MapIndex.of(fixture.map()), EVEN));
        assertThat(gates.trims()).extracting(NarrowGates.Gate::reaction).containsExactly(Id.of("r2"));
    }

    /** Where a round never comes back to a situation, the first-order estimate is the loss itself. */
    @Test
    void withoutLoopsTheEstimateOfAGateIsExact() {
        MapFixture fixture = new MapFixture().situation("a", 3, "tap").reaction("a", 0.9, 1, Map.of(), "b*2", "win")
                .reaction("a", 0.8, 1, Map.of(), "tap*2", "win").situation("b", 4, "tap")
                .reaction("b", 1, 1, Map.of(), "win*3", "tap").reaction("b", 1, 2, Map.of(), "win", "tap");
        // A failed attempt comes back to where it began; here it ends.
        EscapeMap map = fixture.map();
        for (Reaction r : map.reactions()) {
            map = map.with(Reaction.answer(r.id(), r.from(), r.technique(), r.needs(), r.seconds(), r.works(),
                    Optional.of(Id.of("tap")), r.responses()));
        }
        MapIndex index = MapIndex.of(map);
        NarrowGates exact = GateSweep.sweep(SolvedMap.of(index, EVEN));
        NarrowGates estimated = GateSweep.sweep(SolvedMap.of(index, EVEN), Progress.NONE, 0);
        assertThat(exact.gates()).noneMatch(NarrowGates.Gate::estimated);
        for (NarrowGates.Gate gate : estimated.gates()) {
            assertThat(gate.estimated()).isTrue();
            assertThat(gate.lost()).as(gate.reaction().value()).isCloseTo(exact.gates().stream()
                    .filter(g -> g.reaction().equals(gate.reaction())).findFirst().orElseThrow().lost(), within(1e-5));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void whatIsSolvedForAfterScreeningIsTheSameAsInTheFullSweep(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 6, 2, 3));
        NarrowGates full = GateSweep.sweep(SolvedMap.of(index, EVEN));
        NarrowGates screened = GateSweep.sweep(SolvedMap.of(index, EVEN), Progress.NONE, 4);
        assertThat(screened.gates()).filteredOn(g -> !g.estimated()).hasSize(Math.min(4, full.gates().size()))
                .isSubsetOf(full.gates());
    }

    @Test
    void longWorkCanBeStopped() {
        assertThatThrownBy(() -> GateSweep.sweep(SolvedMaps.solved(2001), Progress.until(() -> true)))
                .isInstanceOf(StoppedException.class);
    }
}
