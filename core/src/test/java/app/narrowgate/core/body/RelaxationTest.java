package app.narrowgate.core.body;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.BodyFixture;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever rough points are given, bones keep their length and nobody goes through anybody. */
class RelaxationTest {

    private static final double CENTIMETRE = .01 / 1.78;

    private static JointOf you(Joint joint) {
        return new JointOf(Player.YOU, joint);
    }

    private static JointOf they(Joint joint) {
        return new JointOf(Player.THEY, joint);
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

    @Test
    void whatIsPossibleStaysAsItIs() {
        Bodies standing = BodyFixture.standing();
        Bodies relaxed = Relaxation.of(standing);
        assertThat(furthest(standing, relaxed)).isLessThan(.012);
        Soundness sound = Soundness.of(relaxed);
        assertThat(sound.rod()).isLessThan(.002);
        assertThat(sound.overlap()).isZero();
        assertThat(sound.excesses()).isEmpty();
    }

    /** Bones by the measure of a tape: thigh .245, shank .246, upper arm .186, forearm .146 of stature. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void bonesKeepTheirLengthWhateverIsAskedFor(long seed) {
        Random random = new Random(seed);
        Bodies pulled = BodyFixture.standing();
        for (Player player : Player.values()) {
            for (Joint joint : Joint.values()) {
                pulled = pulled.moved(Map.of(new JointOf(player, joint), Vector3D.of(random.nextGaussian() * .03,
                        random.nextGaussian() * .03, random.nextGaussian() * .03)));
            }
        }
        Bodies relaxed = Relaxation.of(pulled);
        for (Player player : Player.values()) {
            assertThat(relaxed.at(player, Joint.HIP_LEFT).distance(relaxed.at(player, Joint.KNEE_LEFT))).isCloseTo(.245, within(.0015));
            assertThat(relaxed.at(player, Joint.KNEE_RIGHT).distance(relaxed.at(player, Joint.ANKLE_RIGHT))).isCloseTo(.246, within(.0015));
            assertThat(relaxed.at(player, Joint.SHOULDER_LEFT).distance(relaxed.at(player, Joint.ELBOW_LEFT))).isCloseTo(.186, within(.0013));
            assertThat(relaxed.at(player, Joint.ELBOW_RIGHT).distance(relaxed.at(player, Joint.WRIST_RIGHT))).isCloseTo(.146, within(.001));
        }
        assertThat(Soundness.of(relaxed).rod()).isLessThan(.007);
        assertThat(Soundness.of(relaxed).under()).isLessThan(.001);
    }

    /** Pushed into each other until the spines nearly meet they are parted again; flesh gives a little. */
    @Test
    void nobodyGoesThroughTheOther() {
        Bodies apart = BodyFixture.standing();
        Bodies into = Bodies.of(apart.of(Player.YOU), BodyFixture.upright(-.22, -1), apart.contacts());
        assertThat(Soundness.of(into).overlap()).isGreaterThan(3 * CENTIMETRE);
        assertThat(Soundness.of(Relaxation.of(into)).overlap()).isLessThan(1.5 * CENTIMETRE);
    }

    @Test
    void nobodyGoesThroughTheMat() {
        Bodies standing = BodyFixture.standing();
        Bodies sunk = standing.moved(Map.of(you(Joint.ANKLE_LEFT), Vector3D.of(0, 0, -.2), you(Joint.TOE_LEFT), Vector3D.of(0, 0, -.2)));
        Bodies relaxed = Relaxation.of(sunk);
        assertThat(relaxed.at(you(Joint.ANKLE_LEFT)).getZ()).isGreaterThan(.02);
        assertThat(Soundness.of(relaxed).under()).isLessThan(.001);
    }

    /** A knee that is told backwards comes forwards, and an elbow too: hinges bend one way. */
    @Test
    void kneesAndElbowsBendOneWay() {
        Bodies standing = BodyFixture.standing();
        Bodies backwards = standing.moved(Map.of(you(Joint.KNEE_LEFT), Vector3D.of(0, -.16, .06),
                you(Joint.ANKLE_LEFT), Vector3D.of(0, .02, .10), you(Joint.TOE_LEFT), Vector3D.of(0, .02, .10)))
                .with(Contacts.NONE);
        assertThat(Soundness.of(backwards).excesses()).extracting(Soundness.Excess::joint).contains(you(Joint.KNEE_LEFT));
        assertThat(Soundness.of(Relaxation.of(backwards)).degrees()).isLessThan(5);
        Bodies elbow = standing.moved(Map.of(they(Joint.WRIST_RIGHT), Vector3D.of(0, .16, .06),
                they(Joint.HAND_RIGHT), Vector3D.of(0, .22, .12)));
        assertThat(Soundness.of(elbow).excesses()).extracting(Soundness.Excess::joint).contains(they(Joint.ELBOW_RIGHT));
        assertThat(Soundness.of(Relaxation.of(elbow)).degrees()).isLessThan(5);
    }

    @Test
    void whatIsSaidToTouchTouches() {
        Bodies standing = BodyFixture.standing();
        Contacts contacts = new Contacts(standing.contacts().mat(), List.of(),
                List.of(new Contacts.Grip(you(Joint.HAND_RIGHT), new LimbOf(Player.THEY, Limb.FOREARM_LEFT), .5)));
        Bodies reaching = standing.moved(Map.of(you(Joint.WRIST_RIGHT), Vector3D.of(0, .12, .15),
                you(Joint.HAND_RIGHT), Vector3D.of(0, .18, .20))).with(contacts);
        assertThat(Soundness.of(reaching).gap()).isGreaterThan(5 * CENTIMETRE);
        assertThat(Soundness.of(Relaxation.of(reaching)).gap()).isLessThan(2 * CENTIMETRE);
    }

    /** The rule that makes one picture do for both sides: solved and mirrored is mirrored and solved. */
    @Test
    void mirroredEveryNumberStaysAndSidesChange() {
        Bodies rough = BodyFixture.standing().moved(Map.of(they(Joint.HAND_LEFT), Vector3D.of(.1, -.2, .2),
                you(Joint.KNEE_RIGHT), Vector3D.of(.05, .12, .05), you(Joint.HEAD), Vector3D.of(.02, .05, -.02)));
        assertThat(furthest(Relaxation.of(rough).mirrored(), Relaxation.of(rough.mirrored()))).isLessThan(1e-9);
        assertThat(rough.mirrored().mirrored()).isEqualTo(rough);
        assertThat(rough.mirrored().at(they(Joint.HAND_RIGHT)).getX()).isEqualTo(-rough.at(they(Joint.HAND_LEFT)).getX());
    }

    @Test
    void swappedTheTwoAreInEachOthersPlace() {
        Bodies standing = BodyFixture.standing();
        assertThat(standing.swapped().of(Player.YOU)).isEqualTo(standing.of(Player.THEY));
        assertThat(standing.swapped().swapped()).isEqualTo(standing);
    }

    /** Joints in one place have no direction between them, and still come apart to bones of their length. */
    @Test
    void whatLiesInOnePointComesApart() {
        Map<Joint, Vector3D> point = new EnumMap<>(Joint.class);
        for (Joint joint : Joint.values()) {
            point.put(joint, Vector3D.of(0, 0, .3));
        }
        Bodies relaxed = Relaxation.of(Bodies.of(BodyFixture.upright(-.6, 1), point, Contacts.NONE));
        for (Joint joint : Joint.values()) {
            assertThat(relaxed.at(Player.THEY, joint).norm()).isLessThan(2);
        }
        assertThat(relaxed.at(they(Joint.HIP_LEFT)).distance(relaxed.at(they(Joint.KNEE_LEFT)))).isGreaterThan(.1);
        assertThat(relaxed.at(they(Joint.SHOULDER_LEFT)).distance(relaxed.at(they(Joint.SHOULDER_RIGHT)))).isGreaterThan(.02);
    }

    @Test
    void theSameRoughPointsGiveTheSamePosture() {
        Bodies rough = BodyFixture.standing().moved(Map.of(they(Joint.HAND_LEFT), Vector3D.of(.1, -.2, .2)));
        assertThat(Relaxation.of(rough)).isEqualTo(Relaxation.of(rough));
    }

    /** A hand that is dragged comes along as far as the arm reaches; whoever is not touched stays. */
    @Test
    void whatIsDraggedComesAsFarAsItReaches() {
        Bodies standing = BodyFixture.standing();
        Vector3D high = Vector3D.of(-.15, -.2, 1.6);
        Bodies dragged = Relaxation.of(standing, Relaxation.NUDGE, Map.of(you(Joint.HAND_LEFT), high));
        Vector3D shoulder = dragged.at(you(Joint.SHOULDER_LEFT));
        assertThat(dragged.at(you(Joint.HAND_LEFT)).distance(shoulder)).isLessThan(.186 + .146 + .075 + .01);
        assertThat(dragged.at(you(Joint.HAND_LEFT)).getZ()).isGreaterThan(standing.at(you(Joint.HAND_LEFT)).getZ() + .2);
        assertThat(Soundness.of(dragged).rod()).isLessThan(.02);
        assertThat(dragged.at(they(Joint.HEAD)).distance(standing.at(they(Joint.HEAD)))).isLessThan(.01);
    }
}
