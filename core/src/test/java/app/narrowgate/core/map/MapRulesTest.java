package app.narrowgate.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.fixture.BodyFixture;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MapRulesTest {

    private static List<String> places(EscapeMap map) {
        return MapRules.problems(map).stream().map(Problem::place).toList();
    }

    @Test
    void aMapThatFitsHasNoProblems() {
        assertThat(MapRules.problems(new MapFixture().situation("a", 3, "tap").reaction("a", 0.5, "win", "*2").map()))
                .isEmpty();
    }

    private static Posture told(String id, String from) {
        return new Posture(Id.of(id), "Posture " + id, "", Optional.empty(), Optional.empty(),
                new Posture.Like(Id.of(from), false, false, Map.of(), Optional.empty()));
    }

    /** Told from each other in a ring there is none that is told whole, and nothing to draw. */
    @Test
    void posturesThatAreToldInARingAreNamed() {
        EscapeMap map = new MapFixture().situation("a").map().with(told("one", "two")).with(told("two", "one"));
        assertThat(places(map)).containsExactly("/postures/0/base", "/postures/1/base");
        assertThat(places(new MapFixture().situation("a").map().with(told("one", "gone")))).containsExactly("/postures/0/base");
    }

    @Test
    void aMapHasRoomForSoManyPostures() {
        EscapeMap one = new MapFixture().situation("a").map().with(new Posture(Id.of("whole"), "Apart", "", Optional.empty(),
                Optional.empty(), new Posture.Whole(BodyFixture.standing())));
        EscapeMap full = one;
        for (int i = 1; i < Posture.MOST; i++) {
            full = full.with(told("p" + i, "whole"));
        }
        assertThat(places(full)).isEmpty();
        assertThat(places(full.with(told("more", "whole")))).containsExactly("/postures");
    }

    @Test
    void everyMissingPlaceIsNamed() {
        EscapeMap map = new MapFixture().situation("a", 3, "gone").reaction("a", 0.5, "lost").reaction("b", 1).map();
        assertThat(places(map)).containsExactly(
                "/situations/0/clock/becomes", "/reactions/0/responses/0/leads", "/reactions/1/from");
    }

    @Test
    void placesNeedIdsOfTheirOwn() {
        assertThat(places(new MapFixture().situation("win").map())).containsExactly("/outcomes/0/id");
        assertThat(places(new MapFixture().situation("a").situation("a").map())).containsExactly("/situations/1/id");
    }

    @Test
    void whatAHoldNeedsIsNamedByItsPlaceInTheTree() {
        Requirement.Need stapled = Requirement.Need.of(Id.of("arm"), "The arm is stapled", 1, Set.of(Id.of("gone")));
        Requirement.Need again = Requirement.Need.of(Id.of("arm"), "The arm again", 1, Set.of());
        Requirement all = new Requirement.All(List.of(stapled, new Requirement.Any(List.of(again))));
        List<Problem> problems = MapRules.problems(new MapFixture().situation("a").pin(all, "nowhere").map());
        assertThat(problems).extracting(Problem::place).containsExactly(
                "/holds/0/at/0", "/holds/0/needs/all/0/denied", "/holds/0/needs/all/1/any/0/id");
        assertThat(problems.get(2).message()).contains("/holds/0/needs/all/0 has the same id");
    }

    /** Also after a change to the hold that had the need, which leaves the one that names it as it was. */
    @Test
    void armsNameNeedsThatSomeHoldHas() {
        Requirement need = Requirement.Need.of(Id.of("arm"), "The arm is stapled", 1, Set.of());
        Hold.Arms arms = new Hold.Arms(Id.of("in"), "Elbows in", Set.of(Id.of("arm")), Set.of(Id.of("arm")));
        Hold with = new Hold(Id.of("choke"), "Choke", Hold.Kind.FINISH, List.of(),
                Requirement.Need.of(Id.of("hands"), "Hands joined", 1, Set.of()), List.of(), Feeder.NONE,
                List.of(new Hold.Arms(Id.of("in"), "Elbows in", Set.of(Id.of("arm")), Set.of())));
        EscapeMap map = new MapFixture().situation("a").pin(need, "a").map().with(with);
        assertThat(places(map)).isEmpty();
        EscapeMap lost = map.with(Hold.of(Id.of("pin-1"), "Pin", Hold.Kind.PIN, List.of(),
                Requirement.Need.of(Id.of("other"), "Another", 1, Set.of())));
        assertThat(MapRules.problems(lost, map)).extracting(Problem::place).containsExactly("/holds/1/arms/0/denies");
        assertThat(MapRules.problems(lost).get(0).message()).contains("“Elbows in” of “Choke”", "“arm”", "no hold has");

        EscapeMap both = map.with(new Hold(Id.of("choke"), "Choke", Hold.Kind.FINISH, List.of(), with.requirement(), List.of(),
                Feeder.NONE, List.of(arms, arms)));
        assertThat(places(both)).contains("/holds/1/arms/0/gives", "/holds/1/arms/1/id");
        EscapeMap many = map.with(new Hold(Id.of("choke"), "Choke", Hold.Kind.FINISH, List.of(), with.requirement(), List.of(),
                Feeder.NONE, IntStream.range(0, 9).mapToObj(i -> new Hold.Arms(Id.of("in-" + i), "In", Set.of(), Set.of()))
                        .toList()));
        assertThat(places(many)).containsExactly("/holds/1/arms");
    }

    @Test
    void aHoldWithTooManyWaysToDenyItIsRefused() {
        List<Requirement> parts = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            parts.add(new Requirement.All(List.of(
                    Requirement.Need.of(Id.of("left-" + i), "Left", 1, Set.of()),
                    Requirement.Need.of(Id.of("right-" + i), "Right", 1, Set.of()))));
        }
        assertThat(places(new MapFixture().situation("a").pin(new Requirement.Any(parts), "a").map()))
                .containsExactly("/holds/0/needs");
    }

    /** What is looked at again after a change finds what looking at everything does; half of the changes do not fit. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void aChangedMapIsJudgedAsIfItWereNew(int seed) {
        Random random = new Random(seed);
        EscapeMap before = RandomMaps.map(random, 8, 3, 3);
        assertThat(MapRules.problems(before)).isEmpty();
        List<Situation> situations = new ArrayList<>(before.situations());
        Reaction reaction = before.reactions().get(random.nextInt(before.reactions().size()));
        Situation one = MapIndex.of(before).situation(reaction.from()).orElseThrow();
        EscapeMap gone = before.with(PartKind.SITUATIONS, situations.stream().filter(s -> s != one).toList());
        EscapeMap twice = before.with(PartKind.REACTIONS, List.of(reaction, reaction));
        EscapeMap asAnOutcome = before.with(new Outcome(one.id(), "The same id", PlaceKind.GUARD, Optional.empty()));
        EscapeMap other = before.with(RandomMaps.map(random, 9, 3, 3).reactions().get(random.nextInt(9)));
        EscapeMap lost = new MapFixture().situation("a").reaction("a", 0.5, "nowhere").map();
        EscapeMap leadsAway = before.with(lost.reactions().get(0));
        for (EscapeMap after : List.of(before, gone, twice, asAnOutcome, other, leadsAway)) {
            assertThat(MapRules.problems(after, before)).isEqualTo(MapRules.problems(after));
        }
        for (EscapeMap after : List.of(gone, twice, asAnOutcome, leadsAway)) {
            assertThat(MapRules.problems(after, before)).isNotEmpty();
        }
    }

    /** Only a resting place has no lateness, and only from one is something begun anew. */
    @Test
    void restingPlacesGoWithoutAStageAndFeed() {
        EscapeMap map = new MapFixture().situation("a").resting("b", PlaceKind.GUARD).map();
        List<Situation> bare = map.situations().stream().map(s -> new Situation(s.id(), s.title(), s.family(), Optional.empty(),
                Optional.of(Bearing.ACROSS), s.held(), s.facts(), s.clock(), s.entry(), s.rest(), List.of(Id.of("a")),
                PlaceNotes.NONE, Optional.empty())).toList();
        assertThat(places(map.with(PartKind.SITUATIONS, bare))).containsExactly("/situations/0/stage", "/situations/0/feeds");
    }

    @Test
    void aMapWithoutAnAimHasNoOdds() {
        assertThat(places(EscapeMap.empty("New"))).containsExactly("/aims");
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, -1, 1e9})
    void numbersOutsideAreRefusedEverywhere(double number) {
        Id id = Id.of("x");
        assertThatThrownBy(() -> new Clock(number, id)).hasMessageContaining("must lie between");
        assertThatThrownBy(() -> Likelihood.of(number)).hasMessageContaining("must lie between");
        assertThatThrownBy(() -> Reaction.answer(id, id, id, Map.of(), number, Likelihood.of(0.5), Optional.empty(),
                List.of())).hasMessageContaining("must lie between");
        assertThatThrownBy(() -> new Aim(id, "Aim", Map.of(PlaceKind.GUARD, number), Map.of()))
                .hasMessageContaining("must lie between");
    }

    @Test
    void aChanceAboveOneIsNoWorks() {
        Id id = Id.of("x");
        assertThatThrownBy(() -> Reaction.answer(id, id, id, Map.of(), 1, Likelihood.of(1.5), Optional.empty(), List.of()))
                .hasMessage("How often it works is 1.5; it must lie between 0 and 1.");
        assertThatThrownBy(() -> new Response(id, "They wait", Likelihood.of(0), Optional.empty()))
                .hasMessageContaining("a weight");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "<b>x</b>", "a\nb", "a\u0000b"})
    void titlesAreOnePlainLine(String title) {
        assertThat(Text.TITLE.problem("A title", title)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {"At most 90°", "a < b", "“quoted”", "Knie über die Hüfte"})
    void plainWordsAreFine(String title) {
        assertThat(Text.TITLE.problem("A title", title)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "Upper", "with space", "../etc", "-start", "ä", "<script>"})
    void idsAreStrict(String id) {
        assertThatThrownBy(() -> Id.of(id)).hasMessageContaining("is not an id");
    }

    @Test
    void freeIdsAreReadableAndFree() {
        List<Id> taken = List.of(Id.of("hueft-pruefung"), Id.of("they-post"));
        assertThat(Id.free("They post!", taken::contains)).isEqualTo(Id.of("they-post-2"));
        assertThat(Id.free("???", taken::contains)).isEqualTo(Id.of("part"));
        assertThat(Id.free("Élan vital", taken::contains)).isEqualTo(Id.of("elan-vital"));
    }
}
