package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import org.junit.jupiter.api.Test;

/** What is told as wrong: priced, never an answer. */
class DoNotTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    private static SituationOdds at(MapFixture fixture, String place) {
        return OddsSolver.solve(MapIndex.of(fixture.map()), EVEN).at(Id.of(place));
    }

    /** Were it an answer it would be the best by far; it stays out of the odds and of the recommendation. */
    @Test
    void itIsNeverRecommended() {
        SituationOdds at = at(new MapFixture().situation("a").reaction("a", 1, "win", "tap*3").wrong("a", 1, "win"), "a");
        assertThat(at.worth()).isCloseTo(0.25, within(1e-9));
        assertThat(at.best()).contains(Id.of("r1"));
        assertThat(at.reactions().get(1).closedBy()).containsExactly(new Closing(Closing.Kind.DO_NOT, "r2"));
    }

    /**
     * By hand: from b half of all rounds are won. The mistake gets going three times in four and then gives b or the tap,
     * else one is still in a, where the best brings 0.9: 0.75 (0.5 · 0.5 + 0.5 · 0) + 0.25 · 0.9 = 0.4125.
     */
    @Test
    void itIsWorthWhatDoingItOnceLeaves() {
        MapFixture fixture = new MapFixture().situation("a").situation("b").reaction("b", 1, "win", "tap")
                .reaction("a", 1, "win*9", "tap").wrong("a", 0.75, "b", "tap");
        assertThat(at(fixture, "a").reactions().get(1).worth()).isCloseTo(0.4125, within(1e-9));
    }

    @Test
    void aPlaceWithMistakesOnlyIsADeadEnd() {
        assertThat(at(new MapFixture().situation("a").wrong("a", 1, "win"), "a").worth()).isZero();
    }

    /** Nobody chooses among mistakes: they cost no thinking time. */
    @Test
    void itCostsNoTimeToChoose() {
        EscapeMap one = new MapFixture().situation("a", 2, "tap").reaction("a", 0.8, "win").map();
        EscapeMap warned = new MapFixture().situation("a", 2, "tap").reaction("a", 0.8, "win").wrong("a", 1, "tap").map();
        assertThat(OddsSolver.solve(MapIndex.of(warned), EVEN).start())
                .isEqualTo(OddsSolver.solve(MapIndex.of(one), EVEN).start());
    }
}
