package app.narrowgate.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.BodyFixture;
import java.util.List;
import java.util.Map;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The way between two postures: possible bodies, and as short as turning on the mat makes it. */
class TransitionTest {

    private static final Bodies STANDING = Relaxation.of(BodyFixture.standing());

    /** The same posture elsewhere on the mat and turned by an angle. */
    private static Bodies elsewhere(Bodies bodies, double angle) {
        double[] joints = bodies.copyOfJoints();
        for (int i = 0; i < joints.length; i += 3) {
            double x = joints[i];
            double y = joints[i + 1];
            joints[i] = .4 + Math.cos(angle) * x - Math.sin(angle) * y;
            joints[i + 1] = -.7 + Math.sin(angle) * x + Math.cos(angle) * y;
        }
        return new Bodies(joints, bodies.sizes(), bodies.contacts());
    }

    private static double furthest(Bodies one, Bodies other) {
        double furthest = 0;
        for (Player player : Player.values()) {
            for (Joint joint : Joint.values()) {
                furthest = Math.max(furthest, one.at(player, joint).distance(other.at(player, joint)));
            }
        }
        return furthest;
    }

    /** Where one stands on the mat and which way one looks says nothing of a posture: laid on itself nothing moves. */
    @ParameterizedTest
    @ValueSource(doubles = {0, .5, 1.7, 3.1, -2.2})
    void theSamePostureElsewhereIsNoWayAtAll(double angle) {
        Transition way = Transition.of(STANDING, elsewhere(STANDING, angle), 2);
        assertThat(way.postures()).hasSize(4);
        assertThat(furthest(way.postures().get(3), STANDING)).isLessThan(1e-9);
        assertThat(furthest(way.postures().get(1), STANDING)).isLessThan(.012);
    }

    /** A posture whose mirror is nearer is mirrored, and it is said. */
    @Test
    void theNearerSideIsTaken() {
        Bodies raised = Relaxation.of(STANDING.moved(Map.of(new JointOf(Player.YOU, Joint.HAND_LEFT), Vector3D.of(0, .25, .35),
                new JointOf(Player.YOU, Joint.WRIST_LEFT), Vector3D.of(0, .2, .25))));
        Transition straight = Transition.of(raised, raised, 1);
        assertThat(straight.mirrored()).isFalse();
        Transition mirrored = Transition.of(raised, raised.mirrored(), 1);
        assertThat(mirrored.mirrored()).isTrue();
        assertThat(furthest(mirrored.postures().get(2), raised)).isLessThan(1e-9);
    }

    /** Half way bones keep their length, also where plain blending would halve them: turned right round, a blend is a line. */
    @Test
    void bonesKeepTheirLengthHalfWay() {
        Bodies other = Bodies.of(BodyFixture.upright(-.3, -1), BodyFixture.upright(.3, -1), STANDING.contacts());
        Transition way = Transition.of(STANDING, Relaxation.of(other), 3);
        for (Bodies between : way.postures().subList(1, 4)) {
            Soundness sound = Soundness.of(between);
            assertThat(sound.rod()).isLessThan(.007);
            assertThat(sound.overlap()).isLessThan(.0085);
            assertThat(between.at(Player.YOU, Joint.SHOULDER_LEFT).distance(between.at(Player.YOU, Joint.SHOULDER_RIGHT)))
                    .isCloseTo(.21, within(.002));
            // Standing all along, nobody sinks or flies.
            assertThat(between.at(Player.YOU, Joint.HEAD).getZ()).isBetween(.85, .97);
        }
    }

    @Test
    void itIsTheSameEveryTime() {
        Bodies bent = Relaxation.of(STANDING.moved(Map.of(new JointOf(Player.THEY, Joint.HAND_RIGHT), Vector3D.of(.1, -.2, .2))));
        assertThat(Transition.of(STANDING, bent, 2)).isEqualTo(Transition.of(STANDING, bent, 2));
        assertThat(Transition.of(STANDING, bent, 0).postures()).hasSize(2).startsWith(List.of(STANDING).get(0));
    }
}
