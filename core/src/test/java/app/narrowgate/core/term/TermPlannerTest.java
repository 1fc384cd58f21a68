package app.narrowgate.core.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.LearningCurve;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.lesson.StudentOdds;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.memory.Grade;
import app.narrowgate.core.memory.Memory;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Terms on a map that is small enough to say by hand what should come. */
class TermPlannerTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 9, 1);
    private static final Setting HOUSE = Setting.of(Id.of("even"));

    /** A pin with an answer to guard; where they step over it, a second place with an answer of its own. */
    private static MapIndex map() {
        return MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).feeds("guard", "pinned")
                .situation("pinned", 5, "held").situation("held", 5, "tap").situation("later", 5, "tap").start("pinned")
                .reaction("pinned", 0.5, 1, Map.of(), "guard*3", "later*2")
                .reaction("held", 0.3, 1, Map.of(), "pinned*1")
                .reaction("later", 0.4, 1, Map.of(), "guard*1", "win*1")
                .map());
    }

    private static Id only(MapIndex map, String place) {
        return map.reactionsFrom(Id.of(place)).get(0).id();
    }

    private static TermStudent student(int number, Map<Id, List<LocalDate>> practised, double comes, int classes) {
        Map<Id, Integer> days = new HashMap<>();
        practised.forEach((id, on) -> days.put(id, (int) (TODAY.toEpochDay() - on.get(on.size() - 1).toEpochDay())));
        Student student = new Student(new UUID(0, number + 1), new Person("Somebody " + number, Optional.of(Level.INTERMEDIATE), Optional.of(70.0),
                Optional.empty(), AgeGroup.ADULTS, Optional.empty(), Optional.empty(), ""), Set.of(), days, false);
        return new TermStudent(student, Collections.nCopies(classes, comes), practised);
    }

    private static List<ComingClass> classes(int count, int fresh, int recalls) {
        return IntStream.range(0, count).mapToObj(i -> new ComingClass(new UUID(1, i), TODAY.plusDays(7L * (i / 2) + 2L * (i % 2)), Focus.EVERYTHING,
                fresh, recalls, Set.of(), Set.of(), Set.of())).toList();
    }

    private static TermPlan plan(List<ComingClass> classes, List<TermStudent> students) {
        MapIndex map = map();
        return TermPlanner.plan(new TermRequest(TODAY, TODAY.plusDays(60), classes, students), HOUSE, setting -> SolvedMap.of(map, setting));
    }

    private static List<TermStudent> four(double comes, int classes) {
        return IntStream.range(0, 4).mapToObj(i -> student(i, Map.of(), comes, classes)).toList();
    }

    @Test
    void comesBackAtWideningDistancesAndWhatIsNeededComesFirst() {
        MapIndex map = map();
        List<ComingClass> classes = classes(12, 1, 1);
        TermPlan plan = plan(classes, four(0.7, 12));
        Map<Id, TermPlan.Taught> taught = new HashMap<>();
        plan.taught().forEach(one -> taught.put(one.reaction(), one));
        Id pinned = only(map, "pinned");
        Id later = only(map, "later");
        assertThat(taught).containsKeys(pinned, only(map, "held"), later);
        assertThat(taught.get(pinned).classes().get(0)).isLessThanOrEqualTo(taught.get(later).classes().get(0));
        for (TermPlan.Taught one : plan.taught()) {
            assertThat(one.fresh()).isTrue();
            assertThat(one.classes()).hasSizeGreaterThan(1);
            long before = 0;
            for (int i = 1; i < one.classes().size(); i++) {
                long gap = classes.get(one.classes().get(i)).day().toEpochDay() - classes.get(one.classes().get(i - 1)).day().toEpochDay();
                assertThat(gap).isGreaterThan(before);
                before = gap;
            }
            assertThat(one.remembered()).isBetween(0.5, 1.0);
            assertThat(one.otherwise()).isZero();
        }
        assertThat(plan.end()).isGreaterThan(plan.without());
        assertThat(plan.without()).isCloseTo(plan.now(), within(1e-12));
        assertThat(plan.leftOut()).isEmpty();
    }

    /** With one class and one person who certainly comes, the figures follow from the curve and the formula alone. */
    @Test
    void oneClassIsReckonedByHand() {
        MapIndex map = map();
        List<ComingClass> one = classes(1, 1, 0);
        TermPlan plan = plan(one, List.of(student(0, Map.of(), 1, 1)));
        assertThat(plan.taught()).hasSize(1);
        TermPlan.Taught taught = plan.taught().get(0);
        double left = Memory.first(Grade.GOOD).retention(60);
        assertThat(taught.remembered()).isCloseTo(left, within(1e-12));
        StudentOdds odds = StudentOdds.of(List.of(student(0, Map.of(), 1, 1).student()), Focus.EVERYTHING, HOUSE, s -> SolvedMap.of(map, s)).get(0);
        double written = odds.written(taught.reaction());
        double gained = LearningCurve.of(Level.INTERMEDIATE).overWeeks().after(written, 9 - 2) - written;
        assertThat(taught.gain()).isCloseTo(odds.slope(taught.reaction()) * gained * left, within(1e-9));
        assertThat(plan.end()).isCloseTo(odds.worth(Map.of(taught.reaction(), written + gained * left)), within(1e-12));
    }

    /** Whoever comes to each of two classes or not is one of four people; the expectation is their weighted mean. */
    @Test
    void whoMayComeIsTheMeanOfThoseWhoDoAndThoseWhoDoNot() {
        TermPlan plan = plan(classes(1, 1, 0), List.of(student(0, Map.of(), 0.3, 1)));
        TermPlan certain = plan(classes(1, 1, 0), List.of(student(0, Map.of(), 1, 1)));
        assertThat(plan.taught().get(0).remembered()).isCloseTo(0.3 * certain.taught().get(0).remembered(), within(1e-12));
        assertThat(plan.taught().get(0).gain()).isCloseTo(0.3 * certain.taught().get(0).gain(), within(1e-12));
    }

    @Test
    void whatMostHavePractisedIsRecalledOnly() {
        MapIndex map = map();
        Id pinned = only(map, "pinned");
        List<TermStudent> students = IntStream.range(0, 4)
                .mapToObj(i -> student(i, i < 3 ? Map.of(pinned, List.of(TODAY.minusDays(20), TODAY.minusDays(10))) : Map.of(), 0.7, 4)).toList();
        TermPlan plan = plan(classes(4, 0, 1), students);
        TermPlan.Taught recalled = plan.taught().stream().filter(one -> one.reaction().equals(pinned)).findFirst().orElseThrow();
        assertThat(recalled.fresh()).isFalse();
        assertThat(recalled.classes()).isNotEmpty();
        assertThat(recalled.remembered()).isGreaterThan(recalled.otherwise());
        assertThat(plan.without()).isGreaterThan(plan.now());
        assertThat(plan.leftOut()).extracting(TermPlan.LeftOut::reaction).contains(only(map, "held"));
        assertThat(plan.leftOut()).extracting(TermPlan.LeftOut::reason).contains(TermPlan.Reason.NO_ROOM);
    }

    @Test
    void saysWhatIsMissing() {
        assertThatThrownBy(() -> plan(List.of(), four(0.7, 0))).isInstanceOf(RefusedException.class).hasMessageContaining("still to come");
        assertThatThrownBy(() -> plan(classes(2, 1, 1), List.of())).isInstanceOf(RefusedException.class).hasMessageContaining("roster");
        assertThatThrownBy(() -> new TermRequest(TODAY, TODAY.plusDays(3), classes(4, 1, 1), List.of())).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> student(0, Map.of(), Double.NaN, 1)).isInstanceOf(RefusedException.class);
    }

    @Test
    void bothHalvesAreSeenAsOftenAsOneComesToEitherClass() {
        MapIndex map = map();
        Id pinned = only(map, "pinned");
        Id later = only(map, "later");
        List<Halves.Pair> pairs = Halves.among(SolvedMap.of(map, HOUSE).converged(), List.of(pinned, later, only(map, "held")));
        assertThat(pairs).contains(new Halves.Pair(Halves.Kind.FIRST_AND_THEN, pinned, later));
        Halves.Pair pair = new Halves.Pair(Halves.Kind.FIRST_AND_THEN, pinned, later);
        // Both come in class 1; the first in 0 as well. Seen both unless 1 was missed, or with only one of them.
        assertThat(Halves.seen(pair, student(0, Map.of(), 0.6, 3), List.of(0, 1), List.of(1)).both()).isCloseTo(0.6, within(1e-12));
        assertThat(Halves.seen(pair, student(0, Map.of(), 0.6, 3), List.of(0), List.of(2)).both()).isCloseTo(0.36, within(1e-12));
        Halves.Seen half = Halves.seen(pair, student(0, Map.of(pinned, List.of(TODAY.minusDays(3))), 0.6, 3), List.of(), List.of(0, 2));
        assertThat(half).isEqualTo(new Halves.Seen(true, false, half.both()));
        assertThat(half.both()).isCloseTo(1 - 0.4 * 0.4, within(1e-12));
        assertThat(Halves.seen(pair, student(0, Map.of(), 0.6, 3), List.of(0), List.of()).both()).isZero();
    }
}
