package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Drills as one pair does them. */
class DrillPlannerTest {

    /** Three passes fed from a guard; the third's answer is above beginners and closed for a bad knee. */
    private static EscapeMap map() {
        EscapeMap map = new MapFixture().reversal("win", "guard").resting("guard", PlaceKind.GUARD).situation("p1", 4, "p2")
                .situation("p2", 4, "p3").situation("p3", 4, "tap").feeds("guard", "p1", "p2", "p3")
                .reaction("p1", 0.6, "guard*3", "p2").reaction("p2", 0.6, "guard", "p3").reaction("p3", 0.7, "guard")
                .reaction("p3", 0.4, "guard").reaction("guard", 0.5, "win").map();
        Technique hard = new Technique(Id.of("hard"), "Hard", List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                Optional.empty(), Level.ADVANCED, true, Set.of(Injury.KNEE), Set.of());
        map = map.with(hard);
        var third = map.reactions().get(2);
        return map.with(new app.narrowgate.core.map.Reaction(third.id(), third.from(), hard.id(), "", "", Map.of(), 0, third.works(),
                Optional.empty(), third.responses()));
    }

    private static PracticeGraph graph(Level level, AgeGroup age, Injury... injuries) {
        Matchup pair = new Matchup(Id.of("pair"), "Pair", 0, 0, false, Occasion.SPORT, age, level, Set.of(injuries), Map.of());
        return PracticeGraph.of(SolvedMap.of(MapIndex.of(map()), Setting.of(Id.of("even")).withMatchup(pair)), HouseTimes.USUAL);
    }

    private static final PracticeGraph ADULTS = graph(Level.ADVANCED, AgeGroup.ADULTS);

    private static LinkRef link(int reaction, int response) {
        return new LinkRef(Id.of("r" + reaction), Id.of("r" + reaction + "-" + response));
    }

    private static final List<LinkRef> LINKS = List.of(link(1, 1), link(2, 1), link(3, 1));

    private static Drill drill(DrillKind kind, double minutes) {
        return new Drill("Drill", kind, Optional.of(Id.of("p1")), List.of(), LINKS, List.of(link(5, 1)), List.of(), List.of(), 3, 5,
                2, minutes, List.of(Side.LEFT, Side.RIGHT), Map.of(), "", 7);
    }

    /** The minutes asked for are the minutes given, to within one link and its feed a side. */
    @ParameterizedTest
    @EnumSource(value = DrillKind.class, names = {"FIXED", "STEP_LIMITED", "CHAIN", "CALLED", "ROUND_PATTERN", "UNTIL_OUT"})
    void theMinutesAskedForAreGiven(DrillKind kind) {
        for (double minutes : new double[] {3, 8, 20}) {
            DrillPlan plan = DrillPlanner.plan(ADULTS, drill(kind, minutes));
            double step = 12 / 60.0;
            assertThat(plan.minutes()).as("%s for %s minutes", kind, minutes).isCloseTo(minutes, within(2 * step));
            assertThat(plan.stretches()).extracting(DrillPlan.Stretch::side).containsExactly(Side.LEFT, Side.RIGHT);
            for (DrillPlan.Stretch stretch : plan.stretches()) {
                for (int at = 1; at < stretch.steps().size(); at++) {
                    assertThat(stretch.steps().get(at).from()).isEqualTo(stretch.steps().get(at - 1).to());
                }
            }
            int[] work = new int[2];
            plan.counts().values().forEach(counts -> IntStream.range(0, 2).forEach(role -> work[role] += counts[role]));
            assertThat(Math.abs(work[0] - work[1])).as("the same work for both").isLessThanOrEqualTo(work[0] / 4 + 6);
        }
    }

    /** Calls come equally often for both, to within what is cut off at the end of a side. */
    @Test
    void callsAreBalancedInTheTimeThereIs() {
        for (double minutes : new double[] {4, 8, 15}) {
            List<int[]> counts = List.copyOf(DrillPlanner.plan(ADULTS, drill(DrillKind.CALLED, minutes)).counts().values());
            int[] all = counts.stream().flatMapToInt(IntStream::of).toArray();
            assertThat(IntStream.of(all).max().getAsInt() - IntStream.of(all).min().getAsInt()).isLessThanOrEqualTo(4);
        }
    }

    @ParameterizedTest
    @EnumSource(value = DrillKind.class, names = {"STAGED", "DIAL", "DISCOVERY", "LIVE", "GATE"})
    void roundsFillTheMinutesWhole(DrillKind kind) {
        DrillPlan plan = DrillPlanner.plan(ADULTS, drill(kind, 8));
        assertThat(plan.minutes()).isCloseTo(8, within(1e-9));
        assertThat(plan.rounds()).isNotEmpty();
        for (Side side : Side.values()) {
            assertThat(plan.rounds()).filteredOn(r -> r.side() == side && r.bottom() == Role.FIRST)
                    .hasSameSizeAs(plan.rounds().stream().filter(r -> r.side() == side && r.bottom() == Role.SECOND).toList());
        }
    }

    @Test
    void aStagedStartGoesWhereTheClockLeads() {
        DrillPlan plan = DrillPlanner.plan(ADULTS, drill(DrillKind.STAGED, 6));
        assertThat(plan.rounds()).extracting(r -> r.place().value()).startsWith("p1", "p1").contains("p2", "p3").doesNotContain("tap");
    }

    @Test
    void aBeginnersChainIsTwoLinksAndNothingAboveThem() {
        DrillPlan plan = DrillPlanner.plan(graph(Level.NOVICE, AgeGroup.ADULTS), drill(DrillKind.CHAIN, 6));
        assertThat(plan.counts().keySet()).hasSize(3).contains(link(1, 1), link(2, 1), link(5, 1));
        DrillPlan called = DrillPlanner.plan(graph(Level.NOVICE, AgeGroup.ADULTS), drill(DrillKind.CALLED, 6));
        assertThat(called.counts().keySet()).containsExactlyInAnyOrder(link(1, 1), link(2, 1));
    }

    @Test
    void whatThePairMayNotDoIsReplacedWithTheReason() {
        List<WhoMay.Verdict> knee = WhoMay.of(graph(Level.ADVANCED, AgeGroup.ADULTS, Injury.KNEE), LINKS);
        assertThat(knee.get(0).stays()).isTrue();
        assertThat(knee.get(2).taken()).as("the other answer from the same start").contains(link(4, 1));
        assertThat(knee.get(2).because()).extracting(Closing::kind).containsExactly(Closing.Kind.INJURY);
        List<WhoMay.Verdict> beginners = WhoMay.of(graph(Level.NOVICE, AgeGroup.ADULTS), LINKS);
        assertThat(beginners.get(2).aboveLevel()).isTrue();
        assertThat(beginners.get(2).taken()).contains(link(4, 1));
        assertThat(WhoMay.of(graph(Level.NOVICE, AgeGroup.ADULTS), List.of(link(3, 1), link(4, 1))).get(0).taken())
                .as("nothing is taken twice").isEmpty();
    }

    @Test
    void extensionsAreForThoseWhoKnowThem() {
        Drill drill = new Drill("Drill", DrillKind.ROUND_PATTERN, Optional.empty(), List.of(), List.of(link(1, 1), link(2, 1)),
                List.of(), List.of(link(5, 1)), List.of(), 1, 2, 2, 6, List.of(Side.LEFT), Map.of(), "", 1);
        assertThat(DrillPlanner.plan(ADULTS, drill).counts()).containsKey(link(5, 1));
        assertThat(DrillPlanner.plan(graph(Level.INTERMEDIATE, AgeGroup.ADULTS), drill).counts()).doesNotContainKey(link(5, 1));
    }

    /** A failure goes on: the turn ends where one is out, and what landed badly is followed by its answer. */
    @Test
    void untilOutGoesOnFromWhereItLands() {
        DrillPlan plan = DrillPlanner.plan(ADULTS, drill(DrillKind.UNTIL_OUT, 4));
        List<DrillStep> steps = plan.stretches().get(0).steps();
        assertThat(plan.counts()).containsKeys(link(1, 2), link(2, 1));
        for (int at = 1; at < steps.size(); at++) {
            DrillStep before = steps.get(at - 1);
            if (before.isWork() && before.to().at().value().startsWith("p")) {
                assertThat(steps.get(at).kind()).as("nobody gets up after a bad landing").isEqualTo(DrillStep.Kind.LINK);
            }
        }
    }

    @Test
    void whereNothingIsTaughtNothingGoesOn() {
        EscapeMap bare = new MapFixture().situation("hold", 5, "tap").situation("other").reaction("other", 0.5, "win").map();
        PracticeGraph graph = PracticeGraph.of(SolvedMap.of(MapIndex.of(bare), Setting.of(Id.of("even"))), HouseTimes.USUAL);
        assertThatThrownBy(() -> DrillPlanner.plan(graph, Drill.of("D", DrillKind.UNTIL_OUT, Optional.of(Id.of("hold")), List.of())))
                .isInstanceOf(RefusedException.class).hasMessageContaining("Nothing is taught");
        assertThatThrownBy(() -> DrillDesigner.from(graph, Id.of("hold"), 3, 8)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> DrillDesigner.everyday(graph, Id.of("hold"), 8)).isInstanceOf(RefusedException.class);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 61, Double.NaN})
    void timesOutOfRangeAreRefused(double minutes) {
        assertThatThrownBy(() -> drill(DrillKind.CHAIN, minutes)).isInstanceOf(RefusedException.class);
    }

    @Test
    void whatIsMissingIsNamed() {
        assertThatThrownBy(() -> Drill.of("D", DrillKind.LIVE, Optional.empty(), List.of())).hasMessageContaining("place");
        assertThatThrownBy(() -> Drill.of("D", DrillKind.CHAIN, Optional.empty(), List.of())).hasMessageContaining("link");
        assertThatThrownBy(() -> DrillPlanner.plan(ADULTS, Drill.of("D", DrillKind.LIVE, Optional.of(Id.of("nowhere")), List.of())))
                .isInstanceOf(RefusedException.class).hasMessageContaining("nowhere");
    }

    @Test
    void theEverydayDrillComesFromAPlace() {
        Drill everyday = DrillDesigner.everyday(ADULTS, Id.of("p1"), 10);
        assertThat(everyday.links()).containsExactlyInAnyOrderElementsOf(LINKS);
        assertThat(everyday.finishes()).containsExactly(link(5, 1));
        assertThat(DrillPlanner.plan(ADULTS, everyday).figures().resets()).as("one from the start of each side at most").isZero();
        assertThat(DrillDesigner.words(ADULTS, everyday.allLinks(), everyday.words()).values()).doesNotHaveDuplicates().hasSize(4);
    }
}
