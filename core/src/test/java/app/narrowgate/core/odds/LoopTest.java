package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.ThinkingTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Loops, resting places, holes: the corners of the value equation. */
class LoopTest {

    private static final Setting EVEN = Setting.of(Id.of("even")).withThinking(ThinkingTime.NONE);

    private static SituationOdds at(String situation, MapFixture fixture, Setting setting) {
        return OddsSolver.solve(MapIndex.of(fixture.map()), setting).at(Id.of(situation));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.5, 1})
    void aLoopInWhichNothingEndsIsWorthNothing(double read) {
        MapFixture loop = new MapFixture().situation("a").situation("b")
                .reaction("a", 1, "b").reaction("b", 1, "a");
        SituationOdds a = at("a", loop, EVEN.withRead(read));
        assertThat(a.upper()).isZero();
        assertThat(a.exchanges()).isEmpty();
    }

    @Test
    void aLoopIsWorthItsBestWayOut() {
        MapFixture loop = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a").situation("b")
                .reaction("a", 1, "b").reaction("b", 1, "a").reaction("b", 1, "guard", "tap");
        assertThat(at("a", loop, EVEN).worth()).isCloseTo(0.4, within(1e-9));
        assertThat(at("b", loop, EVEN).best()).contains(Id.of("r3"));
    }

    @Test
    void aPartnerWhoReadsKeepsYouInTheLoop() {
        MapFixture loop = new MapFixture().situation("a").reaction("a", 1, "win", "a");
        assertThat(at("a", loop, EVEN).worth()).isCloseTo(1, within(1e-9));
        assertThat(at("a", loop, EVEN.withRead(0.5)).worth()).isCloseTo(1, within(1e-6));
        assertThat(at("a", loop, EVEN.withRead(1)).worth()).isZero();
    }

    @Test
    void restingIsTakenOnlyWhenGoingOnIsWorthLess() {
        MapFixture poor = new MapFixture().resting("half", PlaceKind.HALF).reaction("half", 1, "win*1", "tap*3");
        SituationOdds stay = at("half", poor, EVEN);
        assertThat(stay.stop()).isTrue();
        assertThat(stay.worth()).isEqualTo(0.5);
        assertThat(stay.ends().get(PlaceKind.HALF)).isEqualTo(1);

        MapFixture good = new MapFixture().resting("half", PlaceKind.HALF).reaction("half", 1, "win*3", "tap*1");
        SituationOdds go = at("half", good, EVEN);
        assertThat(go.stop()).isFalse();
        assertThat(go.worth()).isCloseTo(0.75, within(1e-9));
    }

    @Test
    void nothingTaughtMeansTheClockRuns() {
        MapFixture fixture = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a", 5, "b").situation("b")
                .reaction("b", 0.5, "guard");
        assertThat(at("a", fixture, EVEN).worth()).isEqualTo(at("b", fixture, EVEN).worth());
        assertThat(at("a", fixture, EVEN).best()).isEmpty();
    }

    @Test
    void anUnansweredResponseLandsWhereAStuffedAttemptLands() {
        MapFixture fixture = new MapFixture().situation("a", 4, "tap").reaction("a", 0.8, "win*1", "*1");
        SituationOdds a = at("a", fixture, EVEN);
        ResponseOdds hole = a.reactions().get(0).responses().get(1);
        assertThat(hole.answered()).isFalse();
        assertThat(hole.lands()).isEqualTo(Id.of("a"));
        assertThat(hole.worth()).isEqualTo(a.worth());
    }

    @Test
    void aReactionWithoutResponsesIsWorthItsStuffing() {
        MapFixture fixture = new MapFixture().situation("a").reaction("a", 1);
        assertThat(at("a", fixture, EVEN).upper()).isZero();
    }

    /** By hand: two tries of 1 s at a 4 s clock; x = in·(0.5·1 + 0.5·x), the clock taps. */
    @Test
    void theWindowClosesOnTheSlow() {
        MapFixture fixture = new MapFixture().situation("a", 4, "tap")
                .reaction("a", 0.5, 1, java.util.Map.of(), "win");
        double in = InTime.chance(1, 4);
        assertThat(at("a", fixture, EVEN).worth()).isCloseTo(0.5 * in / (1 - 0.5 * in), within(1e-9));
        double late = InTime.chance(3, 4);
        assertThat(at("a", fixture, EVEN.withLate(2)).worth())
                .isCloseTo(0.5 * late / (1 - 0.5 * late), within(1e-9));
    }

    /** Teaching a useless second answer costs thinking time and so odds. */
    @Test
    void moreAnswersCanBeWorse() {
        Setting thinking = Setting.of(Id.of("even"));
        MapFixture one = new MapFixture().situation("a", 2, "tap").reaction("a", 0.5, "win");
        MapFixture two = new MapFixture().situation("a", 2, "tap").reaction("a", 0.5, "win").reaction("a", 0.1, "win");
        assertThat(at("a", two, thinking).worth()).isLessThan(at("a", one, thinking).worth());
    }

    @Test
    void aContradictedNeedClosesTheReaction() {
        Id forward = Id.of("forward");
        MapFixture fixture = new MapFixture().fact("forward")
                .situation("a", java.util.Optional.empty(), java.util.Map.of(forward, false), java.util.Optional.empty())
                .reaction("a", 1, 1, java.util.Map.of(forward, true), "win");
        SituationOdds a = at("a", fixture, EVEN);
        assertThat(a.worth()).isZero();
        assertThat(a.reactions().get(0).closedBy()).containsExactly(new Closing(Closing.Kind.FACT, "forward"));
    }
}
