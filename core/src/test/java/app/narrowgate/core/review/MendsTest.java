package app.narrowgate.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.map.Word;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.PartnerRead;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A mend makes its finding go away and leaves the rest of the map alone. */
class MendsTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    private static Finding only(Finding.Kind kind, EscapeMap map, Setting setting) {
        List<Finding> found = MapReview.of(SolvedMap.of(MapIndex.of(map), setting)).stream().filter(f -> f.kind() == kind).toList();
        assertThat(found).hasSize(1);
        return found.get(0);
    }

    private static void assertMended(EscapeMap map, Finding finding, String mend, Setting setting) {
        EscapeMap mended = Mends.apply(MapIndex.of(map), finding, mend);
        assertThat(MapReview.of(SolvedMap.of(MapIndex.of(mended), setting))).extracting(Finding::kind).doesNotContain(finding.kind());
    }

    private static EscapeMap contradicting() {
        EscapeMap map = new MapFixture().fact("blocked").situation("pin").reaction("pin", 0.5, "win")
                .reaction("pin", 0.5, "win").map();
        Principle principle = new Principle(Id.of("hand"), "Near hand",
                List.of(new Principle.Stance(Id.of("hip"), "At the hip"), new Principle.Stance(Id.of("arm"), "On the arm")));
        return map.with(principle).with(stance("low", "hip")).with(stance("high", "arm"))
                .with(with(map.reactions().get(0), "low")).with(with(map.reactions().get(1), "high"));
    }

    private static Technique stance(String id, String stance) {
        Technique t = Technique.named(Id.of(id), "Technique " + id);
        return new Technique(t.id(), t.title(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                Optional.of(new StanceRef(Id.of("hand"), Id.of(stance))), Level.NOVICE, true, Set.of(), Set.of());
    }

    private static Reaction with(Reaction r, String technique) {
        return Reaction.answer(r.id(), r.from(), Id.of(technique), r.needs(), r.seconds(), r.works(), r.stuffed(),
                r.responses());
    }

    @ParameterizedTest
    @ValueSource(strings = {"take-stance:hip", "take-stance:arm"})
    void aStanceTakenEndsTheMixedMessage(String mend) {
        EscapeMap map = contradicting();
        Finding finding = only(Finding.Kind.MIXED_MESSAGE, map, EVEN);
        EscapeMap mended = Mends.apply(MapIndex.of(map), finding, mend);
        Setting house = new Setting(EVEN.aim(), PartnerRead.NONE, 0, EVEN.thinking(), Matchup.EVEN, mended.houseStances(), Set.of());
        assertThat(MapReview.of(SolvedMap.of(MapIndex.of(mended), house))).extracting(Finding::kind)
                .doesNotContain(Finding.Kind.MIXED_MESSAGE);
    }

    /** Elsewhere the one stance, at the hip, is taught where the arm is blocked or only where it is not. */
    private static EscapeMap toldApartElsewhere(boolean atTheHipWhenBlocked) {
        EscapeMap map = contradicting();
        EscapeMap more = new MapFixture().fact("blocked").situation("pin").reaction("pin", 0.5, "win")
                .reaction("pin", 0.5, "win").situation("mount").reaction("mount", 0.5, "win").map();
        Reaction there = more.reactions().get(2);
        return map.with(more.situations().get(1)).with(Reaction.answer(there.id(), there.from(), Id.of("low"),
                Map.of(Id.of("blocked"), atTheHipWhenBlocked), there.seconds(), there.works(), there.stuffed(),
                there.responses()));
    }

    @Test
    void aConditionThatTellsTheStancesApartElsewhereIsOfferedToTheStanceThatItGoesWith() {
        EscapeMap map = toldApartElsewhere(true);
        Finding finding = only(Finding.Kind.MIXED_MESSAGE, map, EVEN);
        String mend = "separate:r1:blocked";
        assertThat(Mends.of(MapIndex.of(map), finding)).extracting(Mends.Mend::id)
                .containsExactly("take-stance:hip", "take-stance:arm", mend);
        assertMended(map, finding, mend, EVEN);
        Mends.apply(MapIndex.of(map), finding, mend).reactions().stream().filter(r -> r.from().value().equals("pin"))
                .forEach(r -> assertThat(r.needs()).containsEntry(Id.of("blocked"), r.id().value().equals("r1")));
        EscapeMap against = toldApartElsewhere(false);
        assertThat(Mends.of(MapIndex.of(against), only(Finding.Kind.MIXED_MESSAGE, against, EVEN)))
                .extracting(Mends.Mend::id).doesNotContain(mend);
    }

    @Test
    void aConditionThatTellsNothingApartIsNotOffered() {
        EscapeMap map = contradicting();
        Finding finding = only(Finding.Kind.MIXED_MESSAGE, map, EVEN);
        assertThat(Mends.of(MapIndex.of(map), finding)).extracting(Mends.Mend::id)
                .containsExactly("take-stance:hip", "take-stance:arm");
    }

    @ParameterizedTest
    @EnumSource(Injury.class)
    void aCautionIsWritten(Injury injury) {
        EscapeMap bare = new MapFixture().situation("pin").reaction("pin", 0.5, "win").map();
        Technique t = bare.techniques().get(0);
        EscapeMap map = bare.with(new Technique(t.id(), t.title(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                Optional.empty(), Level.NOVICE, true, Set.of(injury), Set.of()));
        Finding finding = only(Finding.Kind.MISSING_CAUTION, map, EVEN);
        assertMended(map, finding, "write-caution", EVEN);
        assertThat(Mends.apply(MapIndex.of(map), finding, "write-caution").techniques().get(0).cautions())
                .hasSize(1).allSatisfy(caution -> assertThat(caution).isNotBlank());
    }

    @Test
    void aFinishIsKeptFromChildren() {
        EscapeMap map = new MapFixture().outcome("lock", PlaceKind.COUNTER).situation("pin")
                .reaction("pin", 0.5, "lock").map();
        Matchup children = new Matchup(Id.of("kids"), "Children", 0, 0, false, Occasion.SPORT, AgeGroup.CHILDREN,
                Level.NOVICE, Set.of(), Map.of());
        Setting setting = new Setting(EVEN.aim(), PartnerRead.NONE, 0, EVEN.thinking(), children, Map.of(), Set.of());
        assertMended(map, only(Finding.Kind.FORBIDDEN_FINISH, map, setting), "not-for-children", setting);
    }

    @Test
    void roundsStartWhereNothingLeads() {
        EscapeMap map = new MapFixture().situation("pin").reaction("pin", 0.5, "win").situation("lost")
                .reaction("lost", 0.5, "win").map();
        EscapeMap unreachable = map.with(map.situations().get(1).withEntry(0));
        assertMended(unreachable, only(Finding.Kind.UNREACHABLE, unreachable, EVEN), "start-here", EVEN);
    }

    @Test
    void whatOnlyACoachKnowsHasNoMend() {
        EscapeMap map = new MapFixture().situation("pin").reaction("pin", 0.5, "win", "").map();
        Finding finding = only(Finding.Kind.UNANSWERED_RESPONSE, map, EVEN);
        assertThat(Mends.of(MapIndex.of(map), finding)).isEmpty();
        assertThatThrownBy(() -> Mends.apply(MapIndex.of(map), finding, "leave-out"))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("look at it again");
    }

    /** Against the map with the question put in: answered with a guard, and left open. */
    @Test
    void aQuestionIsWorthWhatItsAnswerWouldGain() {
        EscapeMap map = new MapFixture().resting("guard", PlaceKind.GUARD).situation("pin")
                .reaction("pin", 0.5, "win*6", "tap*3").map();
        // Only the pin is started from, so that its worth is the worth of the starts.
        map = map.with(map.situations().get(0).withEntry(0));
        double estimate = new AnswerWorth(SolvedMap.of(MapIndex.of(map), EVEN)).of(Id.of("pin")).orElseThrow();
        double open = start(asked(map, Optional.empty()));
        double answered = start(asked(map, Optional.of(Id.of("guard"))));
        assertThat(estimate).isPositive().isCloseTo(answered - open, within(0.1));
        assertThat(new AnswerWorth(SolvedMap.of(MapIndex.of(map), EVEN)).of(Id.of("nowhere"))).isEmpty();
    }

    private static double start(EscapeMap map) {
        return OddsSolver.solve(MapIndex.of(map), EVEN).start();
    }

    private static EscapeMap asked(EscapeMap map, Optional<Id> leads) {
        return map.with(map.reactions().get(0).withResponse(
                new Response(Id.of("new"), "They do something else", Likelihood.of(Word.SOMETIMES), leads)));
    }
}
