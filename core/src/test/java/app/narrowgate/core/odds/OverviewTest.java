package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.PartnerRead;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What is told at a glance is what the whole odds tell; what is worked out anew after a slider's step is what it would be from the start. */
class OverviewTest {

    static IntStream seeds() {
        return IntStream.range(0, 100);
    }

    private static MapIndex index(int seed) {
        return MapIndex.of(RandomMaps.map(new Random(seed), 8, 3, 3));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aGlanceSaysWhatTheOddsSay(int seed) {
        SolvedMap solved = SolvedMap.of(index(seed), Setting.of(Id.of("even")).withRead(0.25 * (seed % 5)).withLate(0.1 * seed));
        Odds odds = OddsSolver.of(solved);
        Overview overview = Overview.of(solved);
        assertThat(overview.start()).isEqualTo(odds.start());
        assertThat(overview.converged()).isEqualTo(odds.converged());
        assertThat(overview.glances()).extracting(Glance::situation).containsExactlyElementsOf(odds.situations().keySet());
        for (Glance glance : overview.glances()) {
            SituationOdds at = odds.at(glance.situation());
            assertThat(glance.worth()).isEqualTo(at.worth());
            assertThat(glance.best()).isEqualTo(at.best());
            assertThat(glance.stop()).isEqualTo(at.stop());
            assertThat(glance.forced()).isEqualTo(at.forced());
            assertThat(glance.usable()).isEqualTo(at.reactions().stream().anyMatch(ReactionOdds::usable));
            assertThat(glance.guardOrBetter()).isCloseTo(at.guardOrBetter(), within(1e-12));
            assertThat(glance.reversal()).isCloseTo(at.chanceOf(PlaceKind.REVERSAL), within(1e-12));
            assertThat(glance.tap()).isCloseTo(at.chanceOf(PlaceKind.TAP), within(1e-12));
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aStepOfASliderComesToWhatTheStartWould(int seed) {
        MapIndex index = index(seed);
        Random random = new Random(seed);
        Setting first = Setting.of(Id.of("even")).withRead(random.nextDouble()).withLate(3 * random.nextDouble());
        Setting second = first.withRead(random.nextDouble()).withLate(3 * random.nextDouble())
                .withThinking(new ThinkingTime(random.nextDouble(), random.nextDouble()));
        SolvedMap stepped = SolvedMap.of(index, first).retimed(new PartnerRead(second.read().share()), second.late(), second.thinking());
        assertThat(stepped.setting()).isEqualTo(second);
        assertThat(OddsSolver.of(stepped)).isEqualTo(OddsSolver.of(SolvedMap.of(index, second)));
    }
}
