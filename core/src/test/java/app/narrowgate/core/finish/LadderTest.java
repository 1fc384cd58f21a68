package app.narrowgate.core.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Requirement.All;
import app.narrowgate.core.map.Requirement.Any;
import app.narrowgate.core.map.Requirement.Built;
import app.narrowgate.core.map.Requirement.Need;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.InTime;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.AgeGroup;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** A choke of four needs, reckoned by hand. */
class LadderTest {

    private static final Offset<Double> EXACT = within(1e-12);

    private static Need need(String id, Stage stage, double likely, double work, String... denied) {
        return new Need(Id.of(id), "Need " + id, work, Stream.of(denied).map(Id::of).collect(Collectors.toSet()),
                new Built(Optional.of(stage), Optional.of(Likelihood.of(likely)), Map.of()), "", List.of());
    }

    /** Written out of order: hands are joined last, and either hip or legs are enough. */
    private static final Requirement CHOKE = new All(List.of(
            need("hands", Stage.LAST_CHANCE, 0.5, 4, "r4"),
            need("arm", Stage.EARLY, 0.8, 1, "r1", "r2"),
            new Any(List.of(need("hip", Stage.SETTLED, 0.6, 2, "r3"), need("legs", Stage.SETTLED, 0.4, 3)))));

    private static Hold choke(Requirement requirement, Hold.Arms... arms) {
        return new Hold(Id.of("choke"), "Choke", Hold.Kind.FINISH, Stream.of("early", "late", "last").map(Id::of).toList(),
                requirement, List.of(), Feeder.NONE, List.of(arms));
    }

    /** Early without a clock: r1 works half the time, r2 always but takes 2 s. Late r3, last r4. */
    private static SolvedMap solved(Hold... holds) {
        EscapeMap map = new MapFixture().situation("early").situation("late", 4, "last").situation("last", 2, "tap")
                .reaction("early", 0.5, "win").reaction("early", 1, "win").reaction("late", 0.8, 1, Map.of(), "win")
                .reaction("last", 0.4, 0.5, Map.of(), "win").map();
        Map<String, Stage> stages = Map.of("early", Stage.EARLY, "late", Stage.SETTLED, "last", Stage.LAST_CHANCE);
        for (Situation s : map.situations()) {
            map = map.with(Situation.of(s.id(), s.title(), s.family(), stages.get(s.id().value()), s.held(), s.facts(),
                    s.clock(), s.entry(), s.rest()));
        }
        for (Hold hold : holds) {
            map = map.with(hold);
        }
        return SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("even")));
    }

    private static Ladder ladder(Requirement requirement) {
        Hold hold = choke(requirement);
        return Ladder.of(solved(hold), hold);
    }

    @Test
    void needsStandInTheOrderInWhichTheyAreBuilt() {
        assertThat(ladder(CHOKE).rungs()).extracting(rung -> rung.need().id().value())
                .containsExactly("arm", "hip", "legs", "hands");
        assertThat(ladder(CHOKE).rungs()).extracting(Ladder.Rung::number).containsExactly(1, 2, 3, 4);
        assertThat(ladder(CHOKE).rungs().get(2).insteadOf()).hasValue(2);
        assertThat(ladder(CHOKE).rungs().get(3).insteadOf()).isEmpty();
    }

    /** Hip or legs: 1 - 0.4 · 0.6 = 0.76. All three: 0.8 · 0.76 · 0.5 = 0.304; with the arm 0.38; with hip 0.5; then 1. */
    @Test
    void itClosesMoreSurelyFromRungToRung() {
        Ladder ladder = ladder(CHOKE);
        assertThat(ladder.closes().getAsDouble()).isCloseTo(0.304, EXACT);
        assertThat(ladder.rungs().stream().map(rung -> rung.closes().getAsDouble()).toList())
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-12 ? 0 : Double.compare(a, b))
                .containsExactly(0.38, 0.5, 0.5, 1.0);
    }

    /** As seen from a stage, what is built before it is met. */
    @Test
    void aStageBeginsWhereTheOneBeforeEnds() {
        assertThat(ladder(CHOKE).stages()).extracting(Ladder.Step::stage)
                .containsExactly(Stage.EARLY, Stage.SETTLED, Stage.LAST_CHANCE);
        assertThat(ladder(CHOKE).stages().stream().map(step -> step.closes().getAsDouble()).toList())
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-12 ? 0 : Double.compare(a, b))
                .containsExactly(0.304, 0.38, 0.5);
    }

    /** r1 takes the arm away half the time, r2 always: 0.304 falls to 0.152 and to 0. */
    @Test
    void anAnswerCountsAsOftenAsItWorks() {
        List<Answer> early = ladder(CHOKE).rungs().get(0).answers();
        assertThat(early).extracting(answer -> answer.reaction().value()).containsExactly("r2", "r1");
        assertThat(early.get(0).closes().getAsDouble()).isCloseTo(0, EXACT);
        assertThat(early.get(1).closes().getAsDouble()).isCloseTo(0.152, EXACT);
        assertThat(early.get(1).gain()).isCloseTo(0.152, EXACT);
    }

    /** Without the hip the legs are left: 0.38 becomes 0.4 · 0.5 = 0.2, as often as r3 works and is in time. */
    @Test
    void anAlternativeIsLeftToThem() {
        Ladder ladder = ladder(CHOKE);
        Answer answer = ladder.rungs().get(1).answers().get(0);
        double thinking = solved().setting().thinking().seconds(1);
        double succeeds = 0.8 * InTime.chance(thinking + 1, 4);
        assertThat(answer.succeeds()).isCloseTo(succeeds, EXACT);
        assertThat(answer.closes().getAsDouble()).isCloseTo(succeeds * 0.2 + (1 - succeeds) * 0.38, EXACT);
    }

    /** By one unit of work: 0.304 for the arm's 1 is more than anything later. */
    @Test
    void theBestOfAStageIsTheMostForItsWork() {
        Ladder ladder = ladder(CHOKE);
        assertThat(ladder.stages()).extracting(step -> step.best().orElseThrow().answer().reaction().value())
                .containsExactly("r2", "r3", "r4");
        assertThat(ladder.most()).contains(Stage.EARLY);
    }

    /** Nothing is taught against the legs: an answer that often works, 0.6 · (0.38 - 0.6 · 0.5). */
    @Test
    void whatNobodyAnswersSaysWhatAnAnswerWouldBring() {
        Ladder.Rung legs = ladder(CHOKE).rungs().get(2);
        assertThat(legs.answers()).isEmpty();
        assertThat(legs.ifAnswered().getAsDouble()).isCloseTo(0.6 * 0.08, EXACT);
        assertThat(ladder(CHOKE).rungs().get(0).ifAnswered()).isEmpty();
    }

    @Test
    void whatStandsForAStageCountsThere() {
        Need loose = new Need(Id.of("weight"), "Weight down", 1, Set.of(), new Built(Optional.of(Stage.EARLY),
                Optional.of(Likelihood.of(0.9)), Map.of(Stage.LAST_CHANCE, Likelihood.of(0.7))), "", List.of());
        assertThat(ladder(loose).stages().stream().map(step -> step.closes().getAsDouble()).toList())
                .containsExactly(0.9, 1.0, 0.7);
    }

    @Test
    void withoutChancesTheLadderStillStands() {
        Ladder ladder = ladder(new All(List.of(Trees.need("one", 2, "r3"), need("two", Stage.SETTLED, 0.5, 1, "r4"))));
        assertThat(ladder.closes()).isEmpty();
        assertThat(ladder.rungs()).extracting(rung -> rung.need().id().value()).containsExactly("two", "one");
        assertThat(ladder.rungs()).allSatisfy(rung -> assertThat(rung.closes()).isEqualTo(OptionalDouble.empty()));
        assertThat(ladder.stages().get(1).best().orElseThrow().answer().reaction()).isEqualTo(Id.of("r3"));
        assertThat(ladder.most()).isEmpty();
    }

    /** Children's finishes are never closed in practice (common practice, no source); a pin may be held. */
    @Test
    void nobodyClosesAFinishOnChildren() {
        Hold hold = choke(CHOKE);
        SolvedMap adults = solved(hold);
        Matchup even = Matchup.EVEN;
        Matchup children = new Matchup(even.id(), even.title(), even.weightGap(), even.heightGap(), even.jacket(), even.setting(),
                AgeGroup.CHILDREN, even.level(), even.injuries(), even.facts());
        assertThat(Ladder.of(adults, hold).neverClosed()).isFalse();
        assertThat(Ladder.of(adults.under(adults.setting().withMatchup(children)), hold).neverClosed()).isTrue();
        Hold pin = Hold.of(Id.of("pin"), "Pin", Hold.Kind.PIN, List.of(), CHOKE);
        assertThat(Ladder.of(adults.under(adults.setting().withMatchup(children)), pin).neverClosed()).isFalse();
    }

    @Test
    void whatIsTakenAwayForAQuestionIsNotOffered() {
        Hold hold = choke(CHOKE);
        SolvedMap without = solved(hold).without(Set.of(Id.of("r2")));
        assertThat(Ladder.of(without, hold).rungs().get(0).answers()).extracting(a -> a.reaction().value())
                .containsExactly("r1");
    }

    /** Arms that deny the arm round the neck leave no rung; those that deny one alternative leave the others. */
    @Test
    void armsLeaveWhatTheyDoNotDeny() {
        Hold.Arms tight = new Hold.Arms(Id.of("tight"), "Elbows in", Set.of(Id.of("arm")), Set.of());
        Hold.Arms low = new Hold.Arms(Id.of("low"), "Hands low", Set.of(Id.of("hip")), Set.of(Id.of("arm"), Id.of("chest")));
        Hold hold = choke(CHOKE, tight, low);
        Hold other = Hold.of(Id.of("pin"), "Pin", Hold.Kind.PIN, List.of(), need("chest", Stage.EARLY, 0.5, 1));
        List<ArmsCompared> compared = ArmsCompared.of(solved(hold, other), hold);

        ArmsCompared.Left elbows = compared.get(0).left().get(0);
        assertThat(compared.get(0).left()).as("the pin is not on there, and these arms leave it alone").hasSize(1);
        assertThat(elbows.cannot()).isTrue();
        assertThat(elbows.free()).isEmpty();
        assertThat(elbows.closes().getAsDouble()).isZero();
        assertThat(elbows.before().getAsDouble()).isCloseTo(0.304, EXACT);

        ArmsCompared.Left hands = compared.get(1).left().get(0);
        assertThat(hands.free()).containsExactly(1, 3, 4);
        assertThat(hands.cannot()).isFalse();
        assertThat(hands.closes().getAsDouble()).as("the arm is given: 0.4 · 0.5").isCloseTo(0.2, EXACT);
        assertThat(compared.get(1).left().get(1).hold()).isEqualTo(other);
        assertThat(compared.get(1).left().get(1).closes().getAsDouble()).isEqualTo(1);
    }
}
