package app.narrowgate.core.body;

import static app.narrowgate.core.body.Joint.*;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * How far joints turn. A knee and an elbow bend one way; which way that is follows from the shortest swing of the limb
 * from where it hung, and the limb may be turned about its own length from there by so many degrees. The limits are wide:
 * they keep knees from bending backwards, not a stiff student from being drawn supple. Common practice, no source.
 */
final class Limits {

    /** How far a thigh turns about its length, degrees. */
    static final double KNEE = 75;
    /** How far an upper arm turns about its length, degrees. */
    static final double ELBOW = 110;
    /** How far a foot points out of the plane in which its knee bends, degrees. */
    static final double ANKLE = 65;
    /** How far behind the plane of the chest an elbow goes, as the sine of the angle. */
    static final double SHOULDER_BACK = .80;
    /** How far across the chest an elbow goes, as the sine of the angle. */
    static final double SHOULDER_ACROSS = .82;
    /** How far the face turns from where the chest looks, as the cosine. */
    static final double FACE = -.30;

    private static final boolean[] SIDES = {true, false};
    /** A limb so straight that its bend has no direction, as the sine of the bend. */
    private static final double STRAIGHT = .30;
    /** A foot so far pointed that it has no direction of its own, as the sine of the angle to the shin. */
    private static final double POINTED = .60;
    /** An arm so far up that the shortest swing to it is a matter of chance, as the cosine of the angle to straight up. */
    private static final double OVERHEAD = .80;

    private final double[] joints;
    private final Player player;
    private final int first;
    private final Frame chest;
    private final Frame pelvis;

    /** Measures what is there now. */
    Limits(double[] joints, Player player) {
        this.joints = joints;
        this.player = player;
        this.first = player.ordinal() * Joint.COUNT;
        chest = Frame.ofChest(joints, first);
        pelvis = Frame.ofPelvis(joints, first);
    }

    /** Turns what exceeds its limit back by a share of the excess. */
    void ease(double share) {
        // All from the same state, so that no side comes before the other.
        double[] steps = new double[3 * Joint.COUNT];
        for (boolean left : SIDES) {
            turn(steps, share, knee(left), left ? KNEE_LEFT : KNEE_RIGHT, left ? ANKLE_LEFT : ANKLE_RIGHT, left ? TOE_LEFT : TOE_RIGHT);
            turn(steps, share, elbow(left), left ? ELBOW_LEFT : ELBOW_RIGHT, left ? WRIST_LEFT : WRIST_RIGHT,
                    left ? HAND_LEFT : HAND_RIGHT);
            turn(steps, Math.min(1, 2 * share), ankle(left), left ? ANKLE_LEFT : ANKLE_RIGHT, left ? TOE_LEFT : TOE_RIGHT);
            push(steps, share, shoulder(left), left ? ELBOW_LEFT : ELBOW_RIGHT, left ? WRIST_LEFT : WRIST_RIGHT,
                    left ? HAND_LEFT : HAND_RIGHT);
        }
        push(steps, share, face(), NOSE);
        for (int i = 0; i < steps.length; i++) {
            joints[3 * first + i] += steps[i];
        }
    }

    /** What exceeds its limit, with by how much. */
    List<Soundness.Excess> excesses() {
        List<Soundness.Excess> found = new ArrayList<>();
        for (boolean left : SIDES) {
            note(found, left ? KNEE_LEFT : KNEE_RIGHT, Math.abs(knee(left).excess()));
            note(found, left ? ELBOW_LEFT : ELBOW_RIGHT, Math.abs(elbow(left).excess()));
            note(found, left ? ANKLE_LEFT : ANKLE_RIGHT, Math.abs(ankle(left).excess()));
            note(found, left ? SHOULDER_LEFT : SHOULDER_RIGHT, Math.toDegrees(Vectors.length(shoulder(left))
                    / Vectors.length(vector(left ? SHOULDER_LEFT : SHOULDER_RIGHT, left ? ELBOW_LEFT : ELBOW_RIGHT))));
        }
        note(found, NOSE, Math.toDegrees(Vectors.length(face()) / Vectors.length(vector(Joint.HEAD, NOSE))));
        return found;
    }

    private void note(List<Soundness.Excess> found, Joint joint, double degrees) {
        if (degrees > 0) {
            found.add(new Soundness.Excess(new JointOf(player, joint), degrees));
        }
    }

    /** A turn about an axis of length one by which a limb exceeds its limit, in degrees; 0 where it does not. */
    private record Turn(Vector3D axis, double excess) {
        static final Turn NONE = new Turn(Vector3D.Unit.PLUS_Z, 0);
    }

    private Turn knee(boolean left) {
        return twist(pelvis, left ? HIP_LEFT : HIP_RIGHT, left ? KNEE_LEFT : KNEE_RIGHT, left ? ANKLE_LEFT : ANKLE_RIGHT,
                pelvis.front().negate(), KNEE);
    }

    private Turn elbow(boolean left) {
        Vector3D arm = direction(left ? SHOULDER_LEFT : SHOULDER_RIGHT, left ? ELBOW_LEFT : ELBOW_RIGHT);
        return Vectors.dot(arm, chest.up()) > OVERHEAD ? Turn.NONE
                : twist(chest, left ? SHOULDER_LEFT : SHOULDER_RIGHT, left ? ELBOW_LEFT : ELBOW_RIGHT,
                        left ? WRIST_LEFT : WRIST_RIGHT, chest.front(), ELBOW);
    }

    private Turn twist(Frame trunk, Joint root, Joint middle, Joint end, Vector3D bend, double limit) {
        Vector3D upper = direction(root, middle);
        return excess(upper, trunk.swung(upper, bend), direction(middle, end), limit, STRAIGHT);
    }

    private Turn ankle(boolean left) {
        Joint knee = left ? KNEE_LEFT : KNEE_RIGHT;
        Joint ankle = left ? ANKLE_LEFT : ANKLE_RIGHT;
        Vector3D thigh = direction(left ? HIP_LEFT : HIP_RIGHT, knee);
        Vector3D shank = direction(knee, ankle);
        // The shin looks where the thigh would go on; that of a straight leg, where the belly looks.
        Vector3D forwards = thigh.add(pelvis.swung(thigh, pelvis.front()).multiply(.3));
        return excess(shank, forwards, direction(ankle, left ? TOE_LEFT : TOE_RIGHT), ANKLE, POINTED);
    }

    /** By how much {@code turned} is turned about {@code axis} from {@code neutral} beyond the limit. */
    private static Turn excess(Vector3D axis, Vector3D neutral, Vector3D turned, double limit, double straight) {
        Vector3D from = neutral.subtract(axis.multiply(Vectors.dot(neutral, axis)));
        Vector3D to = turned.subtract(axis.multiply(Vectors.dot(turned, axis)));
        if (Vectors.length(to) < straight || Vectors.length(from) < 1e-6) {
            return Turn.NONE;
        }
        double angle = Math.toDegrees(StrictMath.atan2(Vectors.dot(Vectors.cross(from, to), axis), Vectors.dot(from, to)));
        return Math.abs(angle) <= limit ? Turn.NONE : new Turn(axis, angle - Math.signum(angle) * limit);
    }

    /** The way an elbow has to go so that the shoulder can carry it. */
    private Vector3D shoulder(boolean left) {
        Vector3D arm = vector(left ? SHOULDER_LEFT : SHOULDER_RIGHT, left ? ELBOW_LEFT : ELBOW_RIGHT);
        Vector3D inwards = left ? chest.right() : chest.right().negate();
        double back = -Vectors.dot(arm, chest.front()) - SHOULDER_BACK * Vectors.length(arm);
        double across = Vectors.dot(arm, inwards) - SHOULDER_ACROSS * Vectors.length(arm);
        return chest.front().multiply(Math.max(0, back)).subtract(inwards.multiply(Math.max(0, across)));
    }

    /** The way a nose has to go so that the neck can carry it. */
    private Vector3D face() {
        Vector3D face = vector(Joint.HEAD, NOSE);
        return chest.front().multiply(Math.max(0, FACE * Vectors.length(face) - Vectors.dot(face, chest.front())));
    }

    private Vector3D direction(Joint from, Joint to) {
        return Frame.unit(vector(from, to), Vector3D.Unit.PLUS_Z);
    }

    private Vector3D vector(Joint from, Joint to) {
        return Points.at(joints, first + to.ordinal()).subtract(Points.at(joints, first + from.ordinal()));
    }

    private void turn(double[] steps, double share, Turn turn, Joint about, Joint... turned) {
        if (turn.excess() == 0) {
            return;
        }
        double angle = -Math.toRadians(turn.excess()) * share;
        double cos = StrictMath.cos(angle);
        double sin = StrictMath.sin(angle);
        Vector3D pivot = Points.at(joints, first + about.ordinal());
        for (Joint joint : turned) {
            Vector3D arm = Points.at(joints, first + joint.ordinal()).subtract(pivot);
            Vector3D along = turn.axis().multiply(Vectors.dot(arm, turn.axis()));
            Vector3D turnedArm = along.add(arm.subtract(along).multiply(cos)).add(Vectors.cross(turn.axis(), arm).multiply(sin));
            move(steps, joint, turnedArm.subtract(arm));
        }
    }

    private static void push(double[] steps, double share, Vector3D way, Joint... pushed) {
        for (Joint joint : pushed) {
            move(steps, joint, way.multiply(share));
        }
    }

    private static void move(double[] steps, Joint joint, Vector3D by) {
        Points.add(steps, joint.ordinal(), by.getX(), by.getY(), by.getZ());
    }
}
