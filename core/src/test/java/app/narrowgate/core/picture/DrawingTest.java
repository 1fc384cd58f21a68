package app.narrowgate.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.View;
import app.narrowgate.core.fixture.BodyFixture;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is in front covers what is behind, and a limb is one shape. */
class DrawingTest {

    private static final Bodies STANDING = BodyFixture.standing();
    private static final Pattern STEP = Pattern.compile("(M|l|a\\d+ \\d+ 0 [01]0)(-?\\d+)( ?-?\\d+)");

    private static int place(Picture picture, Player player, String name) {
        return picture.pieces().stream().map(p -> p.player() + p.name()).toList().indexOf(player + name);
    }

    private static Picture.Painted piece(Picture picture, Player player, String name) {
        return picture.pieces().get(place(picture, player, name));
    }

    /** From behind you, you cover them; from behind them, they cover you. */
    @Test
    void whoIsNearerIsPaintedLater() {
        Picture fromYou = Drawing.of(STANDING, new View(0, 10));
        assertThat(place(fromYou, Player.YOU, "chest")).isGreaterThan(place(fromYou, Player.THEY, "chest"));
        Picture fromThem = Drawing.of(STANDING, new View(180, 10));
        assertThat(place(fromThem, Player.YOU, "chest")).isLessThan(place(fromThem, Player.THEY, "chest"));
        assertThat(fromYou.seen(Player.YOU, BodyPart.TRUNK)).isGreaterThan(.6);
        assertThat(fromYou.seen(Player.THEY, BodyPart.TRUNK)).isLessThan(.4);
    }

    @Test
    void theSamePostureGivesTheSamePaths() {
        assertThat(Drawing.of(STANDING, new View(60, 40))).isEqualTo(Drawing.of(STANDING, new View(60, 40)));
    }

    /** Seen from the side a mirrored posture looks as the posture does from the other side, mirrored. */
    @Test
    void aMirroredPostureHasAMirroredPicture() {
        Picture one = Drawing.of(STANDING, new View(60, 40));
        Picture other = Drawing.of(STANDING.mirrored(), new View(60, 40).mirrored());
        assertThat(other.width()).isEqualTo(one.width());
        assertThat(other.height()).isEqualTo(one.height());
        Picture.Painted left = piece(one, Player.YOU, "forearm-left");
        Picture.Painted right = piece(other, Player.YOU, "forearm-right");
        assertThat(right.seen()).isEqualTo(left.seen(), offset(.05));
    }

    @Test
    void everythingLiesInThePicture() {
        for (View view : List.of(new View(0, 0), new View(110, 50), new View(-150, 90))) {
            Picture picture = Drawing.of(STANDING, view);
            assertThat(picture.pieces()).hasSizeBetween(19, 2 * 19);
            for (Picture.Painted piece : picture.pieces()) {
                points(piece.fill()).forEach(point -> {
                    assertThat(point[0]).isBetween(0, picture.width());
                    assertThat(point[1]).isBetween(0, picture.height());
                });
                assertThat(piece.fill()).startsWith("M").endsWith("z");
                assertThat(piece.seen()).isBetween(0.0, 1.0);
            }
        }
    }

    /** No line runs across the elbow of a hanging arm, and one runs along its side. */
    @Test
    void aLimbIsOneShape() {
        Picture picture = Drawing.of(STANDING, new View(90, 0));
        for (String name : List.of("upper-arm-right", "forearm-right", "thigh-right", "shank-right")) {
            Picture.Painted piece = piece(picture, Player.YOU, name);
            assertThat(piece.line()).doesNotContain("z").isNotEmpty();
        }
        // Trunk and hips are held each on its own: what parts them only then is a seam.
        assertThat(piece(picture, Player.YOU, "pelvis").seam() + piece(picture, Player.YOU, "chest").seam()).isNotEmpty();
        assertThat(piece(picture, Player.YOU, "forearm-right").seam()).isEmpty();
    }

    /** The cap of hair says where somebody looks: whole from behind, a part from the side, hardly any from the front. */
    @Test
    void hairIsSeenFromBehind() {
        assertThat(area(piece(Drawing.of(STANDING, new View(0, 10)), Player.YOU, "head").hair()))
                .isGreaterThan(3 * area(piece(Drawing.of(STANDING, new View(180, 10)), Player.YOU, "head").hair()));
        double behind = area(piece(Drawing.of(STANDING, new View(0, 10)), Player.YOU, "head").hair());
        double side = area(piece(Drawing.of(STANDING, new View(90, 10)), Player.YOU, "head").hair());
        assertThat(side).isBetween(.25 * behind, .95 * behind);
    }

    /** The points of a path in their order, from its relative lines and arcs. */
    private static List<int[]> points(String path) {
        List<int[]> points = new ArrayList<>();
        int[] at = {0, 0};
        for (MatchResult step : STEP.matcher(path).results().toList()) {
            boolean absolute = step.group(1).equals("M");
            at = new int[] {(absolute ? 0 : at[0]) + Integer.parseInt(step.group(2)),
                    (absolute ? 0 : at[1]) + Integer.parseInt(step.group(3).trim())};
            points.add(at);
        }
        return points;
    }

    /** Shoelace. */
    private static double area(String path) {
        List<int[]> points = points(path);
        double twice = 0;
        for (int i = 0; i < points.size(); i++) {
            int[] a = points.get(i);
            int[] b = points.get((i + 1) % points.size());
            twice += (double) a[0] * b[1] - (double) b[0] * a[1];
        }
        return Math.abs(twice) / 2;
    }

    /** A palm on the mat has its thumb inwards, towards the other hand. */
    @Test
    void thumbsOfPostedHandsLookInwards() {
        Bodies posted = STANDING.with(new Contacts(Set.of(
                new JointOf(Player.YOU, Joint.HAND_LEFT), new JointOf(Player.YOU, Joint.HAND_RIGHT)),
                List.of(), List.of()));
        // Looking to +y the left hand is at −x, so that inwards is +x.
        assertThat(Hands.thumb(posted, Player.YOU, true).getX()).isGreaterThan(.9);
        assertThat(Hands.thumb(posted, Player.YOU, false).getX()).isLessThan(-.9);
    }
}
