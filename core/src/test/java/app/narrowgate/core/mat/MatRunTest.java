package app.narrowgate.core.mat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The clock of a class by hand, and against a clock that goes second by second. */
class MatRunTest {

    private static final Instant SEVEN = Instant.parse("2026-11-27T19:00:00Z");
    private static final UUID ANA = new UUID(0, 1);
    private static final UUID BO = new UUID(0, 2);
    private static final UUID CY = new UUID(0, 3);

    private static Instant after(long seconds) {
        return SEVEN.plusSeconds(seconds);
    }

    private static MatStep step(int number, MatStep.Kind kind, int seconds) {
        return MatStep.plain(number, kind, seconds);
    }

    private static MatPart part(String unit, Section section, MatStep... steps) {
        return new MatPart(unit, Optional.of(section), Optional.empty(), Optional.empty(),
                List.of(new LinkRef(Id.of("bridge"), Id.of("posts"))), Optional.empty(), List.of(steps), List.of(List.of(List.of(ANA, BO), List.of(CY))),
                Set.of(), false);
    }

    /** Warm-up of 60 s; shown for 30 s, change 10 s, two rounds of 40 s with a change between; talk of 60 s. */
    private static MatRun evening() {
        return MatRun.ready(List.of(
                part("warm-up", Section.WARM_UP, step(1, MatStep.Kind.MOVE, 60)),
                part("new:bridge", Section.NEW, step(2, MatStep.Kind.SHOW, 30), step(3, MatStep.Kind.CHANGE, 10), step(4, MatStep.Kind.ROUND, 40),
                        step(5, MatStep.Kind.CHANGE, 10), step(6, MatStep.Kind.ROUND, 40)),
                part("talk", Section.TALK, step(7, MatStep.Kind.TALK, 60))), List.of(ANA, BO, CY), SEVEN);
    }

    private static MatRun begun() {
        return evening().start(SEVEN);
    }

    @Test
    void nothingRunsBeforeItIsBegun() {
        assertThat(evening().at(after(600)).step()).isEqualTo(1);
        assertThat(evening().forward(1, after(5)).state()).isEqualTo(MatRun.State.RUNNING);
    }

    @Test
    void stepsFollowEachOtherByTheClockUntilOneWaits() {
        assertThat(begun().at(after(59)).step()).isEqualTo(1);
        assertThat(begun().at(after(60)).step()).isEqualTo(2);
        MatRun waiting = begun().at(after(200));
        assertThat(waiting.step()).isEqualTo(2);
        assertThat(waiting.left()).isEqualTo(Duration.ofSeconds(-110));
        MatRun on = waiting.forward(2, after(200));
        assertThat(on.step()).isEqualTo(3);
        assertThat(on.at(after(209)).step()).isEqualTo(3);
        assertThat(on.at(after(210)).step()).isEqualTo(4);
        assertThat(on.at(after(265)).step()).isEqualTo(6);
        assertThat(on.at(after(265)).left()).isEqualTo(Duration.ofSeconds(35));
        assertThat(on.at(after(5_000)).step()).isEqualTo(7);
    }

    @Test
    void setBackTheClockStandsAndGoesOnFromThere() {
        MatRun hourBefore = begun().at(after(20)).at(after(20 - 3_600));
        assertThat(hourBefore.left()).isEqualTo(Duration.ofSeconds(40));
        assertThat(hourBefore.at(after(30 - 3_600)).left()).isEqualTo(Duration.ofSeconds(30));
        MatRun on = begun().at(after(20)).stop(after(-3_600)).go(after(-3_590));
        assertThat(on.at(after(-3_551)).step()).isEqualTo(1);
        assertThat(on.at(after(-3_550)).step()).isEqualTo(2);
    }

    @Test
    void aPressThatComesTwiceCountsOnce() {
        MatRun once = begun().forward(1, after(10));
        assertThat(once.forward(1, after(11))).isEqualTo(once);
        assertThat(once.skip(1, after(11))).isEqualTo(once);
        assertThat(begun().forward(1, after(61)).at(after(61))).isEqualTo(begun().at(after(61)));
    }

    @Test
    void stoppedAndGoingOnLosesNothing() {
        MatRun stopped = begun().stop(after(20));
        assertThat(stopped.at(after(900)).left()).isEqualTo(Duration.ofSeconds(40));
        MatRun on = stopped.go(after(900));
        assertThat(on.at(after(939)).step()).isEqualTo(1);
        assertThat(on.at(after(940)).step()).isEqualTo(2);
        assertThat(on.at(after(940)).ranIn(on.steps().get(0))).isEqualTo(Duration.ofSeconds(60));
    }

    @Test
    void lookHereStopsTheClockAndGoingOnTakesItAway() {
        MatRun.Look look = new MatRun.Look(Optional.of(Id.of("mount-low")), Optional.empty(), Optional.empty());
        MatRun looking = begun().show(look, after(20));
        assertThat(looking.state()).isEqualTo(MatRun.State.STOPPED);
        assertThat(looking.look()).contains(look);
        assertThat(looking.go(after(50)).look()).isEmpty();
        assertThatThrownBy(() -> new MatRun.Look(Optional.empty(), Optional.of(Id.of("bridge")), Optional.empty())).isInstanceOf(RefusedException.class);
    }

    @Test
    void backBeginsAgainAndTwiceGoesBackWithWhatWasCutOff() {
        MatRun rounds = begun().forward(1, after(30)).forward(2, after(40)).at(after(65));
        assertThat(rounds.step()).isEqualTo(4);
        MatRun again = rounds.back(4, after(65));
        assertThat(again.left()).isEqualTo(Duration.ofSeconds(40));
        MatRun wrongly = rounds.forward(4, after(70));
        MatRun back = wrongly.back(5, after(73));
        assertThat(back.step()).isEqualTo(4);
        assertThat(back.left()).isEqualTo(Duration.ofSeconds(20));
        MatRun further = back.back(4, after(74)).back(3, after(75));
        assertThat(further.step()).isEqualTo(2);
    }

    @Test
    void backAfterASkipFindsWhatRan() {
        MatRun rounds = begun().forward(1, after(30)).forward(2, after(40)).at(after(55));
        MatRun skipped = rounds.skip(4, after(55));
        assertThat(skipped.step()).isEqualTo(7);
        assertThat(skipped.back(7, after(57)).step()).isEqualTo(4);
    }

    @Test
    void longerAndShorterButNeverNothing() {
        assertThat(begun().longer(1, 30, after(10)).at(after(10)).left()).isEqualTo(Duration.ofSeconds(80));
        assertThat(begun().longer(1, -300, after(10)).at(after(10)).left()).isEqualTo(Duration.ofSeconds(10));
        assertThat(begun().longer(1, -300, after(55)).at(after(55)).left()).isEqualTo(Duration.ofSeconds(5));
        assertThatThrownBy(() -> begun().longer(1, 6_000, after(10))).isInstanceOf(RefusedException.class);
    }

    @Test
    void theLastStepEndsTheClassAndItCanGoOn() {
        MatRun talk = begun().skip(1, after(10)).skip(2, after(20));
        MatRun over = talk.forward(7, after(90));
        assertThat(over.state()).isEqualTo(MatRun.State.OVER);
        assertThat(over.at(after(900))).isEqualTo(over);
        assertThat(over.go(after(100)).state()).isEqualTo(MatRun.State.RUNNING);
        assertThat(talk.at(after(5_000)).state()).isEqualTo(MatRun.State.RUNNING);
    }

    @Test
    void aBreakComesInAfterThePartAndWhatHasNotBegunGoesOut() {
        MatRun with = begun().pauseAfter(2, after(10));
        assertThat(with.parts()).extracting(MatPart::unit).containsExactly("warm-up", "break", "new:bridge", "talk");
        assertThat(with.forward(1, after(20)).current().kind()).isEqualTo(MatStep.Kind.BREAK);
        assertThat(with.drop(2, after(11)).parts()).extracting(MatPart::unit).containsExactly("warm-up", "break", "talk");
        assertThatThrownBy(() -> with.drop(1, after(11))).isInstanceOf(RefusedException.class).hasMessageContaining("skip");
        assertThat(with.drop(99, after(11))).isEqualTo(with);
        assertThatThrownBy(() -> begun().pauseAfter(90, after(10))).isInstanceOf(RefusedException.class);
    }

    @Test
    void whatCameIsWhatRan() {
        MatRun over = begun().forward(1, after(75)).forward(2, after(100)).at(after(120)).skip(4, after(120)).forward(7, after(140));
        List<Lesson.Came> came = WhatCame.of(over);
        assertThat(came).extracting(Lesson.Came::unit).containsExactly("warm-up", "new:bridge");
        assertThat(came).extracting(Lesson.Came::minutes).containsExactly(1, 1);
        assertThat(came.get(1).pairs()).isEmpty();
        MatRun longer = begun().skip(1, after(10)).forward(2, after(20)).at(after(120)).finish(after(120));
        assertThat(WhatCame.of(longer)).extracting(Lesson.Came::unit).containsExactly("new:bridge");
        assertThat(WhatCame.of(longer).get(0).pairs()).containsExactly(new Couple(ANA, BO));
    }

    @Test
    void whoComesLateChangesOnlyWhatIsStillToCome() {
        MatRun run = begun().forward(1, after(30));
        MatRun with = run.people(List.of(ANA, BO, CY, new UUID(0, 4)), List.of(), part -> part.with(List.of(List.of(List.of(CY, new UUID(0, 4)))), Set.of(CY)),
                after(40));
        assertThat(with.parts().get(0).bouts().get(0)).contains(List.of(ANA, BO));
        assertThat(with.parts().get(1).bouts().get(0)).containsExactly(List.of(CY, new UUID(0, 4)));
        assertThat(with.here()).hasSize(4);
    }

    /** The same presses on a clock that goes second by second come to the same class as on one that is asked only when somebody presses. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void askedOftenOrSeldomItIsTheSameClass(long seed) {
        Random random = new Random(seed);
        MatRun seldom = begun();
        MatRun often = begun();
        for (int second = 1; second < 900; second++) {
            Instant now = after(second);
            often = often.at(now);
            if (random.nextInt(25) == 0) {
                UnaryOperator<MatRun> press = press(random.nextInt(7), often.step(), now);
                often = press.apply(often);
                seldom = press.apply(seldom);
            }
            assertThat(seldom.at(now)).isEqualTo(often);
        }
    }

    private static UnaryOperator<MatRun> press(int which, int step, Instant now) {
        List<UnaryOperator<MatRun>> presses = new ArrayList<>(List.of(run -> run.forward(step, now), run -> run.back(step, now), run -> run.stop(now),
                run -> run.go(now), run -> run.longer(step, 30, now), run -> run.skip(step, now), run -> run.state() == MatRun.State.OVER || run.parts().size() >= MatRun.MOST_PARTS ? run : run.pauseAfter(1, now)));
        return presses.get(which);
    }
}
