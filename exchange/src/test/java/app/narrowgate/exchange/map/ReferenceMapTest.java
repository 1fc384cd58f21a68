package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.advice.LateCurve;
import app.narrowgate.core.finish.Denials;
import app.narrowgate.core.gate.CutSearch;
import app.narrowgate.core.gate.SmallestCut;
import app.narrowgate.core.held.LikelySituations;
import app.narrowgate.core.held.Marks;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Lean;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.review.Finding;
import app.narrowgate.core.review.MapReview;
import app.narrowgate.core.round.Passing;
import app.narrowgate.core.solve.PartnerRead;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What any coach would expect of the solved demo map. All of it is common practice; there is no source. */
class ReferenceMapTest {

    private static final MapIndex INDEX = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
    private static final Setting SETTING = Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5);

    private static double worth(String situation, Setting setting) {
        return OddsSolver.solve(INDEX, setting).at(Id.of(situation)).worth();
    }

    private static OptionalDouble mean(Family family, Stage stage, Odds odds) {
        return INDEX.map().situations().stream()
                .filter(s -> s.family().equals(family.id()) && s.isAt(stage))
                .mapToDouble(s -> odds.at(s.id()).worth()).average();
    }

    @Test
    void oddsFallFromEarlyToLastChanceInEveryFamily() {
        Odds odds = OddsSolver.solve(INDEX, SETTING);
        for (Family family : INDEX.map().families()) {
            if (family.id().equals(Id.of("guard"))) {
                continue; // places to rest in, not stages of one hold
            }
            double before = 1;
            for (Stage stage : Stage.values()) {
                OptionalDouble now = mean(family, stage, odds);
                if (now.isPresent()) {
                    assertThat(now.getAsDouble()).as("%s, %s", family.title(), stage).isLessThanOrEqualTo(before);
                    before = now.getAsDouble();
                }
            }
        }
    }

    @Test
    void startingLaterNeverHelps() {
        LateCurve.of(SolvedMap.of(INDEX, SETTING)).situations().forEach((situation, worth) -> {
            for (int i = 1; i < worth.size(); i++) {
                assertThat(worth.get(i)).as("%s at step %d", situation, i).isLessThanOrEqualTo(worth.get(i - 1) + 1e-6);
            }
        });
    }

    @ParameterizedTest
    @ValueSource(doubles = {10, 25, 40, 60})
    void aMuchHeavierPartnerNeverHelpsAStrengthAnswer(double kilograms) {
        Odds even = OddsSolver.solve(INDEX, SETTING);
        Odds heavy = OddsSolver.solve(INDEX, SETTING.withMatchup(Matchup.EVEN.withWeightGap(kilograms)));
        for (Reaction reaction : INDEX.map().reactions()) {
            if (INDEX.technique(reaction.technique()).orElseThrow().leansOn().contains(Lean.STRENGTH)) {
                assertThat(of(heavy, reaction).worth()).as(reaction.id().value())
                        .isLessThanOrEqualTo(of(even, reaction).worth() + 1e-6);
            }
        }
    }

    private static ReactionOdds of(Odds odds, Reaction reaction) {
        return odds.at(reaction.from()).reactions().stream()
                .filter(r -> r.reaction().equals(reaction.id())).findFirst().orElseThrow();
    }

    @Test
    void withoutATrappedArmTheBridgeFails() {
        Reaction upright = INDEX.reaction(Id.of("upright-trap-bridge")).orElseThrow();
        assertThat(of(OddsSolver.solve(INDEX, SETTING), upright).closedBy())
                .contains(new Closing(Closing.Kind.FACT, "arm-to-trap"));
    }

    @Test
    void forAMuchSmallerPlayerGivingTheBackBeatsBeingMounted() {
        Setting small = new Setting(Id.of("smaller-player"), new PartnerRead(0.25), 0.5, SETTING.thinking(),
                INDEX.matchup(Id.of("much-heavier")).orElseThrow(), SETTING.stances(), Set.of());
        assertThat(worth("back-loose", small)).isGreaterThan(worth("mount-low", small));
    }

    @Test
    void halfGuardIsWorthTakingWhenTheBackWouldBeKept() {
        for (String back : List.of("back-joined", "back-overhook-side", "back-underhook-side", "back-body-triangle")) {
            assertThat(worth("half-guard", SETTING)).isGreaterThan(worth(back, SETTING));
        }
    }

    @Test
    void theTriangleAnswerWorksAtEveryStageButWorseEachTime() {
        double open = worth("triangle-open", SETTING);
        double closing = worth("triangle-closing", SETTING);
        double locked = worth("triangle-locked", SETTING);
        assertThat(open).isGreaterThan(closing);
        assertThat(closing).isGreaterThan(locked);
        assertThat(locked).isPositive();
    }

    @ParameterizedTest
    @EnumSource(value = Finding.Kind.class, names = {"DEAD_END", "NO_RESPONSE", "UNREACHABLE", "ENDLESS_LOOP"})
    void theMapHasNoRoughHoles(Finding.Kind kind) {
        assertThat(MapReview.of(SolvedMap.of(INDEX, SETTING))).filteredOn(f -> f.kind() == kind).isEmpty();
    }

    @Test
    void nothingOnTheMapIsUnused() {
        EscapeMap map = INDEX.map();
        Set<Id> places = new HashSet<>();
        Set<Id> techniques = new HashSet<>();
        map.reactions().forEach(r -> {
            techniques.add(r.technique());
            r.stuffed().ifPresent(places::add);
            r.responses().forEach(a -> a.leads().ifPresent(places::add));
        });
        map.situations().forEach(s -> s.clock().ifPresent(c -> places.add(c.becomes())));
        assertThat(map.outcomes()).extracting(Outcome::id).allMatch(places::contains);
        assertThat(map.techniques()).extracting(Technique::id).allMatch(techniques::contains);
        Set<Id> families = new HashSet<>();
        map.situations().forEach(s -> families.add(s.family()));
        assertThat(map.families()).extracting(Family::id).allMatch(families::contains);
    }

    @Test
    void noSentenceStandsTwiceWhereASharedTechniqueWouldDo() {
        List<String> sentences = INDEX.map().techniques().stream()
                .flatMap(t -> Stream.concat(t.checkpoints().stream(),
                        t.faults().stream().map(f -> f.sign() + f.cause() + f.fix()))).toList();
        assertThat(sentences).doesNotHaveDuplicates();
        assertThat(INDEX.map().techniques()).extracting(Technique::title).doesNotHaveDuplicates();
        assertThat(INDEX.map().situations()).extracting(Situation::title).doesNotHaveDuplicates();
    }

    @Test
    void theInventedFiguresAreSaidToBeInvented() {
        assertThat(INDEX.map().about()).contains("invented");
    }

    @Test
    void everyTechniqueCanBeTaughtFromThePage() {
        for (Technique technique : INDEX.map().techniques()) {
            assertThat(technique.checkpoints()).as(technique.title()).isNotEmpty();
            assertThat(technique.faults()).as(technique.title()).isNotEmpty()
                    .allSatisfy(f -> assertThat(f.fix()).isNotBlank());
            assertThat(technique.questions()).as(technique.title()).isNotEmpty()
                    .allSatisfy(q -> assertThat(q.answer()).isNotBlank());
        }
    }

    @Test
    void noSentenceIsSaidTwice() {
        List<String> sentences = new ArrayList<>();
        for (Technique technique : INDEX.map().techniques()) {
            sentences.addAll(technique.checkpoints());
            technique.questions().forEach(q -> sentences.addAll(List.of(q.ask() + technique.title(), q.answer())));
            technique.faults().forEach(f -> sentences.addAll(List.of(f.cause() + f.fix())));
        }
        assertThat(sentences.stream().filter(s -> Collections.frequency(sentences, s) > 1).distinct()).isEmpty();
    }

    @Test
    void everyStanceIsTaughtUnlessItIsToTeachNothing() {
        Set<String> taught = INDEX.map().techniques().stream().flatMap(t -> t.stance().stream())
                .map(Object::toString).collect(Collectors.toSet());
        assertThat(INDEX.map().principles()).allSatisfy(p -> {
            assertThat(p.condition()).isNotBlank();
            assertThat(p.stances()).allSatisfy(s -> assertThat(taught.contains(p.id() + "/" + s.id())
                    || s.id().equals(Id.of("not-taught"))).as("%s/%s", p.id(), s.id()).isTrue());
        });
    }

    @Test
    void everyPinAndFinishCanBeDeniedAtEachStageItPassesThrough() {
        assertThat(INDEX.map().holds()).hasSizeGreaterThanOrEqualTo(13).allSatisfy(hold -> {
            Denials denials = Denials.of(INDEX, hold);
            Set<Stage> stages = hold.at().stream().map(id -> INDEX.situation(id).orElseThrow().stage().orElseThrow())
                    .collect(Collectors.toSet());
            assertThat(denials.denials().stream().flatMap(d -> d.stages().stream()).collect(Collectors.toSet()))
                    .as(hold.title()).containsAll(stages);
        });
    }

    /** What is held in a situation must be enough to find it again among the few that a screen shows. */
    @ParameterizedTest
    @EnumSource(Stage.class)
    void whatIsHeldLeadsBackToTheSituation(Stage stage) {
        Map<Id, Double> often = Passing.of(SolvedMap.of(INDEX, SETTING));
        for (Situation situation : INDEX.map().situations()) {
            if (situation.isAt(stage) && !situation.held().isEmpty()) {
                Map<Segment, Boolean> marks = new EnumMap<>(Segment.class);
                for (Segment segment : Segment.values()) {
                    marks.put(segment, situation.held().containsKey(segment));
                }
                List<Id> first = LikelySituations.of(INDEX.map(), new Marks(situation.bearing(), marks, situation.facts()), often).likely()
                        .stream().limit(8).map(LikelySituations.Likely::situation).toList();
                assertThat(first).as(situation.title()).contains(situation.id());
            }
        }
    }

    /**
     * Nothing that is taught gains anything at the end of a choke; the clock then leads to the tap and not to nowhere.
     */
    @ParameterizedTest
    @ValueSource(doubles = {0, 0.25, 1})
    void roundsWithChildrenEndInTheTapAndAreNotHeldForEver(double read) {
        Setting children = Setting.of(Id.of("guard-or-better")).withRead(read)
                .withMatchup(INDEX.matchup(Id.of("children")).orElseThrow());
        Odds odds = OddsSolver.solve(INDEX, children);
        odds.situations().values().forEach(at -> {
            double ends = at.ends().values().stream().mapToDouble(chance -> chance).sum();
            assertThat(ends + at.neverEnds()).as(at.situation().value()).isCloseTo(1, within(1e-9));
            assertThat(at.neverEnds()).as("%s: every place of this map leads to some end", at.situation()).isZero();
        });
        assertThat(odds.at(Id.of("mount-low")).ends().get(PlaceKind.TAP)).isGreaterThan(0.2);
    }

    /** What the screen names is what is solved: the house's matchup is one of the map's. */
    @Test
    void theHouseMatchupIsOnTheMap() {
        assertThat(INDEX.map().matchups()).contains(INDEX.map().houseMatchup());
    }

    /** In the ordinary case too: two answers whose loss costs a tenth of the starts, and no single one does. */
    @Test
    void theSmallestCutIsProved() {
        SolvedMap solved = SolvedMap.of(INDEX, SETTING);
        SmallestCut cut = CutSearch.search(solved, 0.75 * solved.startWorth(), Progress.NONE);
        assertThat(cut.found()).isTrue();
        assertThat(cut.exact()).isTrue();
        assertThat(solved.without(Set.copyOf(cut.reactions())).startWorth()).isLessThan(0.75 * solved.startWorth());
    }
}
