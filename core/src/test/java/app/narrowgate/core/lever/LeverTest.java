package app.narrowgate.core.lever;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Levers against the law of the lever, and what the trade says of them. */
class LeverTest {

    /** The same torque: force grows as the distance shrinks; half way takes twice (the law of the lever, any textbook). */
    @ParameterizedTest
    @CsvSource({"1, 1", ".5, 2", ".25, 4", ".2, 5", ".8, 1.25"})
    void theSameTurnTakesMoreNearerToTheJoint(double along, double times) {
        for (RodHold.Limb limb : RodHold.Limb.values()) {
            RodHold hold = new RodHold(limb, 1.78, 15, along);
            assertThat(hold.times()).isCloseTo(times, within(1e-12));
            assertThat(hold.needed()).isCloseTo(15 * times, within(1e-9));
            assertThat(hold.torque()).isCloseTo(new RodHold(limb, 1.78, 15, 1).torque(), within(1e-9));
        }
    }

    /** Drillis and Contini (1966), from memory: forearm .146, shank .246 of stature. */
    @Test
    void limbsAreAsLongAsTheirStatureSays() {
        assertThat(new RodHold(RodHold.Limb.FOREARM, 1.8, 10, 1).length()).isCloseTo(.2628, within(1e-9));
        assertThat(new RodHold(RodHold.Limb.SHANK, 1.8, 10, 1).length()).isCloseTo(.4428, within(1e-9));
        assertThat(new RodHold(RodHold.Limb.FOREARM, 1.8, 10, 1).torque()).isCloseTo(10 * 9.80665 * .2628, within(1e-9));
    }

    /** Wrist control beats forearm control. Common practice, no source; here it is the law of the lever. */
    @ParameterizedTest
    @ValueSource(doubles = {.15, .3, .5, .7, .95})
    void theWristBeatsTheForearm(double along) {
        assertThat(new RodHold(RodHold.Limb.FOREARM, 1.78, 20, 1).needed())
                .isLessThan(new RodHold(RodHold.Limb.FOREARM, 1.78, 20, along).needed());
    }

    /** A straight arm in the line of the push has nothing to hold, whichever way the push leans. */
    @ParameterizedTest
    @ValueSource(doubles = {-30, 0, 15, 30, 45})
    void aStraightArmInLineHoldsNothing(double lean) {
        ArmFrame frame = new ArmFrame(1.78, 50, 90 - lean, 180, lean, 1);
        assertThat(frame.inLine()).isEqualTo(90 - lean);
        assertThat(frame.atTheShoulder()).isCloseTo(0, within(1e-9));
        assertThat(frame.atTheElbow()).isCloseTo(0, within(1e-9));
        assertThat(new ArmFrame(1.78, 50, 90 - lean - 30, 180, lean, 1).atTheShoulder()).isGreaterThan(60);
    }

    /** Straight up against a push straight down on the hand of an elbow at a right angle: push times forearm, on both. */
    @Test
    void aBentElbowHoldsThePushTimesTheForearm() {
        ArmFrame frame = new ArmFrame(1.78, 40, 90, 90, 0, 1);
        double expected = 40 * 9.80665 * .146 * 1.78;
        assertThat(frame.atTheElbow()).isCloseTo(expected, within(1e-9));
        assertThat(frame.atTheShoulder()).isCloseTo(expected, within(1e-9));
        assertThat(frame.wristAt().up()).isCloseTo(frame.elbowAt().up(), within(1e-9));
        // A bent elbow brings the hand towards the face.
        assertThat(frame.wristAt().head()).isPositive();
    }

    /** The forearm, not the hand: nearer to the elbow the elbow holds less, at it nothing. Common practice, no source. */
    @Test
    void theForearmIsStrongerThanTheHand() {
        double[] held = {0, .25, .5, 1};
        double last = -1;
        for (double along : held) {
            double elbow = new ArmFrame(1.78, 40, 80, 100, 10, along).atTheElbow();
            assertThat(elbow).isGreaterThan(last);
            last = elbow;
        }
        assertThat(new ArmFrame(1.78, 40, 80, 100, 10, 0).atTheElbow()).isZero();
    }

    /** Past the right angle the strength goes. Common practice, no source. */
    @Test
    void pastTheRightAngleIsSaid() {
        assertThat(new ArmFrame(1.78, 40, 91, 120, 0, .5).isPastTheRightAngle()).isTrue();
        assertThat(new ArmFrame(1.78, 40, 90, 120, 0, .5).isPastTheRightAngle()).isFalse();
    }

    /** Shoulder on the hip bone: lower they drop on you, higher it does not move them. Common practice, no source. */
    @ParameterizedTest
    @CsvSource({"0, NONE, 0", ".03, NONE, 11.76798", "-.10, DOWN_ON_YOU, 39.2266", ".10, BENT_BACK, 39.2266"})
    void theHipBoneIsWhereAPushMovesThem(double above, HipDrive.Turn turn, double torque) {
        HipDrive drive = new HipDrive(40, above);
        assertThat(drive.turn()).isEqualTo(turn);
        assertThat(drive.torque()).isCloseTo(torque, within(1e-4));
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new RodHold(RodHold.Limb.FOREARM, 1.78, 15, 0)).isInstanceOf(RefusedException.class)
                .hasMessageContaining("Where it is held");
        assertThatThrownBy(() -> new RodHold(RodHold.Limb.FOREARM, Double.NaN, 15, 1)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> new ArmFrame(1.78, 40, 200, 180, 0, 1)).isInstanceOf(RefusedException.class)
                .hasMessageContaining("between upper arm and trunk");
        assertThatThrownBy(() -> new HipDrive(40, 1)).isInstanceOf(RefusedException.class);
    }

    @ParameterizedTest
    @CsvSource({"'Shoulder to their hip bone, ear on the belly', HIP", "'Closed grip at the wrist', GRIP",
            "'Straight arm on their hip, at most a right angle to the trunk', FRAME", "'Two hands on the choking wrist', ARM",
            "'Forearm bone on their near upper arm, hand cups the triceps', FRAME", "'Low on the shin, the crowbar', PRESS"})
    void aSentenceIsToldByItsWords(String sentence, Claim claim) {
        assertThat(Claim.of(sentence)).contains(claim);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Feet on the hip bone", "Turn towards the locked arm's thumb", "Four frames: two forearms, two shins",
            "Wrist to the chest", "Look at them"})
    void aSentenceOfSomethingElseIsNone(String sentence) {
        assertThat(Claim.of(sentence)).isEmpty();
    }
}
