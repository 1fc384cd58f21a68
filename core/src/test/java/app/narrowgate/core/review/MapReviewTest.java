package app.narrowgate.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Each kind of finding on the smallest map that has it, and not on the mended one. */
class MapReviewTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));
    private static final Id HAND = Id.of("hand");

    private static List<Finding> of(Finding.Kind kind, EscapeMap map, Setting setting) {
        return MapReview.of(SolvedMap.of(MapIndex.of(map), setting)).stream().filter(f -> f.kind() == kind).toList();
    }

    @Test
    void theUnansweredAloneAreTheSameAsInTheWholeReview() {
        EscapeMap map = new MapFixture().situation("a").reaction("a", 0.5, "win", "", "tap").situation("b")
                .reaction("b", 0.4, "", "a").map();
        assertThat(MapReview.unanswered(SolvedMap.of(MapIndex.of(map), EVEN))).hasSize(2)
                .isEqualTo(of(Finding.Kind.UNANSWERED_RESPONSE, map, EVEN));
    }

    private static List<String> places(Finding.Kind kind, EscapeMap map) {
        return of(kind, map, EVEN).stream().map(f -> f.place().value()).toList();
    }

    private static EscapeMap with(EscapeMap map, List<Movement> movements, List<Principle> principles) {
        return map.with(PartKind.PRINCIPLES, principles).with(PartKind.MOVEMENTS, movements)
                .with(PartKind.MATCHUPS, List.of()).with(PartKind.HOLDS, List.of());
    }

    private static Technique technique(String id, List<String> movements, Optional<StanceRef> stance,
            List<String> cautions, Set<Injury> avoidWith) {
        return new Technique(Id.of(id), "Technique " + id, List.of(), movements.stream().map(Id::of).toList(), List.of(),
                List.of(), List.of(), cautions, stance, Level.NOVICE, true, avoidWith, Set.of());
    }

    private static Reaction reaction(String id, String technique, Map<Id, Boolean> needs) {
        return Reaction.answer(Id.of(id), Id.of("a"), Id.of(technique), needs, 1, Likelihood.of(0.5), Optional.empty(),
                List.of(new Response(Id.of("over"), "They fall", Likelihood.of(1), Optional.of(Id.of("win")))));
    }

    @Test
    void deadEndsAndSingleRoutes() {
        EscapeMap map = new MapFixture().situation("none").situation("one").situation("two")
                .reaction("one", 1, "win").reaction("two", 1, "win").reaction("two", 0.9, "win").map();
        assertThat(places(Finding.Kind.DEAD_END, map)).containsExactly("none");
        assertThat(places(Finding.Kind.SINGLE_ROUTE, map)).containsExactly("one");
    }

    /** The stated gain against solving the map in which the hole leads to a guard. */
    @Test
    void anUnansweredResponseAndWhatItCosts() {
        MapFixture hole = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a", 5, "tap")
                .reaction("a", 0.6, 1, Map.of(), "win*2", "tap*4", "*2");
        List<Finding> found = of(Finding.Kind.UNANSWERED_RESPONSE, hole.map(), EVEN);
        assertThat(found).hasSize(1);
        Finding finding = found.get(0);
        assertThat(finding.response()).contains(Id.of("r1-3"));
        Reaction open = hole.map().reactions().get(0);
        EscapeMap mended = hole.map().with(open.withResponse(open.responses().get(2).leadingTo(Id.of("guard"))));
        double before = OddsSolver.solve(MapIndex.of(hole.map()), EVEN).start();
        double after = OddsSolver.solve(MapIndex.of(mended), EVEN).start();
        assertThat(finding.gain().orElseThrow()).isGreaterThanOrEqualTo(after - before - 1e-9)
                .isCloseTo(after - before, within(0.05));
        assertThat(places(Finding.Kind.UNANSWERED_RESPONSE, mended)).isEmpty();
    }

    /** What is at stake against solving the map from which the one way out has been struck. */
    @Test
    void aSingleRouteSaysWhatHangsOnIt() {
        EscapeMap map = new MapFixture().situation("one", 5, "tap").situation("two")
                .reaction("one", 0.6, 1, Map.of(), "win*2", "two").reaction("two", 0.5, "win").reaction("two", 0.4, "win")
                .map();
        List<Finding> found = of(Finding.Kind.SINGLE_ROUTE, map, EVEN);
        assertThat(found).hasSize(1);
        double lost = OddsSolver.solve(MapIndex.of(map), EVEN).start()
                - OddsSolver.solve(MapIndex.of(map.without(PartKind.REACTIONS, Id.of("r1"))), EVEN).start();
        assertThat(found.get(0).stake().orElseThrow()).isPositive().isCloseTo(lost, within(1e-6));
        assertThat(found.get(0).gain()).isEmpty();
    }

    /** The stated gain against solving the map in which the dead end has a sure way to a guard. */
    @Test
    void aDeadEndSaysWhatAnAnswerWouldBring() {
        MapFixture fixture = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a").situation("end", 4, "tap")
                .reaction("a", 0.5, "win", "end");
        Finding finding = of(Finding.Kind.DEAD_END, fixture.map(), EVEN).get(0);
        double before = OddsSolver.solve(MapIndex.of(fixture.map()), EVEN).start();
        EscapeMap mended = fixture.reaction("end", 1, "guard").map();
        double after = OddsSolver.solve(MapIndex.of(mended), EVEN.withThinking(ThinkingTime.NONE).withLate(0)).start();
        assertThat(after).isGreaterThan(before);
        assertThat(finding.gain().orElseThrow()).isGreaterThanOrEqualTo(after - before - 1e-6)
                .isCloseTo(after - before, within(0.1));
    }

    @Test
    void thoseThatGainMostComeFirstThenThoseWithMostAtStake() {
        EscapeMap map = new MapFixture().situation("a").situation("b").situation("c", 5, "tap")
                .reaction("a", 0.9, "win").reaction("b", 0.3, "win").reaction("c", 0.5, 1, Map.of(), "win", "", "tap")
                .reaction("c", 0.1, "tap").map();
        List<Finding> all = MapReview.of(SolvedMap.of(MapIndex.of(map), EVEN));
        assertThat(all).isSortedAccordingTo(Finding.BY_COST);
        assertThat(all).extracting(Finding::kind)
                .startsWith(Finding.Kind.NO_EARLY_ANSWER, Finding.Kind.UNANSWERED_RESPONSE);
        assertThat(all.stream().filter(f -> f.kind() == Finding.Kind.SINGLE_ROUTE).map(f -> f.place().value()))
                .containsExactly("a", "b");
    }

    /** Against the map in which their answer to it is a guard. */
    @Test
    void aReactionNobodyAnswersSaysWhatAnAnswerWouldBring() {
        MapFixture fixture = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a", 6, "tap");
        EscapeMap silent = fixture.reaction("a", 0.7, 1, Map.of()).map();
        List<Finding> found = of(Finding.Kind.NO_RESPONSE, silent, EVEN);
        assertThat(found).extracting(f -> f.place().value()).containsExactly("r1");
        Reaction open = silent.reactions().get(0);
        EscapeMap answered = silent.with(open.withResponse(new Response(Id.of("they-fall"), "They fall",
                Likelihood.of(1), Optional.of(Id.of("guard")))));
        double after = OddsSolver.solve(MapIndex.of(answered), EVEN).start();
        double before = OddsSolver.solve(MapIndex.of(silent), EVEN).start();
        assertThat(found.get(0).gain().orElseThrow()).isPositive().isCloseTo(after - before, within(1e-6));
    }

    @Test
    void aLoopTheyCanHoldForEver() {
        EscapeMap map = new MapFixture().situation("a").situation("b").situation("c")
                .reaction("a", 1, "b", "win").reaction("b", 1, "a").reaction("c", 1, "win", "tap").map();
        assertThat(places(Finding.Kind.ENDLESS_LOOP, map)).containsExactly("a", "b");
    }

    /** Against the map in which one place of the loop has a sure way to a guard. */
    @Test
    void aLoopSaysWhatAWayOutOfItWouldBring() {
        MapFixture fixture = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a", 6, "b").situation("b", 6, "a")
                .reaction("a", 0.8, "b", "tap").reaction("b", 0.8, "a", "tap");
        Finding finding = of(Finding.Kind.ENDLESS_LOOP, fixture.map(), EVEN).get(0);
        double before = OddsSolver.solve(MapIndex.of(fixture.map()), EVEN).start();
        EscapeMap mended = fixture.reaction(finding.place().value(), 1, "guard").map();
        double after = OddsSolver.solve(MapIndex.of(mended), EVEN.withThinking(ThinkingTime.NONE)).start();
        assertThat(after).isGreaterThan(before);
        assertThat(finding.gain().orElseThrow()).isGreaterThanOrEqualTo(after - before - 1e-6);
    }

    /** Against the map in which those who start there have a sure way to a guard. */
    @Test
    void aFamilyWithoutAnEarlyAnswerSaysWhatItWouldBring() {
        MapFixture fixture = new MapFixture().outcome("guard", PlaceKind.GUARD).situation("a", 4, "tap").situation("b")
                .reaction("a", 0.3, "guard").reaction("b", 1, "guard");
        double gain = of(Finding.Kind.NO_EARLY_ANSWER, fixture.map(), EVEN).get(0).gain().orElseThrow();
        double before = OddsSolver.solve(MapIndex.of(fixture.map()), EVEN).start();
        double after = OddsSolver.solve(MapIndex.of(new MapFixture().outcome("guard", PlaceKind.GUARD)
                .situation("a").situation("b").reaction("a", 1, "guard").reaction("b", 1, "guard").map()), EVEN).start();
        assertThat(gain).isPositive().isCloseTo(after - before, within(1e-6));
    }

    @Test
    void anUnreachablePlace() {
        EscapeMap map = new MapFixture().situation("a").reaction("a", 1, "win").map();
        Situation lost = Situation.of(Id.of("lost"), "Lost", Id.of("family"), Stage.EARLY, Map.of(), Map.of(),
                Optional.empty(), 0, Optional.empty());
        assertThat(places(Finding.Kind.UNREACHABLE, map.with(lost))).containsExactly("lost");
    }

    @Test
    void aFamilyWithoutAnEarlyAnswer() {
        EscapeMap late = new MapFixture().situation("a").reaction("a", 1, "win").map();
        assertThat(places(Finding.Kind.NO_EARLY_ANSWER, late)).containsExactly("family");
        EscapeMap early = late.with(Situation.of(Id.of("e"), "Early", Id.of("family"), Stage.EARLY, Map.of(), Map.of(),
                Optional.empty(), 1, Optional.empty()));
        assertThat(places(Finding.Kind.NO_EARLY_ANSWER, early)).containsExactly("family");
        EscapeMap answered = early.with(Reaction.answer(Id.of("re"), Id.of("e"), Id.of("technique"), Map.of(), 1,
                Likelihood.of(1), Optional.empty(), List.of()));
        assertThat(places(Finding.Kind.NO_EARLY_ANSWER, answered)).isEmpty();
    }

    @Test
    void aLimbThatIsHeld() {
        Situation held = Situation.of(Id.of("a"), "A", Id.of("family"), Stage.EARLY,
                Map.of(Segment.NEAR_ARM, "their knee", Segment.FAR_ARM, "their knee"), Map.of(), Optional.empty(), 1,
                Optional.empty());
        Movement frame = Movement.named(Id.of("frame"), "Frame", Set.of(Segment.NEAR_ARM, Segment.FAR_ARM), Set.of());
        EscapeMap map = with(new MapFixture().map().with(held)
                .with(technique("t", List.of("frame"), Optional.empty(), List.of(), Set.of()))
                .with(reaction("r", "t", Map.of())), List.of(frame), List.of());
        assertThat(places(Finding.Kind.HELD_LIMB, map)).containsExactly("r");
    }

    /** A principle whose stances “low” and “high” are each taken by the technique of that name. */
    private static EscapeMap withTwoStances(EscapeMap map) {
        Principle hand = new Principle(HAND, "Hand", List.of(new Principle.Stance(Id.of("low"), "Low"),
                new Principle.Stance(Id.of("high"), "High")));
        EscapeMap taught = map;
        for (Principle.Stance stance : hand.stances()) {
            taught = taught.with(technique(stance.id().value(), List.of(),
                    Optional.of(new StanceRef(HAND, stance.id())), List.of(), Set.of()));
        }
        return with(taught, List.of(), List.of(hand));
    }

    @Test
    void aMixedMessageUntilAConditionSeparates() {
        EscapeMap base = withTwoStances(new MapFixture().fact("f").situation("a").map());
        EscapeMap mixed = base.with(reaction("r1", "low", Map.of())).with(reaction("r2", "high", Map.of()));
        assertThat(places(Finding.Kind.MIXED_MESSAGE, mixed)).containsExactly("a");
        assertThat(of(Finding.Kind.MIXED_MESSAGE, mixed, EVEN.withStances(Map.of(HAND, Id.of("low"))))).isEmpty();
        EscapeMap separated = base.with(reaction("r1", "low", Map.of(Id.of("f"), true)))
                .with(reaction("r2", "high", Map.of(Id.of("f"), false)));
        assertThat(places(Finding.Kind.MIXED_MESSAGE, separated)).isEmpty();
    }

    /** Against the map without the other stance's answer: fewer to choose from, more time. */
    @Test
    void aMixedMessageSaysWhatTheBetterStanceBrings() {
        EscapeMap mixed = withTwoStances(new MapFixture().situation("a", 2, "tap").map())
                .with(reaction("r1", "low", Map.of())).with(reaction("r2", "high", Map.of()));
        double gain = of(Finding.Kind.MIXED_MESSAGE, mixed, EVEN).get(0).gain().orElseThrow();
        double before = OddsSolver.solve(MapIndex.of(mixed), EVEN).start();
        double after = OddsSolver.solve(MapIndex.of(mixed.without(PartKind.REACTIONS, Id.of("r2"))), EVEN).start();
        assertThat(gain).isPositive().isCloseTo(after - before, within(1e-6));
        assertThat(of(Finding.Kind.MIXED_MESSAGE, mixed, EVEN.withThinking(ThinkingTime.NONE)).get(0).gain())
                .hasValue(0);
    }

    @Test
    void oneAnswerTooMany() {
        EscapeMap map = new MapFixture().situation("a", 2, "tap").reaction("a", 0.5, "win").reaction("a", 0.1, "win").map();
        assertThat(places(Finding.Kind.OVERLOAD, map)).containsExactly("r2");
    }

    @Test
    void whatCanHurtNeedsACaution() {
        EscapeMap map = new MapFixture().map()
                .with(technique("bare", List.of(), Optional.empty(), List.of(), Set.of(Injury.NECK)))
                .with(technique("said", List.of(), Optional.empty(), List.of("Mind the knee."), Set.of(Injury.KNEE)))
                .with(technique("wrist", List.of(), Optional.empty(), List.of(), Set.of(Injury.WRIST)));
        assertThat(places(Finding.Kind.MISSING_CAUTION, map)).containsExactly("bare", "wrist");
    }

    @Test
    void childrenDoNotFinish() {
        EscapeMap map = new MapFixture().outcome("lock", PlaceKind.COUNTER).situation("a").reaction("a", 1, "lock").map();
        Matchup children = new Matchup(Id.of("children"), "Children", 0, 0, false,
                Occasion.SPORT, AgeGroup.CHILDREN, Level.NOVICE, Set.of(), Map.of());
        assertThat(of(Finding.Kind.FORBIDDEN_FINISH, map, EVEN.withMatchup(children))).hasSize(1);
        assertThat(places(Finding.Kind.FORBIDDEN_FINISH, map)).isEmpty();
    }

    @Test
    void aComparisonNamesTheBiggestChangeFirst() {
        EscapeMap before = new MapFixture().situation("a").situation("b").situation("c")
                .reaction("a", 1, "win", "tap").reaction("b", 1, "win*3", "tap").reaction("c", 1, "win").map();
        EscapeMap after = before.with(before.reactions().get(0).withoutResponse(Id.of("r1-2")))
                .with(before.reactions().get(1).withResponse(
                        new Response(Id.of("r2-2"), "They answer", Likelihood.of(2), Optional.of(Id.of("tap")))));
        Comparison comparison = compared(before, after);
        assertThat(comparison.situations()).extracting(c -> c.situation().value()).containsExactly("a", "b");
        assertThat(comparison.situations().get(0).difference()).isCloseTo(0.5, within(1e-6));
        assertThat(comparison.startAfter()).isGreaterThan(comparison.startBefore());
    }

    @Test
    void aComparisonNamesTheHolesThatAreGoneAndThoseThatHaveCome() {
        EscapeMap before = new MapFixture().situation("a").situation("b").reaction("a", 1, "win", "").reaction("b", 1, "win")
                .map();
        EscapeMap after = before
                .with(before.reactions().get(0).withResponse(before.reactions().get(0).responses().get(1).leadingTo(Id.of("tap"))))
                .without(PartKind.REACTIONS, Id.of("r2"));
        Comparison comparison = compared(before, after);
        assertThat(comparison.gone()).extracting(Finding::kind).contains(Finding.Kind.UNANSWERED_RESPONSE)
                .doesNotContain(Finding.Kind.DEAD_END);
        assertThat(comparison.come()).extracting(f -> f.kind() + " " + f.place()).contains("DEAD_END b");
    }

    private static Comparison compared(EscapeMap before, EscapeMap after) {
        SolvedMap one = SolvedMap.of(MapIndex.of(before), EVEN);
        SolvedMap other = SolvedMap.of(MapIndex.of(after), EVEN);
        return Comparison.of(one, MapReview.of(one), other, MapReview.of(other));
    }

    /** A technique and a reaction may share an id; whoever looks a finding up must know which of them it is about. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyFindingIsAboutAPartOfTheKindThatItSays(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 10, 3, 3));
        List<Finding> findings = MapReview.of(SolvedMap.of(index, EVEN));
        assertThat(findings).isNotEmpty()
                .allMatch(finding -> index.part(finding.kind().about(), finding.place()).isPresent());
    }
}
