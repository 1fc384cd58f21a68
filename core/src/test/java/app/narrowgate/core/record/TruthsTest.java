package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Day;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Source;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class TruthsTest {

    /** Two places that have nothing to do with each other; stuffed means a tap, and what gets going ends out. */
    private static MapIndex two() {
        return MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).situation("mount", 60, "tap").situation("side", 60, "tap")
                .reaction("mount", 0.8, 0, Map.of(), Optional.of("tap"), "guard*1")
                .reaction("side", 0.5, 0, Map.of(), Optional.of("tap"), "guard*1").map());
    }

    private static SolvedMap written(MapIndex index) {
        return SolvedMap.of(index, Setting.of(Id.of("even"))).converged();
    }

    private static Truth.Seen seen(String start, boolean out, int times) {
        return seen(start, 0, 1, null, out, times);
    }

    private static Truth.Seen seen(String start, double gap, int person, Level level, boolean out, int times) {
        return new Truth.Seen(Id.of(start), gap, Optional.of(new UUID(0, person)), Optional.ofNullable(level), out, times);
    }

    private static Beliefs believed(SolvedMap written, List<Truth.Seen> seen) {
        List<Event.Round> rounds = new ArrayList<>();
        seen.forEach(one -> {
            for (int i = 0; i < one.times(); i++) {
                rounds.add(ExpectedCountsTest.round(one.start().value(), one.out() ? PlaceKind.GUARD : PlaceKind.TAP, null, null));
            }
        });
        return new Learner(written).learn(Tally.of(rounds, Mat.now()));
    }

    private static Truth truth(MapIndex index, List<Truth.Seen> seen) {
        return new Truths(written(index), believed(written(index), seen)).of(seen);
    }

    /** By hand: ten of thirty get out where the map says eight of ten; the map is right about the other place. */
    @Test
    void namesThePlaceThatIsOffAndTheAnswerThatExplainsIt() {
        Truth truth = truth(two(), List.of(seen("mount", true, 10), seen("mount", false, 20), seen("side", true, 10), seen("side", false, 10)));
        assertThat(truth.places()).extracting(Truth.AtPlace::place).containsExactly(Id.of("mount"), Id.of("side"));
        Truth.AtPlace mount = truth.places().get(0);
        assertThat(mount.said()).isCloseTo(0.8, within(1e-6));
        assertThat(mount.share()).isCloseTo(1 / 3.0, within(1e-12));
        assertThat(mount.agrees()).isFalse();
        Truth.Explanation explains = mount.explains().orElseThrow();
        assertThat(written(two()).index().reaction(explains.reaction()).orElseThrow().from()).isEqualTo(Id.of("mount"));
        assertThat(explains.before()).isEqualTo(0.8);
        // Conjugate: eight trials of what is written, and thirty of what was seen.
        assertThat(explains.learned().likely()).isCloseTo((8 * 0.8 + 10) / 38, within(1e-7));
        assertThat(explains.tries()).isCloseTo(30, within(1e-6));
        assertThat(explains.saidThen()).isCloseTo(explains.learned().likely(), within(1e-6));
        assertThat(explains.scoreThen()).isLessThan(truth.brier().orElseThrow().score());
        assertThat(explains.moves()).extracting(Truth.Move::place).containsExactly(Id.of("mount"));
        Truth.AtPlace side = truth.places().get(1);
        assertThat(side.agrees()).isTrue();
        assertThat(side.explains()).isEmpty();
    }

    @Test
    void fewerThanTenSayTooLittle() {
        Truth truth = truth(two(), List.of(seen("mount", true, 9), seen("side", true, 10)));
        assertThat(truth.places()).extracting(Truth.AtPlace::place).containsExactly(Id.of("side"));
        assertThat(truth.fewer()).isEqualTo(1);
        assertThat(truth(two(), List.of()).brier()).isEmpty();
    }

    /** What the map says is said of the pairs that rolled: against heavier partners less than against even ones. */
    @Test
    void countsWhomTheyRolledWith() {
        SolvedMap written = written(two());
        double heavier = written.under(written.setting().withMatchup(written.setting().matchup().withWeightGap(20))).conditions()
                .works(written.index().reactionsFrom(Id.of("mount")).get(0));
        assertThat(heavier).isLessThan(0.8);
        List<Truth.Seen> seen = List.of(seen("mount", 20, 1, null, true, 6), seen("mount", 0, 1, null, false, 6));
        assertThat(new Truths(written, new Learner(written).before()).of(seen).places().get(0).said()).isCloseTo((heavier + 0.8) / 2, within(1e-5));
    }

    @Test
    void saysWhatMostRoundsHaveInCommon() {
        Truth truth = truth(two(), List.of(seen("mount", -20, 1, Level.NOVICE, true, 8), seen("mount", 0, 2, Level.ADVANCED, false, 4),
                seen("side", 0, 1, Level.NOVICE, true, 5), seen("side", 0, 2, Level.ADVANCED, true, 5)));
        assertThat(truth.places()).filteredOn(one -> one.place().equals(Id.of("mount"))).singleElement().extracting(Truth.AtPlace::onesided).asList()
                .containsExactly(new Truth.Onesided(Truth.Onesided.Sort.BEGINNERS, 8), new Truth.Onesided(Truth.Onesided.Sort.LIGHTER, 8),
                        new Truth.Onesided(Truth.Onesided.Sort.ONE_PERSON, 8));
        assertThat(truth.places()).filteredOn(one -> one.place().equals(Id.of("side"))).singleElement().extracting(Truth.AtPlace::onesided).asList().isEmpty();
    }

    /** A learned figure that is written on the map does not let the rounds behind it count twice. */
    @Test
    void whatWasLearnedIsNotLearnedAgain() {
        List<Truth.Seen> seen = List.of(seen("mount", true, 10), seen("mount", false, 20));
        MapIndex index = two();
        Beliefs before = believed(written(index), seen);
        Reaction mount = index.reactionsFrom(Id.of("mount")).get(0);
        double learned = before.works(mount);
        MapIndex used = MapIndex.of(index.map().with(mount.learned(new Source(learned, mount.works(), 30, 0, new Day(1970, 1, 1)))));
        assertThat(believed(written(used), seen).works(used.reaction(mount.id()).orElseThrow())).isCloseTo(learned, within(1e-9));
        Reaction since = used.reaction(mount.id()).orElseThrow();
        Reaction byHand = new Reaction(since.id(), since.from(), since.technique(), "", "", since.needs(), since.seconds(), Likelihood.of(0.2), since.source(),
                since.stuffed(), since.responses());
        assertThat(byHand.source()).as("a source of another figure").isEmpty();
    }

    /** To first order, what a single answer's figure leaves of doubt after n more trials: (κ + 1) / (κ + n + 1) of its variance. */
    @Test
    void tenRoundsNarrowASingleAnswerAsTheBetaSays() {
        SolvedMap written = written(two());
        Beliefs beliefs = new Learner(written).before();
        DoubtfulOdds odds = DoubtfulOdds.of(written, beliefs, 400, 1);
        List<ToLog> each = ToLog.each(odds, beliefs, List.of(Id.of("mount"), Id.of("side")));
        assertThat(each).extracting(ToLog::place).as("the less sure one first").containsExactly(Id.of("side"), Id.of("mount"));
        each.forEach(one -> assertThat(one.then() / one.now()).isCloseTo(Math.sqrt(9.0 / 19), within(1e-5)));
        assertThat(ToLog.narrowing(odds, beliefs, Id.of("mount"), 5).orElseThrow().from()).isEqualTo(Id.of("mount"));
    }

    /** The delta method against the draws themselves, on pins that run into each other and after rounds with one tap. */
    @Test
    void theWidthToFirstOrderIsThatOfTheDraws() {
        SolvedMap written = LearnerTest.written();
        SolvedMap truth = written.by(new Learner(written).before().drawing(new SplittableRandom(3)).get());
        Beliefs beliefs = new Learner(written).learn(Tally.of(Mat.of(truth, 4).rolls(300).stream().map(Mat::logged).toList(), Mat.now()));
        DoubtfulOdds odds = DoubtfulOdds.of(written, beliefs, 4000, 2);
        for (String place : List.of("early", "side", "mount", "back")) {
            Id id = Id.of(place);
            double first = 2 * 1.645 * Math.sqrt(ToLog.variance(odds.likely(), beliefs, id));
            assertThat(first / odds.at(id).width()).as(place).isBetween(0.75, 1.25);
        }
    }
}
