package app.narrowgate.core.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pairs against every pairing there is, and the rules that hold for all of them. */
class PairPlannerTest {

    private static UUID id(int number) {
        return new UUID(0, number + 1);
    }

    private static Student student(int number, double kilograms, Level level, AgeGroup age) {
        return new Student(id(number), new Person("Somebody " + number, Optional.of(level), Optional.of(kilograms), Optional.empty(), age,
                Optional.empty(), Optional.empty(), ""), Set.of(), Map.of(), false);
    }

    private static List<Student> alike(int count) {
        return IntStream.range(0, count).mapToObj(i -> student(i, 70, Level.INTERMEDIATE, AgeGroup.ADULTS)).toList();
    }

    private static List<Student> room(Random random, int count) {
        return IntStream.range(0, count).mapToObj(i -> student(i, 50 + random.nextInt(50), Level.values()[random.nextInt(3)], AgeGroup.ADULTS)).toList();
    }

    private static RoundWish wish() {
        return new RoundWish(RoundWish.USUAL_LIMIT, RoundWish.Mix.ALIKE, Set.of(), Set.of());
    }

    private static PairRequest request(List<Student> students, int rounds, PairRequest.Odd odd) {
        return new PairRequest(students, Collections.nCopies(rounds, wish()), Set.of(), Set.of(), odd, Map.of(), 0);
    }

    private static long cheapest(PairCosts costs, RoundWish wish, List<Student> left) {
        if (left.isEmpty()) {
            return 0;
        }
        long best = Long.MAX_VALUE;
        for (int i = 1; i < left.size(); i++) {
            List<Student> rest = new ArrayList<>(left);
            Student other = rest.remove(i);
            Student one = rest.remove(0);
            best = Math.min(best, costs.of(wish, one, other) + cheapest(costs, wish, rest));
        }
        return best;
    }

    @ParameterizedTest
    @ValueSource(ints = {2, 4, 6, 8})
    void noOtherPairingOfARoundCostsLess(int people) {
        Random random = new Random(people);
        for (int time = 0; time < 25; time++) {
            List<Student> students = room(random, people);
            RoundWish wish = new RoundWish(5 + random.nextInt(20), RoundWish.Mix.values()[random.nextInt(3)], Set.of(id(random.nextInt(people))),
                    Set.of(id(0), id(people - 1)));
            PairRequest request = new PairRequest(students, List.of(wish), Set.of(),
                    people > 2 ? Set.of(new Couple(id(0), id(1))) : Set.of(), PairRequest.Odd.THREE, Map.of(), 0);
            PairCosts costs = PairPlanner.costs(request);
            Map<UUID, Student> byId = new HashMap<>();
            students.forEach(s -> byId.put(s.id(), s));
            long cost = PairPlanner.plan(request).get(0).groups().stream()
                    .mapToLong(g -> costs.of(wish, byId.get(g.who().get(0)), byId.get(g.who().get(1)))).sum();
            assertThat(cost).as("time %d", time).isEqualTo(cheapest(costs, wish, students));
        }
    }

    /** The complete graph of an even number falls into n − 1 perfect matchings (Kirkman 1847). */
    @ParameterizedTest
    @ValueSource(ints = {4, 6, 8, 10, 16})
    void everybodyMeetsEverybodyOnceBeforeAnybodyMeetsTwice(int people) {
        List<PairedRound> rounds = PairPlanner.plan(request(alike(people), people - 1, PairRequest.Odd.THREE));
        Set<Couple> met = new HashSet<>();
        rounds.forEach(round -> round.groups().forEach(group -> {
            assertThat(group.who()).hasSize(2);
            assertThat(met.add(new Couple(group.who().get(0), group.who().get(1)))).isTrue();
        }));
        assertThat(met).hasSize(people * (people - 1) / 2);
    }

    @Test
    void everybodyIsInEveryRoundOnce() {
        Random random = new Random(5);
        for (int people = 0; people < 14; people++) {
            List<Student> students = room(random, people);
            for (PairRequest.Odd odd : PairRequest.Odd.values()) {
                for (PairedRound round : PairPlanner.plan(request(students, 4, odd))) {
                    assertThat(round.groups().stream().flatMap(g -> g.who().stream()).toList())
                            .containsExactlyInAnyOrderElementsOf(students.stream().map(Student::id).toList());
                }
            }
        }
    }

    @Test
    void restsGoRoundAndSoDoThrees() {
        List<Student> five = alike(5);
        Map<UUID, Integer> rested = new HashMap<>();
        PairPlanner.plan(request(five, 10, PairRequest.Odd.REST)).forEach(round -> {
            assertThat(round.groups()).hasSize(3);
            round.groups().stream().filter(PairedRound.Group::rests).forEach(g -> rested.merge(g.who().get(0), 1, Integer::sum));
        });
        assertThat(rested).hasSize(5).allSatisfy((who, times) -> assertThat(times).isEqualTo(2));
        Map<UUID, Integer> three = new HashMap<>();
        PairPlanner.plan(request(alike(9), 3, PairRequest.Odd.THREE)).forEach(round -> {
            assertThat(round.groups().stream().filter(g -> g.who().size() == 3)).hasSize(1);
            round.groups().stream().filter(g -> g.who().size() == 3).forEach(g -> g.who().forEach(who -> three.merge(who, 1, Integer::sum)));
        });
        assertThat(three).as("nine people, three threes: everybody once").hasSize(9);
    }

    @Test
    void adultsAndChildrenAreNeverAPairHoweverTheyAre() {
        Random random = new Random(11);
        for (int time = 0; time < 40; time++) {
            List<Student> students = IntStream.range(0, 1 + random.nextInt(9))
                    .mapToObj(i -> student(i, 40, Level.NOVICE, AgeGroup.values()[random.nextInt(2)])).toList();
            Set<UUID> children = new HashSet<>();
            students.stream().filter(s -> s.person().age() == AgeGroup.CHILDREN).forEach(s -> children.add(s.id()));
            for (PairedRound round : PairPlanner.plan(request(students, 3, PairRequest.Odd.THREE))) {
                round.groups().forEach(g -> assertThat(g.who().stream().filter(children::contains).count()).isIn(0L, (long) g.who().size()));
            }
        }
    }

    @Test
    void whoeverFeedsOnlyIsNeverWithAnotherWhoDoesAndItIsSaid() {
        List<Student> four = alike(4);
        RoundWish wish = new RoundWish(12, RoundWish.Mix.ANY, Set.of(id(0), id(1)), Set.of());
        PairRequest request = new PairRequest(four, List.of(wish, wish), Set.of(), Set.of(), PairRequest.Odd.THREE, Map.of(), 0);
        PairPlanner.plan(request).forEach(round -> round.groups().forEach(group -> {
            assertThat(group.who()).doesNotContainSequence(id(0), id(1));
            assertThat(group.why().stream().filter(why -> why.note() == PairedRound.Note.FEEDS)).hasSize(1);
        }));
        PairRequest two = new PairRequest(four.subList(0, 2), List.of(wish), Set.of(), Set.of(), PairRequest.Odd.THREE, Map.of(), 0);
        assertThat(PairPlanner.plan(two).get(0).groups()).hasSize(2)
                .allSatisfy(group -> assertThat(group.why().get(0).note()).isEqualTo(PairedRound.Note.NOBODY_LEFT));
    }

    @Test
    void aWeightOverTheLimitIsAvoidedThoughItMeansMeetingAgainAndIsSaidWhereItCannotBe() {
        List<Student> heavy = List.of(student(0, 60, Level.ADVANCED, AgeGroup.ADULTS), student(1, 62, Level.ADVANCED, AgeGroup.ADULTS),
                student(2, 100, Level.ADVANCED, AgeGroup.ADULTS), student(3, 103, Level.ADVANCED, AgeGroup.ADULTS));
        for (PairedRound round : PairPlanner.plan(request(heavy, 3, PairRequest.Odd.THREE))) {
            assertThat(round.groups()).extracting(PairedRound.Group::who).containsExactlyInAnyOrder(List.of(id(0), id(1)), List.of(id(2), id(3)));
        }
        PairedRound only = PairPlanner.plan(request(List.of(heavy.get(0), heavy.get(3)), 1, PairRequest.Odd.THREE)).get(0);
        assertThat(only.groups().get(0).why().get(0)).isEqualTo(new PairedRound.Why(PairedRound.Note.OVER_LIMIT, Optional.empty(), Optional.of(43.0)));
    }

    @Test
    void keptTogetherAndKeptApartHoldInEveryRound() {
        Couple together = new Couple(id(0), id(5));
        Couple apart = new Couple(id(1), id(2));
        PairRequest request = new PairRequest(alike(6), Collections.nCopies(5, wish()), Set.of(together), Set.of(apart), PairRequest.Odd.THREE, Map.of(), 0);
        for (PairedRound round : PairPlanner.plan(request)) {
            assertThat(round.groups()).extracting(PairedRound.Group::who).contains(List.of(id(0), id(5))).doesNotContain(List.of(id(1), id(2)));
        }
        assertThatThrownBy(() -> new PairRequest(alike(4), List.of(), Set.of(together), Set.of(together), PairRequest.Odd.THREE, Map.of(), 0))
                .isInstanceOf(RefusedException.class).hasMessageContaining("together and apart");
        assertThatThrownBy(() -> new PairRequest(alike(4), List.of(), Set.of(together, new Couple(id(0), id(1))), Set.of(), PairRequest.Odd.THREE,
                Map.of(), 0)).hasMessageContaining("with two people");
    }

    @Test
    void whoeverComesLateChangesOneGroupOnly() {
        for (int people = 1; people < 12; people++) {
            for (PairRequest.Odd odd : PairRequest.Odd.values()) {
                List<Student> all = alike(people + 1);
                PairRequest before = request(all.subList(0, people), 1, odd);
                PairedRound round = PairPlanner.plan(before).get(0);
                PairedRound after = PairPlanner.join(request(all, 1, odd), 0, round, id(people));
                Set<List<UUID>> kept = new HashSet<>(round.groups().stream().map(PairedRound.Group::who).toList());
                kept.removeAll(after.groups().stream().map(PairedRound.Group::who).toList());
                assertThat(kept).as("%d and one late, %s", people, odd).hasSizeLessThanOrEqualTo(1);
                assertThat(after.groups().stream().flatMap(g -> g.who().stream())).hasSize(people + 1).doesNotHaveDuplicates();
                assertThat(after.groups().stream().filter(g -> g.who().size() != 2).count()).isEqualTo((people + 1) % 2);
            }
        }
        PairRequest request = request(alike(3), 1, PairRequest.Odd.THREE);
        PairedRound round = PairPlanner.plan(request).get(0);
        assertThatThrownBy(() -> PairPlanner.join(request, 0, round, id(1))).hasMessageContaining("in this round already");
        assertThatThrownBy(() -> PairPlanner.join(request, 0, round, id(9))).hasMessageContaining("add them first");
    }

    @Test
    void otherPairsAreOtherPairsAndTheSameNumberGivesTheSame() {
        List<Student> students = alike(12);
        PairRequest first = request(students, 1, PairRequest.Odd.THREE);
        PairRequest other = new PairRequest(students, first.rounds(), Set.of(), Set.of(), PairRequest.Odd.THREE, Map.of(), 1);
        assertThat(PairPlanner.plan(other)).isNotEqualTo(PairPlanner.plan(first)).isEqualTo(PairPlanner.plan(other));
    }
}
