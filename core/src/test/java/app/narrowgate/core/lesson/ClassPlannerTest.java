package app.narrowgate.core.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Classes on maps that are small enough to say by hand what should come. */
class ClassPlannerTest {

    /** A pin with an answer to guard, a second answer in the place to which it leads when they step over, and a place nobody starts in. */
    private static MapIndex map() {
        return MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).feeds("guard", "pinned")
                .situation("pinned", 5, "held").situation("held", 5, "tap").situation("later", 5, "tap").start("pinned")
                .reaction("pinned", 0.5, 1, Map.of(), "guard*3", "later*2")
                .reaction("held", 0.3, 1, Map.of(), "pinned*1")
                .reaction("later", 0.4, 1, Map.of(), "guard*1", "win*1")
                .map());
    }

    private static Student student(int number, Level level, Map<Id, Integer> practised) {
        return new Student(new UUID(0, number + 1), new Person("Somebody " + number, Optional.of(level), Optional.of(70.0), Optional.empty(),
                AgeGroup.ADULTS, Optional.empty(), Optional.empty(), ""), Set.of(), practised, practised.isEmpty());
    }

    private static List<Student> students(int count, Level level) {
        return IntStream.range(0, count).mapToObj(i -> student(i, level, Map.of())).toList();
    }

    private static ClassRequest request(int minutes, List<Student> students, Map<String, Optional<Integer>> fixed, Set<String> out) {
        return new ClassRequest(minutes, Focus.EVERYTHING, ClassShape.Usual.STEP_BY_STEP.of(minutes), students, fixed, out, List.of());
    }

    private static ClassPlan plan(ClassRequest request) {
        MapIndex map = map();
        return ClassPlanner.plan(request, Setting.of(Id.of("even")), setting -> SolvedMap.of(map, setting));
    }

    private static Set<String> keys(ClassPlan plan) {
        return plan.lines().stream().map(line -> line.unit().key()).collect(Collectors.toSet());
    }

    @Test
    void fillsTheMinutesExactlyInTheOrderOfTheClassWithinItsShape() {
        for (int minutes : new int[] {30, 45, 60, 75, 90, 120}) {
            ClassPlan plan = plan(request(minutes, students(8, Level.INTERMEDIATE), Map.of(), Set.of()));
            int at = 0;
            Section before = Section.WARM_UP;
            for (ClassPlan.Line line : plan.lines()) {
                assertThat(line.from()).isEqualTo(at);
                assertThat(line.unit().section()).isGreaterThanOrEqualTo(before);
                assertThat(line.minutes()).isGreaterThanOrEqualTo(line.unit().section().practises() ? ClassShape.LEAST_UNIT : 1);
                at += line.minutes();
                before = line.unit().section();
            }
            assertThat(at).as("%d minutes", minutes).isEqualTo(minutes);
            ClassShape shape = ClassShape.Usual.STEP_BY_STEP.of(minutes);
            for (Section section : Section.values()) {
                int sum = plan.lines().stream().filter(l -> l.unit().section() == section).mapToInt(ClassPlan.Line::minutes).sum();
                assertThat(sum).as("%s of %d", section, minutes).isLessThanOrEqualTo(shape.of(section).most());
                assertThat(plan.empty().contains(section) ? 0 : sum).isGreaterThanOrEqualTo(plan.empty().contains(section) ? 0 : shape.of(section).least());
            }
            assertThat(plan.empty()).as("nothing was practised before").containsExactly(Section.RECALL);
        }
    }

    @Test
    void theWholeIsSolvedAndLiesBelowWhatTheLinesAddUpTo() {
        ClassPlan plan = plan(request(60, students(6, Level.INTERMEDIATE), Map.of(), Set.of()));
        assertThat(plan.after()).isGreaterThan(plan.now());
        assertThat(plan.after() - plan.now()).isLessThan(plan.added());
        MapIndex map = map();
        assertThat(plan.now()).as("an even pair, some years on the mat").isCloseTo(SolvedMap.of(map, Setting.of(Id.of("even"))
                .withMatchup(Typical.of(students(6, Level.INTERMEDIATE), map.map().houseMatchup()))).startWorth(), within(1e-9));
    }

    /** By hand: the gain of one unit is the slope times the way along the curve, and what follows from solving again is the same to first order. */
    @Test
    void theGainOfALineIsWhatSolvingAgainGivesWhereLittleIsPractised() {
        ClassPlan plan = plan(new ClassRequest(20, Focus.EVERYTHING, shape(Section.NEW, 3, 3), students(1, Level.INTERMEDIATE),
                Map.of("new:r1", Optional.of(3)), Set.of(), List.of()));
        ClassPlan.Line line = plan.lines().stream().filter(l -> l.unit().section() == Section.NEW).findFirst().orElseThrow();
        assertThat(line.minutes()).isEqualTo(3);
        assertThat(plan.after() - plan.now()).isCloseTo(line.gain(), within(5e-6));
        double ceiling = Math.exp(0.5) / (1 + Math.exp(0.5));
        assertThat(line.worksAfter().orElseThrow()).as("one minute of practice after two of showing, from even odds towards 0.5 more in log odds")
                .isCloseTo(0.5 + (ceiling - 0.5) * (1 - Math.exp(-1.0 / 9)), within(1e-9));
    }

    private static ClassShape shape(Section only, int least, int most) {
        Map<Section, ClassShape.Span> spans = new java.util.EnumMap<>(Section.class);
        for (Section section : Section.values()) {
            spans.put(section, section == only ? new ClassShape.Span(least, most)
                    : new ClassShape.Span(0, section.practises() ? 0 : 60));
        }
        return new ClassShape(spans);
    }

    @Test
    void whoeverIsNewIsGivenTwoNewLinksAndTheOthersGoOn() {
        List<Student> mixed = new ArrayList<>(students(3, Level.NOVICE));
        mixed.add(student(9, Level.ADVANCED, Map.of()));
        ClassPlan plan = plan(new ClassRequest(60, Focus.EVERYTHING, shape(Section.NEW, 30, 60), mixed,
                Map.of("new:r1", Optional.of(10), "new:r2", Optional.of(10), "new:r3", Optional.of(10)), Set.of(), List.of()));
        List<ClassPlan.Line> fresh = plan.lines().stream().filter(l -> l.unit().section() == Section.NEW).toList();
        assertThat(fresh).hasSize(3);
        assertThat(fresh.get(0).who()).hasSize(4);
        assertThat(fresh.get(2).who()).containsExactly(mixed.get(3).id());
        assertThat(fresh.get(2).not()).hasSize(3).allSatisfy(not -> assertThat(not.because()).isEqualTo(ClassPlan.Because.ENOUGH_NEW));
        ClassPlan beginners = plan(request(90, students(4, Level.NOVICE), Map.of(), Set.of()));
        assertThat(beginners.lines().stream().filter(l -> l.unit().section() == Section.NEW)).hasSizeLessThanOrEqualTo(2);
    }

    @Test
    void whatCannotBeComeToWithoutAnotherComesOnlyWithIt() {
        ClassPlan without = plan(request(60, students(4, Level.INTERMEDIATE), Map.of(), Set.of("new:r1")));
        assertThat(keys(without)).doesNotContain("new:r1", "new:r3");
        assertThat(without.leftOut()).anySatisfy(left -> {
            assertThat(left.unit().key()).isEqualTo("new:r1");
            assertThat(left.reason()).isEqualTo(ClassPlan.Reason.TAKEN_OUT);
        });
        ClassPlan known = plan(request(60, IntStream.range(0, 4).mapToObj(i -> student(i, Level.INTERMEDIATE, Map.of(Id.of("r1"), 20))).toList(),
                Map.of(), Set.of()));
        assertThat(known.lines().stream().filter(l -> l.unit().section() == Section.RECALL).map(l -> l.unit().key())).containsExactly("recall:r1");
        assertThat(keys(known)).as("most here have what it needs").contains("new:r3");
    }

    @Test
    void whatIsFixedComesWithItsMinutesAndTheRestIsWorkedOutAround() {
        ClassPlan plan = plan(request(60, students(4, Level.INTERMEDIATE), Map.of("new:r2", Optional.of(11), "talk", Optional.of(4)), Set.of()));
        Map<String, Integer> minutes = plan.lines().stream().collect(Collectors.toMap(l -> l.unit().key(), ClassPlan.Line::minutes));
        assertThat(minutes).containsEntry("new:r2", 11).containsEntry("talk", 4);
        assertThat(plan.lines()).filteredOn(ClassPlan.Line::fixed).hasSize(2);
        assertThat(minutes.values().stream().mapToInt(m -> m).sum()).isEqualTo(60);
        assertThat(plan(request(60, students(2, Level.NOVICE), Map.of("new:gone", Optional.of(5)), Set.of())).gone()).containsExactly("new:gone");
        assertThatThrownBy(() -> plan(request(30, students(2, Level.NOVICE), Map.of("new:r1", Optional.of(29)), Set.of())))
                .isInstanceOf(RefusedException.class).hasMessageContaining("the class lasts 30");
    }

    @Test
    void whatIsFixedBringsWhatItNeedsAlongThoughThePartHoldsLess() {
        ClassPlan plan = plan(request(60, students(3, Level.NOVICE), Map.of("new:r3", Optional.of(20), "new:r2", Optional.of(10)), Set.of()));
        assertThat(keys(plan)).contains("new:r1", "new:r2", "new:r3");
        assertThat(plan.lines().stream().mapToInt(ClassPlan.Line::minutes).sum()).isEqualTo(60);
    }

    @Test
    void nothingFreeGainsMoreAndNoPlanGainsMoreThanTheFreeOne() {
        List<Student> students = students(5, Level.INTERMEDIATE);
        ClassPlan free = plan(request(60, students, Map.of(), Set.of()));
        for (ClassPlan.LeftOut left : free.leftOut()) {
            left.costs().ifPresent(costs -> {
                ClassPlan with = plan(request(60, students, Map.of(left.unit().key(), Optional.empty()), Set.of()));
                assertThat(free.added() - with.added()).isCloseTo(costs, within(1e-9));
                assertThat(costs).isNotNegative();
            });
        }
        for (int minutes = 3; minutes < 20; minutes++) {
            assertThat(plan(request(60, students, Map.of("new:r1", Optional.of(minutes)), Set.of())).added()).isLessThanOrEqualTo(free.added() + 1e-12);
        }
    }

    @Test
    void whoeverMissedItHasItFromTheStartWithSomebodyWhoWasThere() {
        List<Student> students = new ArrayList<>();
        students.add(student(0, Level.ADVANCED, Map.of(Id.of("r1"), 2)));
        students.add(student(1, Level.NOVICE, Map.of(Id.of("r1"), 2)));
        students.add(student(2, Level.NOVICE, Map.of()));
        ClassPlan plan = plan(new ClassRequest(60, Focus.EVERYTHING, ClassShape.Usual.STEP_BY_STEP.of(60), students, Map.of(), Set.of(),
                List.of(Id.of("r1"))));
        ClassPlan.Line recall = plan.lines().stream().filter(l -> l.unit().section() == Section.RECALL).findFirst().orElseThrow();
        assertThat(recall.missed()).containsExactly(students.get(2).id());
        assertThat(recall.helper()).contains(students.get(0).id());
        assertThat(recall.practisedBy()).isEqualTo(2);
    }

    @Test
    void refusesWhatIsNoClass() {
        assertThatThrownBy(() -> plan(request(60, List.of(), Map.of(), Set.of()))).hasMessageContaining("Nobody is here yet");
        assertThatThrownBy(() -> request(10, students(2, Level.NOVICE), Map.of(), Set.of())).hasMessageContaining("between 20 and 180 minutes");
        assertThatThrownBy(() -> plan(new ClassRequest(60, Focus.family(Id.of("nowhere")), ClassShape.Usual.STEP_BY_STEP.of(60),
                students(2, Level.NOVICE), Map.of(), Set.of(), List.of()))).hasMessageContaining("nowhere");
        assertThatThrownBy(() -> new ClassShape(Map.of())).hasMessageContaining("warm-up");
        assertThatThrownBy(() -> new ClassShape.Span(5, 3)).hasMessageContaining("smaller one");
    }

    @Test
    void practiceRaisesHowOftenItWorksLessTheDayAfterAndMoreWhenItIsNearlyForgotten() {
        LearningCurve curve = LearningCurve.of(Level.NOVICE);
        assertThat(curve.after(0.4, 0)).isEqualTo(0.4);
        assertThat(curve.after(0.4, 11)).as("63 of 100 parts of the way from 0.4 to 0.5485, 0.6 more in log odds")
                .isCloseTo(0.4 + 0.1485 * 0.6321, within(1e-4));
        assertThat(curve.after(1, 60)).as("what always works stays").isEqualTo(1);
        assertThat(curve.after(0, 60)).as("what never works is not practised into working").isZero();
        assertThat(LearningCurve.freshness(1)).isLessThan(0.5);
        assertThat(LearningCurve.freshness(11)).isBetween(0.95, 1.05);
        assertThat(LearningCurve.freshness(60)).isBetween(1.2, 1.3);
    }

    @Test
    void whatATermAsksForComesWhereThereIsRoomAndGivesWayWhereThereIsNone() {
        Map<Section, ClassShape.Span> spans = new EnumMap<>(Section.class);
        for (Section section : Section.values()) {
            spans.put(section, new ClassShape.Span(0, section == Section.CHAIN || section == Section.CALLED ? 0 : 20));
        }
        String wished = "new:" + map().reactionsFrom(Id.of("held")).get(0).id();
        assertThat(keys(wishing(spans, 15, wished, Set.of()))).contains(wished);
        assertThat(keys(wishing(spans, 15, wished, Set.of(wished)))).doesNotContain(wished);
        assertThat(keys(wishing(spans, 18, wished, Set.of()))).doesNotContain(wished).contains("live:pinned");
    }

    /** A class of 20 minutes in which all but {@code live} and two are free. */
    private static ClassPlan wishing(Map<Section, ClassShape.Span> spans, int live, String wished, Set<String> out) {
        return plan(new ClassRequest(20, Focus.EVERYTHING, new ClassShape(spans), students(6, Level.INTERMEDIATE),
                Map.of("live:pinned", Optional.of(live), "warm-up", Optional.of(1), "talk", Optional.of(1)), List.of(wished), out, List.of(), false));
    }

    @Test
    void aLivePartIsDialledWhereTheInstructorWantsItAndNeverUnasked() {
        ClassPlan earnest = plan(request(60, students(8, Level.INTERMEDIATE), Map.of(), Set.of()));
        assertThat(keys(earnest)).contains("live:later").noneMatch(key -> key.contains("~dial"));
        Unit live = unit(earnest, "live:later");
        assertThat(live.ways()).extracting(Unit.Way::key).containsExactly("live:later", "live:later~dial");
        ClassPlan dialled = plan(request(60, students(8, Level.INTERMEDIATE), Map.of("live:later~dial", Optional.of(8)), Set.of("live:later")));
        assertThat(keys(dialled)).contains("live:later~dial").doesNotContain("live:later");
        assertThat(unit(dialled, "live:later~dial").drill().orElseThrow().kind()).isEqualTo(DrillKind.DIAL);
        assertThat(unit(dialled, "live:later~dial").shares()).as("it practises what a live round does").isEqualTo(live.shares());
        assertThat(dialled.lines().stream().map(line -> line.unit()).filter(one -> one.section() == Section.LIVE).map(Unit::isDialled))
                .as("what grows comes before what is in earnest").startsWith(true).doesNotHaveDuplicates();
        assertThat(dialled.gone()).isEmpty();
        assertThat(plan(request(60, students(8, Level.INTERMEDIATE), Map.of("live:later~staged", Optional.of(8)), Set.of())).gone())
                .as("nobody dials what is no dial").containsExactly("live:later~staged");
    }

    @Test
    void aGateIsShownLiveWhereItIsAskedForAndNeverElse() {
        assertThat(keys(plan(request(60, students(8, Level.INTERMEDIATE), Map.of(), Set.of())))).noneMatch(key -> key.contains("~gate"));
        String gate = Unit.gate(Id.of("pinned"));
        ClassPlan evening = plan(new ClassRequest(60, Focus.EVERYTHING, ClassShape.Usual.GATE_EVENING.of(60), students(8, Level.INTERMEDIATE), Map.of(),
                List.of(gate), Set.of(), List.of(), false));
        Unit shown = unit(evening, gate);
        assertThat(shown.drill().orElseThrow().kind()).isEqualTo(DrillKind.GATE);
        assertThat(shown.section()).isEqualTo(Section.LIVE);
        List<ClassPlan.Line> live = evening.lines().stream().filter(line -> line.unit().section() == Section.LIVE).toList();
        assertThat(live.get(0).unit()).as("before all else that is live").isEqualTo(shown);
        assertThat(live.get(0).minutes()).as("both sides, both partners").isGreaterThanOrEqualTo(6);
        assertThat(shown.ways()).as("it can be made an ordinary round").extracting(Unit.Way::kind).contains(DrillKind.LIVE, DrillKind.GATE);
        assertThat(evening.lines().stream().filter(line -> line.unit().section() == Section.LIVE).mapToInt(ClassPlan.Line::minutes).sum())
                .isBetween(24, 45);
        assertThat(evening.lines()).extracting(line -> line.unit().section()).doesNotContain(Section.NEW, Section.CHAIN);
    }

    @Test
    void whoeverARibHurtsFeedsADialAndStillPlaysTheRest() {
        List<Student> students = new ArrayList<>(students(5, Level.INTERMEDIATE));
        Student one = students.get(0);
        students.set(0, new Student(one.id(), one.person(), Set.of(Injury.RIB), one.practised(), one.missed()));
        ClassPlan plan = plan(request(60, students, Map.of("live:later~dial", Optional.of(8)), Set.of()));
        for (ClassPlan.Line line : plan.lines()) {
            boolean dialled = line.unit().isDialled();
            assertThat(line.feeds().contains(one.id())).as(line.unit().key()).isEqualTo(dialled);
            assertThat(line.who().contains(one.id())).isEqualTo(!dialled);
        }
        assertThat(plan.lines().stream().filter(line -> line.unit().isDialled()).flatMap(line -> line.not().stream())).singleElement()
                .satisfies(not -> assertThat(not.closings()).containsExactly(new Closing(Closing.Kind.INJURY, "rib")));
    }

    private static Unit unit(ClassPlan plan, String key) {
        return plan.lines().stream().map(ClassPlan.Line::unit).filter(unit -> unit.key().equals(key)).findFirst().orElseThrow();
    }

    @Test
    void whereTheLighterOneSaysHowMuchTheGapMayBeWider() {
        RoundWish live = RoundWish.usual(Section.LIVE, Optional.of(DrillKind.LIVE), 12, Set.of(), Set.of());
        RoundWish dial = RoundWish.usual(Section.LIVE, Optional.of(DrillKind.DIAL), 12, Set.of(), Set.of());
        assertThat(live.limit()).isEqualTo(12);
        assertThat(dial.limit()).isEqualTo(18);
    }
}
