package app.narrowgate.core.due;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.ledger.Tries;
import app.narrowgate.core.lesson.Focus;
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
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What is due, on a map of a pin with two answers and one place further that nobody falls back on. */
class DueTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final Id FIRST = Id.of("r1");
    private static final Id SECOND = Id.of("r2");

    private static final MapIndex MAP = MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD)
            .situation("pinned", 5, "held").situation("held", 5, "tap").situation("apart", 5, "tap").start("pinned")
            .reaction("pinned", 0.5, 1, Map.of(), "guard*1")
            .reaction("held", 0.3, 1, Map.of(), "guard*1")
            .reaction("apart", 0.4, 1, Map.of(), "guard*1").map());

    private static StudentOdds odds() {
        Student student = new Student(new UUID(0, 1), new Person("Somebody", Optional.of(Level.INTERMEDIATE), Optional.of(70.0), Optional.empty(),
                AgeGroup.ADULTS, Optional.empty(), Optional.empty(), ""), Set.of(), Map.of(), false);
        return StudentOdds.of(List.of(student), Focus.EVERYTHING, Setting.of(Id.of("even")), setting -> SolvedMap.of(MAP, setting)).get(0);
    }

    private static Practice practice(int day, Tries clean, Tries live) {
        return new Practice(DAY.plusDays(day), FIRST, clean, live);
    }

    private static Practice.Held held(Practice... all) {
        return Practice.Held.of(List.of(all));
    }

    @Test
    void aClassInWhichNobodyCountedIsThatItCame() {
        Practice.Held held = held(Practice.inClass(DAY, FIRST), Practice.inClass(DAY.plusDays(7), FIRST));
        assertThat(held.memory()).isEqualTo(Memory.first(Grade.GOOD).after(7, Grade.GOOD));
        assertThat(held.days()).isEqualTo(2);
        assertThat(held.last()).isEqualTo(DAY.plusDays(7));
        assertThat(held.on(DAY.plusDays(7))).isEqualTo(1);
        assertThat(held.on(DAY)).as("a day before the last one").isEqualTo(1);
    }

    /** The shares by hand: of 20, and two more that went as they usually do (1.6 of 2). */
    @Test
    void theShareOfCleanOnesGrades() {
        Map<Integer, Grade> grades = Map.of(7, Grade.AGAIN, 8, Grade.HARD, 13, Grade.HARD, 14, Grade.GOOD, 18, Grade.GOOD, 19, Grade.EASY);
        grades.forEach((clean, grade) -> assertThat(practice(0, new Tries(20, clean), Tries.NONE).grade()).as("%d of 20", clean).isEqualTo(grade));
        assertThat(practice(0, new Tries(1, 1), Tries.NONE).grade()).as("one says little").isEqualTo(Grade.GOOD);
    }

    @Test
    void whatDoesNotHoldInALiveRoundIsNotHeld() {
        assertThat(practice(0, new Tries(20, 20), new Tries(6, 1)).grade()).isEqualTo(Grade.AGAIN);
        assertThat(practice(0, new Tries(20, 9), new Tries(6, 6)).grade()).isEqualTo(Grade.HARD);
        assertThat(practice(0, Tries.NONE, new Tries(8, 8)).grade()).isEqualTo(Grade.EASY);
    }

    @Test
    void whatIsDoneOnOneDayCountsOnceInWhateverOrderItIsTold() {
        Practice.Held one = held(practice(0, new Tries(10, 4), Tries.NONE), practice(9, Tries.NONE, new Tries(3, 0)),
                practice(9, new Tries(10, 9), Tries.NONE));
        assertThat(one).isEqualTo(held(practice(9, new Tries(10, 9), new Tries(3, 0)), practice(0, new Tries(10, 4), Tries.NONE)));
        assertThat(one.memory()).isEqualTo(Memory.first(Grade.HARD).after(9, Grade.AGAIN));
    }

    private static double solvedAgain(StudentOdds odds, Due one) {
        return odds.now() - odds.worth(Map.of(one.reaction(), odds.written(one.reaction()) * one.retention()));
    }

    /** Beside solving the map once more with what is left: close where little is gone; where much is, the cost is told a little too small. */
    @Test
    void costsWhatTheMapLosesByIt() {
        StudentOdds odds = odds();
        for (Due one : Due.of(odds, List.of(Practice.inClass(DAY, FIRST), Practice.inClass(DAY, SECOND)), DAY.plusDays(1))) {
            assertThat(one.cost()).isCloseTo(solvedAgain(odds, one), within(0.06 * one.cost()));
        }
        List<Due> due = Due.of(odds, List.of(Practice.inClass(DAY, FIRST), Practice.inClass(DAY.minusDays(20), SECOND)), DAY.plusDays(1));
        assertThat(due).allSatisfy(one -> assertThat(one.cost()).isBetween(0.7 * solvedAgain(odds, one), 1.01 * solvedAgain(odds, one)));
        assertThat(due).extracting(Due::reaction).containsExactlyInAnyOrder(FIRST, SECOND);
        assertThat(due.get(0).cost()).isGreaterThanOrEqualTo(due.get(1).cost());
        assertThat(due).filteredOn(one -> one.reaction().equals(FIRST)).noneMatch(Due::isDue);
        assertThat(due).filteredOn(one -> one.reaction().equals(SECOND)).allMatch(Due::isDue);
    }

    @Test
    void isDueFromTheDayOnWhichLessThanNineOfTenAreLeft() {
        Due due = Due.of(odds(), List.of(Practice.inClass(DAY, FIRST)), DAY).get(0);
        assertThat(due.from()).isEqualTo(DAY.plusDays(3));
        assertThat(due.held().on(due.from())).isLessThan(Due.ENOUGH);
        assertThat(due.held().on(due.from().minusDays(1))).isGreaterThan(Due.ENOUGH);
    }

    @Test
    void whatTheMapDoesNotNeedOrNoLongerHasIsNotDue() {
        assertThat(Due.of(odds(), List.of(Practice.inClass(DAY, Id.of("r3"))), DAY.plusYears(1))).singleElement()
                .satisfies(one -> assertThat(one.isDue()).as("nobody comes there").isFalse());
        assertThat(Due.of(odds(), List.of(Practice.inClass(DAY, Id.of("gone"))), DAY.plusYears(1))).isEmpty();
        assertThat(Due.of(odds(), List.of(), DAY)).isEmpty();
    }

    /** By hand: two of three have it due; what it costs is shared by all three. */
    @Test
    void aClassIsToldWhatCostsAllOfThemMost() {
        StudentOdds odds = odds();
        LocalDate today = DAY.plusDays(60);
        List<Due> longAgo = Due.of(odds, List.of(Practice.inClass(DAY, FIRST), Practice.inClass(DAY, SECOND)), today);
        Map<UUID, List<Due>> people = new LinkedHashMap<>();
        people.put(new UUID(0, 1), longAgo);
        people.put(new UUID(0, 2), Due.of(odds, List.of(Practice.inClass(today, FIRST), Practice.inClass(DAY, SECOND)), today));
        people.put(new UUID(0, 3), List.of());
        List<Due.InClass> due = Due.inClass(people);
        double first = longAgo.stream().filter(one -> one.reaction().equals(FIRST)).findFirst().orElseThrow().cost();
        double second = longAgo.stream().filter(one -> one.reaction().equals(SECOND)).findFirst().orElseThrow().cost();
        assertThat(due).filteredOn(one -> one.reaction().equals(FIRST)).singleElement().satisfies(one -> {
            assertThat(one.who()).containsExactly(new UUID(0, 1));
            assertThat(one.cost()).isCloseTo(first / 3, within(1e-12));
        });
        assertThat(due).filteredOn(one -> one.reaction().equals(SECOND)).singleElement().satisfies(one -> {
            assertThat(one.who()).containsExactly(new UUID(0, 1), new UUID(0, 2));
            assertThat(one.cost()).isCloseTo(2 * second / 3, within(1e-12));
        });
        assertThat(due.get(0).cost()).isGreaterThanOrEqualTo(due.get(1).cost());
    }

    @Test
    void moreCannotGoWellThanThereWere() {
        assertThatThrownBy(() -> new Tries(3, 4)).isInstanceOf(RefusedException.class).hasMessageContaining("4 of 3");
    }
}
