package app.narrowgate.core.weight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.fixture.BodyFixture;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Masses and centres against P. de Leva, "Adjustments to Zatsiorsky-Seluyanov's segment inertia parameters", J. Biomechanics
 * 29 (1996), table 4, men. The figures are written down from memory; what can be checked without the table is that they
 * sum to a whole body and put a standing man's centre where it is known to be.
 */
class SegmentTest {

    private static final Bodies STANDING = BodyFixture.standing();

    @ParameterizedTest
    @CsvSource({"HEAD, 6.94", "TRUNK, 43.46", "UPPER_ARM_LEFT, 2.71", "UPPER_ARM_RIGHT, 2.71", "FOREARM_LEFT, 1.62",
            "FOREARM_RIGHT, 1.62", "HAND_LEFT, 0.61", "HAND_RIGHT, 0.61", "THIGH_LEFT, 14.16", "THIGH_RIGHT, 14.16",
            "SHANK_LEFT, 4.33", "SHANK_RIGHT, 4.33", "FOOT_LEFT, 1.37", "FOOT_RIGHT, 1.37"})
    void weighsWhatTheTableSays(Segment segment, double percent) {
        assertThat(segment.share() * 100).isCloseTo(percent, within(1e-9));
    }

    @Test
    void allTogetherAreAWholeBody() {
        assertThat(Stream.of(Segment.values()).mapToDouble(Segment::share).sum()).isCloseTo(1, within(5e-4));
    }

    /** From the near end: trunk 43.1, upper arm 57.7, forearm 45.7, thigh 41.0, shank 44.0 % of the length. */
    @ParameterizedTest
    @CsvSource({"TRUNK, .431", "UPPER_ARM_LEFT, .577", "FOREARM_RIGHT, .457", "THIGH_LEFT, .410", "SHANK_RIGHT, .440"})
    void hasItsCentreWhereTheTableSays(Segment segment, double along) {
        assertThat(segment.along()).isCloseTo(along, within(1e-9));
    }

    /** A standing man's centre lies at some 55 to 57 % of his height; common knowledge of the field, no single source. */
    @Test
    void aStandingManHasItsCentreAboveTheHips() {
        Vector3D centre = Segment.centreOf(STANDING, Player.THEY);
        assertThat(centre.getZ()).isBetween(.54, .58);
        assertThat(centre.getX()).isCloseTo(0, within(1e-6));
        assertThat(centre.getY()).isBetween(.27, .31);
    }

    /** A trunk that bends at the waist has its centre on the bent line, and a straight one on the straight line. */
    @Test
    void aTrunkIsWeighedAlongItsBend() {
        Vector3D straight = Segment.TRUNK.centre(STANDING, Player.YOU);
        Vector3D neck = STANDING.at(Player.YOU, Joint.NECK);
        Vector3D hip = STANDING.at(Player.YOU, Joint.HIP);
        assertThat(straight.distance(neck.lerp(hip, .431))).isLessThan(1e-9);
        Bodies bent = STANDING.moved(Map.of(new JointOf(Player.YOU, Joint.WAIST), Vector3D.of(0, .08, 0)));
        assertThat(Segment.TRUNK.centre(bent, Player.YOU).getY()).isBetween(straight.getY() + .03, straight.getY() + .08);
    }

    /** Half the height above you halves the share of the height, whatever the size. */
    @Test
    void aTallerBodyIsTheSameBodyLarger() {
        Bodies taller = STANDING.sized(Player.THEY, 1.2);
        Vector3D usual = Segment.centreOf(STANDING, Player.THEY);
        assertThat(Segment.centreOf(taller, Player.THEY).getZ()).isCloseTo(1.2 * usual.getZ(), within(1e-9));
        assertThat(Segment.centreOf(taller, Player.YOU)).isEqualTo(Segment.centreOf(STANDING, Player.YOU));
    }
}
