package app.narrowgate.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.BodyFixture;
import java.util.List;
import java.util.Set;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;
import org.junit.jupiter.params.provider.ValueSource;

/** A joint that is taken elsewhere: it comes there, the body follows as bodies do, and contacts follow the body. */
class NudgeTest {

    private static final double CENTIMETRE = .01 / 1.78;
    private static final JointOf HAND = new JointOf(Player.YOU, Joint.HAND_LEFT);
    private static final JointOf FOOT = new JointOf(Player.YOU, Joint.ANKLE_LEFT);
    private static final Contacts.Grip GRIP = new Contacts.Grip(HAND, new LimbOf(Player.YOU, Limb.THIGH_LEFT), .3);
    private static final Bodies STANDING = Relaxation.of(BodyFixture.standing().with(
            new Contacts(Set.of(FOOT, new JointOf(Player.YOU, Joint.TOE_LEFT)), List.of(), List.of(GRIP))));

    @Test
    void aHandComesWhereItIsTaken() {
        Vector3D by = Vector3D.of(0, .12, .2);
        Nudge nudge = Nudge.of(STANDING, HAND, by);
        assertThat(nudge.bodies().at(HAND).distance(STANDING.at(HAND).add(by))).isLessThan(3 * CENTIMETRE);
        Soundness sound = Soundness.of(nudge.bodies());
        assertThat(sound.rod()).isLessThan(.007);
        assertThat(sound.overlap()).isLessThan(1.5 * CENTIMETRE);
        assertThat(sound.degrees()).isLessThan(5);
    }

    /** An arm is some 33 cm of stature long from the shoulder to the wrist; a hand taken a metre away stays on it. */
    @Test
    void itComesNoFurtherThanTheArmReaches() {
        Nudge nudge = Nudge.of(STANDING, HAND, Vector3D.of(0, 1, 1));
        assertThat(nudge.bodies().at(Player.YOU, Joint.SHOULDER_LEFT).distance(nudge.bodies().at(Player.YOU, Joint.WRIST_LEFT)))
                .isBetween(.28, .336);
        assertThat(Soundness.of(nudge.bodies()).rod()).isLessThan(.01);
    }

    @Test
    void aGripIsKeptForALittleAndLetGoForMore() {
        assertThat(Nudge.of(STANDING, HAND, Vector3D.of(0, .01, .01)).bodies().contacts().grips()).containsExactly(GRIP);
        Nudge far = Nudge.of(STANDING, HAND, Vector3D.of(0, .1, .2));
        assertThat(far.bodies().contacts().grips()).isEmpty();
        assertThat(far.let()).containsExactly("you.hand-left");
    }

    @Test
    void aFootThatIsLiftedLeavesTheMatAndComesBackToIt() {
        Nudge lifted = Nudge.of(STANDING, FOOT, Vector3D.of(0, .05, .2));
        assertThat(lifted.bodies().contacts().mat()).isEmpty();
        assertThat(lifted.let()).containsExactlyInAnyOrder("you.ankle-left mat", "you.toe-left mat");
        assertThat(lifted.bodies().at(FOOT).getZ()).isGreaterThan(.1);
        Nudge back = Nudge.of(lifted.bodies(), FOOT, Vector3D.of(0, 0, -.5));
        assertThat(back.bodies().contacts().mat()).containsExactly(FOOT);
        assertThat(Soundness.of(back.bodies()).under()).isLessThan(.002);
    }

    @ParameterizedTest
    @EnumSource(value = Joint.class, names = {"HEAD", "HAND_RIGHT", "KNEE_LEFT", "ANKLE_RIGHT"})
    void itIsTheSameInAMirror(Joint joint) {
        JointOf of = new JointOf(Player.THEY, joint);
        Bodies straight = Nudge.of(STANDING, of, Vector3D.of(.06, -.04, .05)).bodies();
        Bodies mirrored = Nudge.of(STANDING.mirrored(), of.mirrored(), Vector3D.of(-.06, -.04, .05)).bodies();
        for (Joint one : Joint.values()) {
            assertThat(mirrored.mirrored().at(Player.THEY, one).distance(straight.at(Player.THEY, one))).isLessThan(1e-6);
        }
    }

    @Test
    void theSameIsTheSame() {
        Vector3D by = Vector3D.of(.1, .1, .1);
        assertThat(Nudge.of(STANDING, HAND, by)).isEqualTo(Nudge.of(STANDING, HAND, by));
    }

    /** While the hand still moves it, it is nearly there: bones a little off, the joint within a hand's breadth. */
    @Test
    void underTheHandItIsNearlyThere() {
        Vector3D by = Vector3D.of(0, .12, .2);
        Bodies rough = Nudge.underTheHand(STANDING, HAND, by).bodies();
        assertThat(rough.at(HAND).distance(Nudge.of(STANDING, HAND, by).bodies().at(HAND))).isLessThan(5 * CENTIMETRE);
        assertThat(Soundness.of(rough).rod()).isLessThan(.02);
    }

    @ParameterizedTest
    @EnumSource(value = Joint.class, mode = Mode.MATCH_NONE, names = {"HEAD|HAND_.*|KNEE_.*|ANKLE_.*"})
    void nothingElseIsTakenHoldOf(Joint joint) {
        assertThatThrownBy(() -> Nudge.of(STANDING, new JointOf(Player.YOU, joint), Vector3D.ZERO))
                .hasMessageContaining("take a hand, a knee, an ankle or the head");
    }

    @ParameterizedTest
    @ValueSource(doubles = {2, -2, Double.NaN, Double.POSITIVE_INFINITY})
    void aStepOutOfReachIsRefused(double far) {
        assertThatThrownBy(() -> Nudge.of(STANDING, HAND, Vector3D.of(0, 0, far))).hasMessageContaining("is moved up");
    }
}
