package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RoundPatternTest {

    /** A guard from which four passes are fed, each answered back into it, and two sweeps after which the other has one. */
    private static final PracticeGraph GRAPH = PracticeGraph.of(SolvedMap.of(MapIndex.of(new MapFixture()
            .reversal("win", "guard").resting("guard", PlaceKind.GUARD).situation("p1").situation("p2").situation("p3")
            .situation("p4").situation("far").feeds("guard", "p1", "p2", "p3", "p4")
            .reaction("p1", 0.6, "guard").reaction("p2", 0.6, "guard").reaction("p3", 0.6, "guard").reaction("p4", 0.6, "guard")
            .reaction("guard", 0.5, "win").reaction("guard", 0.4, "win").reaction("far", 0.5, "guard").map()),
            Setting.of(Id.of("even"))), HouseTimes.USUAL);

    private static List<LinkRef> links(int from, int to) {
        return IntStream.rangeClosed(from, to).mapToObj(r -> new LinkRef(Id.of("r" + r), Id.of("r" + r + "-1"))).toList();
    }

    private static RoundPattern pattern(int calls, int turns, long seed) {
        return RoundPatternMaker.make(GRAPH, RoundRequest.of(links(1, calls), links(5, 6), 3, 5, turns, seed));
    }

    @ParameterizedTest
    @CsvSource({"1, 4, 1", "2, 5, 2", "3, 7, 3", "4, 12, 4", "4, 1, 5"})
    void everyPrefixIsAWalkAndNobodyGetsUp(int calls, int turns, long seed) {
        RoundPattern pattern = pattern(calls, turns, seed);
        List<DrillStep> steps = pattern.steps();
        for (int at = 1; at < steps.size(); at++) {
            assertThat(steps.get(at).from()).isEqualTo(steps.get(at - 1).to());
        }
        assertThat(pattern.figures().resets()).isZero();
        assertThat(pattern.turns()).hasSize(2 * turns);
        for (int turn = 0; turn < pattern.turns().size(); turn++) {
            assertThat(pattern.turns().get(turn).bottom()).isEqualTo(Role.values()[turn % 2]);
            assertThat(pattern.turns().get(turn).calls()).hasSizeBetween(3, 5);
            assertThat(pattern.turns().get(turn).finish()).isPresent();
        }
        assertThat(pattern.figures().swaps()).as("one between each turn and the next").isEqualTo(2 * turns - 1);
    }

    @ParameterizedTest
    @CsvSource({"2, 5, 2", "3, 7, 3", "3, 8, 8", "4, 12, 4", "4, 3, 6"})
    void countsAreBalancedOverLinksAndPartners(int calls, int turns, long seed) {
        RoundPattern pattern = pattern(calls, turns, seed);
        int[][] counts = new int[2][calls];
        int[] finishes = new int[4];
        int[] lengths = new int[2];
        pattern.turns().forEach(turn -> {
            turn.calls().forEach(call -> counts[turn.bottom().ordinal()][call]++);
            lengths[turn.bottom().ordinal()] += turn.calls().size();
            finishes[2 * turn.bottom().ordinal() + links(5, 6).indexOf(turn.finish().orElseThrow())]++;
        });
        assertThat(lengths[0]).as("the same work for both").isEqualTo(lengths[1]);
        List<Integer> all = IntStream.range(0, 2 * calls).map(i -> counts[i / calls][i % calls]).boxed().toList();
        assertThat(java.util.Collections.max(all) - java.util.Collections.min(all)).isLessThanOrEqualTo(1);
        assertThat(IntStream.of(finishes).max().getAsInt() - IntStream.of(finishes).min().getAsInt()).isLessThanOrEqualTo(1);
    }

    /** A row of some two hundred calls is as good as blind luck to whoever learns it. */
    @ParameterizedTest
    @CsvSource({"2, 60, 1", "3, 60, 2", "4, 60, 3", "3, 50, 4", "2, 100, 5"})
    void longSheetsCannotBeGuessed(int calls, int turns, long seed) {
        Guessing guessing = pattern(calls, turns, seed).guessing();
        assertThat(guessing.luck()).isCloseTo(1.0 / calls, within(1e-12));
        assertThat(guessing.worst()).isLessThanOrEqualTo(guessing.luck() + 0.02);
    }

    /** “Another draw” is the next seed: it must not be the same row again. */
    @Test
    void anotherDrawIsAnotherRow() {
        List<List<Integer>> rows = IntStream.range(0, 40).mapToObj(seed -> pattern(3, 5, seed).turns().stream()
                .flatMap(turn -> turn.calls().stream()).toList()).toList();
        assertThat(rows).doesNotHaveDuplicates();
    }

    /** The guessers are worth something only if a habit is found out. */
    @Test
    void aHabitIsFoundOut() {
        List<Integer> byTurns = IntStream.range(0, 300).map(i -> i % 3).boxed().toList();
        Guessing guessing = Guessing.of(byTurns, 3);
        assertThat(guessing.byLast()).isGreaterThan(0.98);
        assertThat(guessing.byLastTwo()).isGreaterThan(0.97);
        assertThat(guessing.byCounts()).as("what came least is due").isGreaterThan(0.6);
        List<Integer> mostlyOne = new ArrayList<>();
        Random random = new Random(5);
        IntStream.range(0, 300).forEach(i -> mostlyOne.add(random.nextInt(10) < 7 ? 0 : 1));
        assertThat(Guessing.of(mostlyOne, 2).byCounts()).isGreaterThan(0.6);
    }

    /** By hand: 0 1 1. Nobody knows anything at first; then each guesser has one habit that is right once. */
    @Test
    void ratesByHand() {
        Guessing guessing = Guessing.of(List.of(0, 1, 1), 2);
        assertThat(guessing.byCounts()).as("least: half, one, half").isCloseTo(2.0 / 3, within(1e-12));
        assertThat(guessing.byLast()).as("half each: nothing has followed 0 or 1 yet").isCloseTo(0.5, within(1e-12));
        assertThat(Guessing.of(List.of(), 4).worst()).isEqualTo(0.25);
    }

    @Test
    void openingsComeFirstAndFakesLeadNowhere() {
        RoundPattern pattern = RoundPatternMaker.make(GRAPH,
                new RoundRequest(links(1, 2), links(3, 4), links(5, 6), 1, 2, 3, 6, Optional.empty(), 1));
        for (RoundPattern.Turn turn : pattern.turns()) {
            assertThat(turn.calls()).hasSizeBetween(2, 3).allMatch(call -> call <= 2);
        }
        List<DrillStep> links = pattern.steps().stream().filter(DrillStep::isWork).toList();
        assertThat(links.get(0).link()).contains(links(1, 1).get(0));
        assertThat(links.get(1).link()).contains(links(2, 2).get(0));
        assertThat(pattern.steps()).filteredOn(step -> step.kind() == DrillStep.Kind.FAKE).isNotEmpty()
                .allMatch(step -> step.from().equals(step.to()));
    }

    private static RoundRequest inAll(List<LinkRef> finishes, int recoveries) {
        return new RoundRequest(List.of(), links(1, 4), finishes, 0, 3, 5, 6, Optional.of(recoveries), 1);
    }

    @Test
    void recoveriesInAllAreDividedAmongTheTurns() {
        RoundPattern pattern = RoundPatternMaker.make(GRAPH, inAll(links(5, 6), 22));
        for (Role role : Role.values()) {
            assertThat(pattern.turns().stream().filter(t -> t.bottom() == role).mapToInt(t -> t.calls().size()).sum()).isEqualTo(22);
        }
        assertThat(pattern.turns()).allMatch(turn -> turn.calls().size() >= 3 && turn.calls().size() <= 5);
        assertThatThrownBy(() -> inAll(List.of(), 17)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> inAll(List.of(), 31)).isInstanceOf(RefusedException.class);
    }

    @Test
    void whereNothingFeedsThePairGetsUp() {
        RoundPattern pattern = RoundPatternMaker.make(GRAPH, RoundRequest.of(links(7, 7), List.of(), 2, 2, 2, 1));
        assertThat(pattern.figures().resets()).isEqualTo(7);
    }

    @Test
    void whatIsAskedForIsChecked() {
        assertThatThrownBy(() -> RoundRequest.of(List.of(), List.of(), 3, 5, 2, 1)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> RoundRequest.of(links(1, 1), List.of(), 5, 3, 2, 1)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> RoundRequest.of(links(1, 1), List.of(), 3, 5, 0, 1)).isInstanceOf(RefusedException.class);
    }
}
