package app.narrowgate.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.BodyFixture;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** What is no posture is refused with a sentence that names it. */
class BodiesTest {

    @Test
    void aMissingJointIsNamed() {
        Map<Joint, Vector3D> without = new EnumMap<>(BodyFixture.upright(0, 1));
        without.remove(Joint.KNEE_LEFT);
        assertThatThrownBy(() -> Bodies.of(without, BodyFixture.upright(0, 1), Contacts.NONE))
                .isInstanceOf(RefusedException.class).hasMessageContaining("you.knee-left is missing");
    }

    @Test
    void aJointOutOfReachIsRefused() {
        for (double place : new double[] {9, Double.NaN, Double.NEGATIVE_INFINITY}) {
            Map<Joint, Vector3D> far = new EnumMap<>(BodyFixture.upright(0, 1));
            far.put(Joint.TOE_LEFT, Vector3D.of(0, 0, place));
            assertThatThrownBy(() -> Bodies.of(far, BodyFixture.upright(0, 1), Contacts.NONE))
                    .isInstanceOf(RefusedException.class).hasMessageContaining("you.toe-left");
        }
    }

    @Test
    void whatIsWrittenIsRead() {
        assertThat(JointOf.of("It", "they.hand-left")).isEqualTo(new JointOf(Player.THEY, Joint.HAND_LEFT)).hasToString("they.hand-left");
        assertThat(LimbOf.of("It", "you.pelvis-right")).isEqualTo(new LimbOf(Player.YOU, Limb.PELVIS_RIGHT)).hasToString("you.pelvis-right");
        assertThatThrownBy(() -> JointOf.of("What stands", "hand")).hasMessageContaining("as in they.hand-left");
        assertThatThrownBy(() -> JointOf.of("What stands", "we.hand-left")).hasMessageContaining("you, they");
        assertThatThrownBy(() -> LimbOf.of("What rests", "you.wing")).hasMessageContaining("upper-arm-left");
    }

    @Test
    void onlyAHandGrips() {
        LimbOf thigh = new LimbOf(Player.YOU, Limb.THIGH_LEFT);
        assertThatThrownBy(() -> new Contacts.Grip(new JointOf(Player.THEY, Joint.KNEE_LEFT), thigh, .5)).hasMessageContaining("a hand does");
        assertThatThrownBy(() -> new Contacts.Grip(new JointOf(Player.YOU, Joint.HAND_LEFT), new LimbOf(Player.YOU, Limb.HAND_LEFT), .5))
                .hasMessageContaining("itself");
        assertThatThrownBy(() -> new Contacts.Grip(new JointOf(Player.YOU, Joint.HAND_LEFT), thigh, Double.NaN)).hasMessageContaining("0 and 1");
        assertThatThrownBy(() -> new Contacts.Rest(thigh, thigh)).hasMessageContaining("itself");
    }

    @Test
    void everyJointAndLimbHasItsMirror() {
        for (Joint joint : Joint.values()) {
            assertThat(joint.mirrored().mirrored()).isEqualTo(joint);
            assertThat(joint.mirrored() == joint).isEqualTo(List.of(Joint.HEAD, Joint.NOSE, Joint.NECK, Joint.WAIST, Joint.HIP).contains(joint));
        }
        for (Limb limb : Limb.values()) {
            assertThat(limb.mirrored().mirrored()).isEqualTo(limb);
            assertThat(limb.mirrored().from().radius()).isEqualTo(limb.from().radius());
        }
    }

    @Test
    void roundedIsWhatAFileHolds() {
        Bodies rounded = BodyFixture.standing().moved(Map.of(new JointOf(Player.YOU, Joint.HEAD), Vector3D.of(.000_012_3, 0, 0))).rounded();
        assertThat(rounded.at(Player.YOU, Joint.HEAD).getX()).isZero();
        assertThat(rounded.rounded()).isEqualTo(rounded).hasSameHashCodeAs(rounded.rounded());
    }
}
