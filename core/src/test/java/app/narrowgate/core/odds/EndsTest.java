package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.Choice;
import app.narrowgate.core.solve.StrategyEnumeration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How rounds end, on every kind of random map, against a chain of the test's own. */
class EndsTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    static IntStream seeds() {
        return IntStream.range(0, 300);
    }

    private static SolvedMap solved(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 10, 3, 3));
        Setting setting = EVEN.withRead(new double[] {0, 0.25, 0.5, 1}[seed % 4]).withLate(0.4 * (seed % 3));
        return SolvedMap.of(index, seed % 5 == 0
                ? setting.withMatchup(index.matchup(Id.of("closed")).orElseThrow()) : setting);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void endsAreWorthTheValueAndSumToOne(int seed) {
        SolvedMap solved = solved(seed);
        Aim aim = solved.aim();
        OddsSolver.of(solved).situations().values().forEach(at -> {
            double worth = at.ends().entrySet().stream().mapToDouble(e -> e.getValue() * aim.worthOf(e.getKey())).sum();
            double all = at.ends().values().stream().mapToDouble(c -> c).sum() + at.neverEnds();
            assertThat(worth).as(at.situation().value()).isCloseTo(at.worth(), within(1e-6));
            assertThat(all).as(at.situation().value()).isCloseTo(1, within(1e-9));
        });
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void neverEndingIsAboveNothingOnlyWhereALoopForEverIsReached(int seed) {
        SolvedMap solved = solved(seed);
        OddsSolver.of(solved).situations().values().forEach(at -> {
            boolean stuck = reachable(solved, at.situation()).stream().anyMatch(place ->
                    reachable(solved, place).stream().noneMatch(p -> solved.chain().ends(solved.place(p))));
            assertThat(at.neverEnds() > 0).as(at.situation().value()).isEqualTo(stuck);
            assertThat(at.exchanges().isEmpty()).isEqualTo(stuck);
        });
    }

    private static Set<Id> reachable(SolvedMap solved, Id from) {
        Set<Id> seen = new HashSet<>(Set.of(from));
        Deque<Id> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            Id here = open.remove();
            if (solved.index().situation(here).isPresent()) {
                solved.branches(here).stream().map(Branch::landing).filter(seen::add).forEach(open::add);
            }
        }
        return seen;
    }

    /** The same chances by going on and on: five thousand exchanges of a chain walked as the branches say. */
    @ParameterizedTest
    @MethodSource("seeds")
    void endsAgreeWithWalkingTheChain(int seed) {
        SolvedMap solved = solved(seed);
        Odds odds = OddsSolver.of(solved);
        int places = solved.game().places;
        double[] tapped = new double[places];
        tapped[solved.place(Id.of("tap"))] = 1;
        for (int exchange = 0; exchange < 5000; exchange++) {
            double[] next = tapped.clone();
            for (int s = 0; s < solved.game().situations; s++) {
                double sum = 0;
                for (Branch branch : solved.branches(solved.placeId(s))) {
                    sum += branch.share() * tapped[solved.place(branch.landing())];
                }
                next[s] = sum;
            }
            tapped = next;
        }
        for (int s = 0; s < solved.game().situations; s++) {
            assertThat(odds.at(solved.placeId(s)).ends().get(PlaceKind.TAP)).isCloseTo(tapped[s], within(1e-6));
        }
    }

    /** Nothing that is taught gains anything, so the clock runs to the tap; it is not rest and not being held. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 0.25, 1})
    void whereNothingIsGainedTheClockRuns(double read) {
        MapFixture fixture = new MapFixture().situation("pin", 4, "choke").situation("choke", 3, "tap")
                .reaction("pin", 0.5, "choke").reaction("choke", 0.5, "tap");
        Odds odds = OddsSolver.solve(MapIndex.of(fixture.map()), EVEN.withRead(read));
        SituationOdds pin = odds.at(Id.of("pin"));
        assertThat(pin.ends().get(PlaceKind.TAP)).isEqualTo(1);
        assertThat(pin.neverEnds()).isZero();
        assertThat(pin.stop()).isFalse();
        assertThat(pin.best()).isEmpty();
        assertThat(pin.seconds()).hasValue(7);
        assertThat(pin.exchanges()).hasValue(2);
    }

    /** A place worth nothing to the aim is rested in all the same when nothing else gains. */
    @Test
    void restingInWhatTheAimHoldsWorthlessIsAnEnd() {
        SituationOdds turtle = OddsSolver.solve(MapIndex.of(new MapFixture().resting("turtle", PlaceKind.TURTLE)
                .reaction("turtle", 1, "tap").map()), EVEN).at(Id.of("turtle"));
        assertThat(turtle.stop()).isTrue();
        assertThat(turtle.ends().get(PlaceKind.TURTLE)).isEqualTo(1);
    }

    /** A clock that never gets to run does not lead where the worth is. */
    @Test
    void waitingIsNoWayToWhatTheReactionsMiss() {
        MapFixture fixture = new MapFixture().situation("pin", 4, "win").reaction("pin", 1, "tap");
        SolvedMap solved = SolvedMap.of(MapIndex.of(fixture.map()), EVEN.withThinking(ThinkingTime.NONE));
        assertThat(solved.solution().choice(0)).isInstanceOf(Choice.Try.class);
        assertThat(OddsSolver.of(solved).at(Id.of("pin")).ends().get(PlaceKind.TAP)).isEqualTo(1);
    }

    @Test
    void nothingToDoIsBeingHeld() {
        SituationOdds pin = OddsSolver.solve(MapIndex.of(new MapFixture().situation("pin").map()), EVEN).at(Id.of("pin"));
        assertThat(pin.neverEnds()).isEqualTo(1);
        assertThat(pin.exchanges()).isEmpty();
    }

    /** Leaving towards the win once in a million rounds of the loop still leads to it. */
    @Test
    void aLoopLeftOnceInAMillionEndsWhereItsWorthComesFrom() {
        MapFixture fixture = new MapFixture().situation("a").situation("b").situation("c")
                .reaction("a", 1, "b").reaction("b", 1, "c").reaction("c", 1, "a*1000000", "win*1");
        SituationOdds a = OddsSolver.solve(MapIndex.of(fixture.map()), EVEN).at(Id.of("a"));
        assertThat(a.worth()).isCloseTo(1, within(1e-6));
        assertThat(a.ends().get(PlaceKind.REVERSAL)).isCloseTo(1, within(1e-9));
        assertThat(a.exchanges().orElseThrow()).isCloseTo(3 * 1_000_001.0, within(1e-3));
    }

    /** What nobody has answered stands last, whatever a stuffed attempt would be worth. */
    @Test
    void aReactionWithoutResponsesIsNotKnownYet() {
        MapFixture fixture = new MapFixture().situation("pin").situation("soft").reaction("soft", 0.9, "win", "tap")
                .reaction("pin", 1, "win", "tap*9")
                .reaction("pin", 1, 0, Map.of(), Optional.of("soft"));
        SituationOdds pin = OddsSolver.solve(MapIndex.of(fixture.map()), EVEN).at(Id.of("pin"));
        assertThat(pin.reactions()).extracting(ReactionOdds::reaction).containsExactly(Id.of("r2"), Id.of("r3"));
        assertThat(pin.reactions()).extracting(ReactionOdds::known).containsExactly(true, false);
        assertThat(pin.best()).as("nobody is told to do what nobody knows").isEmpty();
    }

    /** Whatever they answer: the value of the game for that end alone, by trying every strategy of both. */
    @ParameterizedTest
    @MethodSource("seeds")
    void aKindIsForcedWhereNoStrategyOfTheirsAvoidsIt(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 4, 2, 2));
        Odds odds = OddsSolver.solve(index, EVEN);
        // Under this aim only a reversal counts, so its value against the worst answers is the chance of forcing one.
        double[] reversal = StrategyEnumeration.values(
                SolvedMap.of(index, Setting.of(Id.of("win")).withRead(1)).game());
        int s = 0;
        for (SituationOdds at : odds.situations().values()) {
            boolean sure = reversal[s++] > 1 - 1e-9;
            assertThat(at.forced().equals(Optional.of(PlaceKind.REVERSAL))).as(at.situation().value()).isEqualTo(sure);
        }
    }
}
