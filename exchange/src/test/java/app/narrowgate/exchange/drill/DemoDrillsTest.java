package app.narrowgate.exchange.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillDesigner;
import app.narrowgate.core.drill.DrillFigures;
import app.narrowgate.core.drill.DrillPlan;
import app.narrowgate.core.drill.DrillPlanner;
import app.narrowgate.core.drill.DrillRules;
import app.narrowgate.core.drill.DrillStep;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.LookAlike;
import app.narrowgate.core.drill.LookAlikes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.PracticeLink;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.drill.WhoMay;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.exchange.map.MapFolder;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The drills that coaches ask for first, on the demo's map. */
class DemoDrillsTest {

    private static final MapIndex INDEX = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
    private static final EscapeMap MAP = INDEX.map();

    private static PracticeGraph graph(String matchup) {
        Matchup pair = INDEX.matchup(Id.of(matchup)).orElseThrow();
        return PracticeGraph.of(SolvedMap.of(INDEX, Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5)
                .withMatchup(pair)), HouseTimes.USUAL);
    }

    private static final PracticeGraph EVEN = graph("even");

    private static Drill drill(String name) {
        try {
            return DrillJson.read(Files.readString(Path.of("../demo/drills/" + name + ".json")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Stream<String> names() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("../demo/drills"))) {
            return files.map(file -> file.getFileName().toString().replace(".json", "")).sorted().toList().stream();
        }
    }

    private static long count(DrillPlan plan, DrillStep.Kind kind) {
        return plan.steps().stream().filter(step -> step.kind() == kind).count();
    }

    @ParameterizedTest
    @MethodSource("names")
    void fitsTheMapAndFillsItsMinutes(String name) {
        Drill drill = drill(name);
        assertThat(DrillRules.problems(INDEX, drill)).isEmpty();
        DrillPlan plan = DrillPlanner.plan(EVEN, drill);
        assertThat(plan.minutes()).isCloseTo(drill.minutes(), within(0.4));
        assertThat(plan.unreached()).isEmpty();
        assertThat(plan.verdicts()).isEmpty();
        assertThat(DrillPlanner.plan(EVEN, drill)).as("the same seed, the same drill").isEqualTo(plan);
    }

    /** Three to five recoveries at random, the sweep that their stance asks for, swap; nobody gets up. */
    @Test
    void theEverydayDrill() {
        DrillPlan plan = DrillPlanner.plan(EVEN, drill("everyday"));
        assertThat(count(plan, DrillStep.Kind.RESET)).isZero();
        assertThat(plan.guessing().orElseThrow().worst()).isLessThan(0.45);
        for (DrillPlan.Stretch stretch : plan.stretches()) {
            int recoveries = 0;
            for (DrillStep step : stretch.steps()) {
                if (step.isWork() && step.from().at().value().equals("open-guard")) {
                    assertThat(recoveries).isBetween(3, 5);
                    recoveries = 0;
                } else if (step.isWork()) {
                    assertThat(step.to().at()).isEqualTo(Id.of("open-guard"));
                    recoveries++;
                }
            }
        }
        List<Integer> counts = drill("everyday").links().stream().flatMap(link -> Stream.of(plan.counts().get(link)[0],
                plan.counts().get(link)[1])).toList();
        assertThat(java.util.Collections.max(counts) - java.util.Collections.min(counts))
                .as("the same for both and for each call, but for what is cut off at the end of a side").isLessThanOrEqualTo(3);
        assertThat(plan.figures().share()).as("more than half of the time is practice").isGreaterThan(0.5);
    }

    /** In three presses: a place, the everyday drill, the minutes. */
    @ParameterizedTest
    @MethodSource("placesOfThePass")
    void theEverydayDrillFromAnyPlaceOfThePass(Id place) {
        Drill drill = DrillDesigner.everyday(EVEN, place, 11);
        DrillPlan plan = DrillPlanner.plan(EVEN, drill);
        assertThat(drill.links()).isNotEmpty();
        assertThat(drill.finishes()).isNotEmpty();
        assertThat(plan.minutes()).isCloseTo(11, within(0.4));
    }

    /** Not from where they are turned away or stepped over: nothing there leads back to a guard of one's own. */
    static Stream<Id> placesOfThePass() {
        return MAP.situations().stream().filter(s -> s.family().equals(Id.of("guard-passed")))
                .filter(s -> EVEN.linksFrom(s.id()).stream().anyMatch(l -> l.landing().equals(Id.of("open-guard"))))
                .map(Situation::id);
    }

    @Test
    void fourWaysIntoOneHubAndTwoOut() {
        Drill drill = drill("hub");
        assertThat(drill.links()).allMatch(link -> EVEN.link(link).landing().equals(Id.of("hip-connection")));
        assertThat(drill.links().stream().map(link -> EVEN.link(link).start()).distinct()).hasSize(4);
        DrillPlan plan = DrillPlanner.plan(EVEN, drill);
        List<DrillStep> work = plan.stretches().get(0).steps().stream().filter(DrillStep::isWork).toList();
        for (int at = 0; at + 1 < work.size(); at += 2) {
            assertThat(work.get(at).to()).as("an entry, then an exit").isEqualTo(work.get(at + 1).from());
        }
    }

    @Test
    void fourLinksTheSameThenABranch() {
        DrillPlan plan = DrillPlanner.plan(EVEN, drill("branch"));
        Drill drill = drill("branch");
        List<DrillStep> work = plan.stretches().get(0).steps().stream().filter(DrillStep::isWork).toList();
        for (int at = 0; at + 5 <= work.size(); at += 5) {
            for (int same = 0; same < 4; same++) {
                assertThat(work.get(at + same).link()).contains(drill.opening().get(same));
            }
            assertThat(drill.links()).contains(work.get(at + 4).link().orElseThrow());
        }
        assertThat(plan.counts().keySet()).containsAll(drill.links());
    }

    @Test
    void aFailureGoesOnUntilTheyAreAnywhereButBehind() {
        DrillPlan plan = DrillPlanner.plan(EVEN, drill("anywhere-but-the-back"));
        List<DrillStep> steps = plan.stretches().get(0).steps();
        boolean wentOn = false;
        for (int at = 1; at < steps.size(); at++) {
            boolean stillBehind = INDEX.situation(steps.get(at - 1).to().at())
                    .filter(s -> s.family().equals(Id.of("back")) && s.rest().isEmpty()).isPresent();
            if (steps.get(at - 1).isWork() && stillBehind) {
                wentOn = true;
                assertThat(steps.get(at).isWork()).isTrue();
            }
        }
        assertThat(wentOn).isTrue();
    }

    @Test
    void theExtensionIsForThoseWhoKnowIt() {
        Drill drill = drill("hand-on-the-mat");
        assertThat(DrillPlanner.plan(EVEN, drill).counts()).containsKeys(drill.extension().get(0), drill.finishes().get(0));
        assertThat(DrillPlanner.plan(graph("first-months"), drill).counts()).doesNotContainKey(drill.extension().get(0));
    }

    @Test
    void armsThatAreTakenBackAreCallsToo() {
        DrillPlan plan = DrillPlanner.plan(EVEN, drill("which-arm"));
        assertThat(count(plan, DrillStep.Kind.FAKE)).isGreaterThan(10);
        assertThat(plan.guessing().orElseThrow().calls()).as("two arms, two that are taken back").isEqualTo(4);
    }

    @Test
    void lookingAndDiallingAreLeftToThePair() {
        DrillPlan looking = DrillPlanner.plan(EVEN, drill("low-mount-looking"));
        assertThat(looking.rounds()).allMatch(round -> round.place().equals(Id.of("mount-low")));
        assertThat(INDEX.reactionsFrom(Id.of("mount-low"))).as("what not to do is there to be found").anyMatch(Reaction::isWrong);
        DrillPlan dial = DrillPlanner.plan(EVEN, drill("ribs-by-notches"));
        assertThat(dial.rounds()).hasSize(8).filteredOn(round -> round.bottom() == Role.FIRST).hasSize(4);
    }

    @ParameterizedTest
    @MethodSource("names")
    void beginnersGetTheFirstTwoLinks(String name) {
        DrillPlan plan = DrillPlanner.plan(graph("first-months"), drill(name));
        long asked = plan.steps().stream().flatMap(step -> step.link().stream()).distinct().count();
        assertThat(asked).isLessThanOrEqualTo(name.equals("anywhere-but-the-back") ? 99 : 5);
        plan.verdicts().forEach(verdict -> assertThat(verdict.aboveLevel() || !verdict.because().isEmpty()).isTrue());
    }

    /** Nobody closes a finish on a child, whatever drill is asked for. */
    @Test
    void childrenNeverCloseAFinish() {
        PracticeGraph children = graph("children");
        for (Situation situation : MAP.situations()) {
            try {
                Drill drill = DrillDesigner.from(children, situation.id(), 6, 6);
                assertThat(DrillPlanner.plan(children, drill).steps())
                        .allMatch(step -> !children.closesOnAChild(step.from().at()) && !children.closesOnAChild(step.to().at()));
            } catch (RefusedException e) {
                assertThat(children.linksFrom(situation.id())).isEmpty();
            }
        }
        assertThatThrownBy(() -> DrillPlanner.plan(children, Drill.of("Hold", app.narrowgate.core.drill.DrillKind.LIVE,
                java.util.Optional.of(Id.of("back-choke-closing")), List.of()))).hasMessageContaining("child");
    }

    /** What a pair takes instead has a call of its own, and what it may not do stops nobody from writing the drill down. */
    @Test
    void aDrillIsWrittenInWordsForWhoeverMayNotDoAllOfIt() {
        PracticeGraph children = graph("children");
        PracticeLink closing = MAP.situations().stream().filter(s -> !children.closesOnAChild(s.id()))
                .flatMap(s -> EVEN.linksFrom(s.id()).stream()).filter(link -> children.closesOnAChild(link.landing()))
                .findFirst().orElseThrow();
        Drill drill = Drill.called("Before it closes", List.of(closing.ref()));
        DrillPlan plan = DrillPlanner.plan(children, drill);
        assertThat(plan.verdicts()).hasSize(1);
        String text = DrillMarkdown.of(children, drill, plan);
        assertThat(text).doesNotContain("null").doesNotContain(INDEX.placeTitle(closing.landing()));
        assertThat(text.lines().filter(line -> line.startsWith("| ") && !line.startsWith("| Call"))).hasSize(1)
                .allMatch(row -> row.matches("\\| \\S.*"));
    }

    /** A bad knee: what is closed is replaced from the same start, with the reason. */
    @Test
    void aBadKneeGetsAnotherAnswer() {
        PracticeGraph knee = graph("bad-knee");
        Reaction crowbar = INDEX.reaction(Id.of("quarter-heavy-crowbar")).orElseThrow();
        WhoMay.Verdict verdict = WhoMay.of(knee, EVEN.linksFrom(crowbar.from()).stream()
                .filter(link -> link.ref().reaction().equals(crowbar.id())).map(link -> link.ref()).limit(1).toList()).get(0);
        assertThat(verdict.stays()).isFalse();
        assertThat(verdict.taken().orElseThrow().reaction()).isEqualTo(Id.of("quarter-heavy-bump"));
        assertThat(verdict.because()).extracting(closing -> closing.what()).contains("knee");
    }

    @Test
    void lookAlikesAreOrderedByWhatTheyCost() {
        List<LookAlike> pairs = LookAlikes.of(EVEN);
        assertThat(pairs).hasSizeGreaterThan(10);
        assertThat(pairs).extracting(LookAlike::price).isSortedAccordingTo((a, b) -> Double.compare(b, a));
        Drill apart = DrillDesigner.apart(EVEN, pairs.get(0), 6);
        assertThat(apart.links()).hasSizeBetween(2, 4);
        assertThat(DrillFigures.of(DrillPlanner.plan(EVEN, apart).steps()).links()).isGreaterThan(20);
    }
}
