package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Vectors;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A convex piece of a body.
 *
 * @param name what it is, such as {@code forearm-left}
 * @param part which part of the body it belongs to
 * @param balls whose hull it is, in the order in which they follow each other
 * @param seams where it hangs together with other pieces
 */
record Piece(Player player, String name, BodyPart part, List<Ball> balls, List<Seam> seams) {

    /** Where two pieces of a body hang together: around this ball no line parts them. */
    record Seam(String with, Ball around) {
    }

    /** True for two pieces of one body of which one names the other. */
    boolean hangsTogetherWith(Piece other) {
        return player == other.player && (names(other) || other.names(this));
    }

    private boolean names(Piece other) {
        for (Seam seam : seams) {
            if (seam.with().equals(other.name)) {
                return true;
            }
        }
        return false;
    }

    /** How long a limb is from its first ball to its last, in stature. */
    double length() {
        return Vectors.distance(balls.get(0).middle(), balls.get(balls.size() - 1).middle());
    }

    /**
     * The two halves of a limb, which cover and are covered each on their own; the piece itself where it is no limb.
     * They keep its name and hang together in the middle.
     */
    List<Piece> halves() {
        if (balls.size() != 3) {
            return List.of(this);
        }
        Ball from = balls.get(0);
        Ball swell = balls.get(1);
        Ball to = balls.get(2);
        Ball middle = swell.towards(to, .2);
        List<Seam> all = new ArrayList<>(seams);
        all.add(new Seam(name, middle));
        return List.of(new Piece(player, name, part, List.of(from, swell, middle), all),
                new Piece(player, name, part, List.of(middle, swell.towards(to, .6), to), all));
    }

    /** All pieces of one of the two. */
    static List<Piece> of(Bodies bodies, Player player) {
        return new Shapes(bodies, player).pieces().stream().map(piece -> piece.grown(bodies.size(player))).toList();
    }

    private Piece grown(double size) {
        return size == 1 ? this : new Piece(player, name, part, balls.stream().map(ball -> ball.grown(size)).toList(),
                seams.stream().map(seam -> new Seam(seam.with(), seam.around().grown(size))).toList());
    }

    /** What a body looks like, measured by eye so that it reads at every size; in its own stature. */
    private static final class Shapes {
        private final Bodies bodies;
        private final Player player;
        private final List<Piece> pieces = new ArrayList<>();

        Shapes(Bodies bodies, Player player) {
            this.bodies = bodies;
            this.player = player;
        }

        List<Piece> pieces() {
            head();
            trunk();
            for (boolean left : new boolean[] {true, false}) {
                arm(left);
                leg(left);
            }
            return List.copyOf(pieces);
        }

        private void add(String name, BodyPart part, List<Ball> balls, Seam... seams) {
            pieces.add(new Piece(player, name, part, balls, List.of(seams)));
        }

        private Vector3D at(Joint joint) {
            return bodies.at(player, joint).multiply(1 / bodies.size(player));
        }

        private static Ball ball(Vector3D middle, double radius) {
            return new Ball(middle, radius);
        }

        private static Vector3D mean(Vector3D a, Vector3D b, double share) {
            return Vectors.between(a, b, share);
        }

        private void head() {
            Head head = Head.of(bodies, player);
            Ball skull = head.skull();
            Ball collar = ball(mean(at(Joint.NECK), at(Joint.WAIST), .06), .040);
            Ball throat = ball(mean(at(Joint.NECK), at(Joint.HEAD), .55), .034);
            add("head", BodyPart.HEAD, List.of(skull, head.chin()), new Seam("neck", throat), new Seam("nose", skull));
            add("nose", BodyPart.HEAD, head.nose(), new Seam("head", new Ball(head.nose().get(0).middle(), .011)));
            add("neck", BodyPart.HEAD, List.of(collar, throat), new Seam("head", throat), new Seam("chest", collar));
        }

        private void trunk() {
            Vector3D neck = at(Joint.NECK);
            Vector3D waist = at(Joint.WAIST);
            Vector3D across = Vectors.direction(at(Joint.SHOULDER_RIGHT).subtract(at(Joint.SHOULDER_LEFT)));
            Vector3D acrossHips = Vectors.direction(at(Joint.HIP_RIGHT).subtract(at(Joint.HIP_LEFT)));
            Ball left = ball(mean(neck, at(Joint.SHOULDER_LEFT), .78), .043);
            Ball right = ball(mean(neck, at(Joint.SHOULDER_RIGHT), .78), .043);
            Vector3D ribs = mean(waist, neck, .50);
            Ball ribLeft = ball(ribs.add(across.multiply(-.047)), .060);
            Ball ribRight = ball(ribs.add(across.multiply(.047)), .060);
            Ball waistLeft = ball(waist.add(across.multiply(-.033)), .052);
            Ball waistRight = ball(waist.add(across.multiply(.033)), .052);
            Ball belt = ball(waist, .085);
            add("chest", BodyPart.TRUNK, List.of(left, right, ribLeft, ribRight, waistLeft, waistRight),
                    new Seam("neck", ball(neck, .040)), new Seam("pelvis", belt),
                    new Seam("upper-arm-left", ball(at(Joint.SHOULDER_LEFT), .041)),
                    new Seam("upper-arm-right", ball(at(Joint.SHOULDER_RIGHT), .041)));
            Ball hipLeft = ball(at(Joint.HIP_LEFT), .058);
            Ball hipRight = ball(at(Joint.HIP_RIGHT), .058);
            add("pelvis", BodyPart.HIPS, List.of(ball(waist.add(acrossHips.multiply(-.036)), .050),
                            ball(waist.add(acrossHips.multiply(.036)), .050), hipLeft, hipRight),
                    new Seam("chest", belt), new Seam("thigh-left", hipLeft), new Seam("thigh-right", hipRight));
        }

        private void arm(boolean left) {
            String side = left ? "-left" : "-right";
            BodyPart part = left ? BodyPart.LEFT_ARM : BodyPart.RIGHT_ARM;
            Vector3D shoulder = at(left ? Joint.SHOULDER_LEFT : Joint.SHOULDER_RIGHT);
            Vector3D elbow = at(left ? Joint.ELBOW_LEFT : Joint.ELBOW_RIGHT);
            Vector3D wrist = at(left ? Joint.WRIST_LEFT : Joint.WRIST_RIGHT);
            Vector3D knuckles = at(left ? Joint.HAND_LEFT : Joint.HAND_RIGHT);
            Ball round = ball(shoulder, .041);
            Ball point = ball(elbow, .029);
            Ball joint = ball(wrist, .021);
            add("upper-arm" + side, part, List.of(round, ball(mean(shoulder, elbow, .45), .036), point),
                    new Seam("chest", round), new Seam("forearm" + side, point));
            add("forearm" + side, part, List.of(point, ball(mean(elbow, wrist, .28), .032), joint),
                    new Seam("upper-arm" + side, point), new Seam("hand" + side, joint), new Seam("thumb" + side, joint));
            Vector3D thumb = Hands.thumb(bodies, player, left);
            Ball palm = ball(mean(wrist, knuckles, .60).add(thumb.multiply(.003)), .026);
            Ball root = ball(mean(wrist, knuckles, .30).add(thumb.multiply(.010)), .014);
            add("hand" + side, part, List.of(joint, palm, ball(knuckles, .021)),
                    new Seam("forearm" + side, joint), new Seam("thumb" + side, ball(root.middle(), .022)));
            add("thumb" + side, part, List.of(root, ball(mean(wrist, knuckles, .78).add(thumb.multiply(.036)), .0105)),
                    new Seam("hand" + side, ball(root.middle(), .022)), new Seam("forearm" + side, joint));
        }

        private void leg(boolean left) {
            String side = left ? "-left" : "-right";
            BodyPart part = left ? BodyPart.LEFT_LEG : BodyPart.RIGHT_LEG;
            Vector3D hip = at(left ? Joint.HIP_LEFT : Joint.HIP_RIGHT);
            Vector3D knee = at(left ? Joint.KNEE_LEFT : Joint.KNEE_RIGHT);
            Vector3D ankle = at(left ? Joint.ANKLE_LEFT : Joint.ANKLE_RIGHT);
            Vector3D toe = at(left ? Joint.TOE_LEFT : Joint.TOE_RIGHT);
            Ball seat = ball(hip, .058);
            Ball cap = ball(knee, .040);
            Ball bone = ball(ankle, .026);
            add("thigh" + side, part, List.of(seat, ball(mean(hip, knee, .45), .053), cap),
                    new Seam("pelvis", seat), new Seam("shank" + side, cap));
            add("shank" + side, part, List.of(cap, ball(mean(knee, ankle, .32), .041), bone),
                    new Seam("thigh" + side, cap), new Seam("foot" + side, bone));
            Vector3D forwards = Vectors.direction(toe.subtract(ankle));
            Vector3D down = Vectors.direction(ankle.subtract(knee));
            Ball heel = ball(ankle.add(forwards.multiply(-.026)).add(down.multiply(.012)), .021);
            add("foot" + side, part, List.of(heel, bone, ball(mean(ankle, toe, .62), .0235), ball(toe, .0165)),
                    new Seam("shank" + side, bone));
        }
    }
}
