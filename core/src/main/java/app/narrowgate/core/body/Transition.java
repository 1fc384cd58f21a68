package app.narrowgate.core.body;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;
import org.ojalgo.matrix.decomposition.Eigenvalue;
import org.ojalgo.matrix.store.MatrixStore;
import org.ojalgo.matrix.store.R064Store;
import org.ojalgo.matrix.store.RawStore;

/**
 * How two bodies get from one posture to another, in a few pictures.
 *
 * <p>Problem: postures are told each on a mat of its own, and what lies half way between two of them has bones of any
 * length and goes through itself. So the second is laid onto the first as well as turning and moving it on the mat can (W.
 * Kabsch, "A solution for the best rotation to relate two sets of vectors", Acta Cryst. A32, 1976, in the plane), mirrored
 * where that fits better. What is between is tried in turn: each body turned and bent part of the way about its own pelvis
 * (K. Shoemake, "Animating rotation with quaternion curves", SIGGRAPH 1985); the same while both together roll as one, as in
 * a bridge (B. K. P. Horn, "Closed-form solution of absolute orientation using unit quaternions", J. Opt. Soc. Am. A 4,
 * 1987); the same with the upper one lifted off the lower; and all three to the mirrored end. Each is solved like any rough
 * posture, touching only what touches at both ends. The first in which bodies are clear of each other and joints within their
 * limits is taken, or that in which they are most so. Precondition: both postures are solved. Cost: one to six relaxations for
 * each picture between.
 *
 * @param postures the first, those between, and the last as it was laid onto the first
 * @param mirrored true where the last is the mirror of what was given
 */
public record Transition(List<Bodies> postures, boolean mirrored) {

    /** Bodies that go no deeper through each other are clear of each other, in stature. */
    private static final double CLEAR = .0085;
    /** Joints that turn no further beyond their limits are not seen to, degrees. */
    private static final double TURNED = 6;
    /** How many degrees too far weigh as much as a body just not clear of the other. */
    private static final double KNEE_FOR_A_KNOT = 30;
    /** How far the upper one is lifted off the lower, in stature. */
    private static final double ROOM = .25;

    /** Keeps the order. */
    public Transition {
        postures = List.copyOf(postures);
    }

    /**
     * The way from one posture to another.
     *
     * @param between how many pictures to solve between the two, 0 or more
     */
    public static Transition of(Bodies from, Bodies to, int between) {
        Laid straight = laid(from, to);
        Laid turned = laid(from, to.mirrored());
        List<Laid> ends = turned.apart() < straight.apart() ? List.of(turned, straight) : List.of(straight, turned);
        List<Bodies> best = List.of();
        Laid last = ends.get(0);
        double least = Double.POSITIVE_INFINITY;
        for (Laid end : ends) {
            for (Manner manner : Manner.values()) {
                List<Bodies> way = least <= 1 ? List.of() : way(from, end.bodies(), manner, between);
                double faults = least <= 1 ? least : faults(way);
                if (faults < least) {
                    best = way;
                    last = end;
                    least = faults;
                }
            }
        }
        List<Bodies> postures = new ArrayList<>();
        postures.add(from);
        postures.addAll(best);
        postures.add(last.bodies());
        return new Transition(postures, last == turned);
    }

    /** How the two get there: each for itself, rolling as one, or one after the other has made room. */
    private enum Manner {
        EACH, TOGETHER, APART
    }

    private static List<Bodies> way(Bodies from, Bodies to, Manner manner, int between) {
        Contacts both = both(from.contacts(), to.contacts());
        Roll roll = manner == Manner.TOGETHER ? Roll.of(from, to) : Roll.NONE;
        return IntStream.rangeClosed(1, between).mapToObj(i -> (double) i / (between + 1)).map(share -> {
            Bodies rough = partOfTheWay(from, to, roll, share);
            return Relaxation.of((manner == Manner.APART ? apart(rough, share) : rough).with(both));
        }).toList();
    }

    /** Half way one of the two is lifted off the other, the one who is higher. */
    private static Bodies apart(Bodies bodies, double share) {
        Player upper = bodies.at(Player.YOU, Joint.WAIST).getZ() > bodies.at(Player.THEY, Joint.WAIST).getZ() ? Player.YOU : Player.THEY;
        Vector3D lift = Vector3D.of(0, 0, ROOM * StrictMath.sin(Math.PI * share));
        Map<JointOf, Vector3D> moved = new LinkedHashMap<>();
        for (Joint joint : Joint.values()) {
            moved.put(new JointOf(upper, joint), lift);
        }
        return bodies.moved(moved);
    }

    /** How bad the worst of some postures is: 1 and less is possible. A knee that turns too far is less seen than a knot. */
    private static double faults(List<Bodies> postures) {
        return postures.stream().map(Soundness::of).mapToDouble(sound -> sound.overlap() <= CLEAR && sound.degrees() <= TURNED ? 0
                : 1 + sound.overlap() / CLEAR + sound.degrees() / KNEE_FOR_A_KNOT).max().orElse(0);
    }

    /** A posture laid onto another, and how far its joints are then from the other's: the sum of squares. */
    private record Laid(Bodies bodies, double apart) {
    }

    private static Laid laid(Bodies onto, Bodies bodies) {
        double[] a = onto.joints();
        double[] b = bodies.joints();
        double[] middleA = middle(a);
        double[] middleB = middle(b);
        double along = 0;
        double across = 0;
        for (int i = 0; i < a.length; i += 3) {
            double ax = a[i] - middleA[0];
            double ay = a[i + 1] - middleA[1];
            double bx = b[i] - middleB[0];
            double by = b[i + 1] - middleB[1];
            along += ax * bx + ay * by;
            across += ay * bx - ax * by;
        }
        double length = Math.hypot(along, across);
        double cos = length < 1e-12 ? 1 : along / length;
        double sin = length < 1e-12 ? 0 : across / length;
        double[] laid = new double[b.length];
        double apart = 0;
        for (int i = 0; i < b.length; i += 3) {
            double bx = b[i] - middleB[0];
            double by = b[i + 1] - middleB[1];
            laid[i] = middleA[0] + cos * bx - sin * by;
            laid[i + 1] = middleA[1] + sin * bx + cos * by;
            laid[i + 2] = b[i + 2];
            for (int k = 0; k < 3; k++) {
                apart += (laid[i + k] - a[i + k]) * (laid[i + k] - a[i + k]);
            }
        }
        return new Laid(new Bodies(laid, bodies.sizes(), bodies.contacts()), apart);
    }

    private static double[] middle(double[] joints) {
        double[] middle = new double[2];
        for (int i = 0; i < joints.length; i += 3) {
            middle[0] += joints[i] * 3 / joints.length;
            middle[1] += joints[i + 1] * 3 / joints.length;
        }
        return middle;
    }

    /** What touches at both ends. */
    private static Contacts both(Contacts from, Contacts to) {
        Set<JointOf> mat = new LinkedHashSet<>(from.mat());
        mat.retainAll(to.mat());
        return new Contacts(mat, from.rests().stream().filter(to.rests()::contains).toList(),
                from.grips().stream().filter(to.grips()::contains).toList());
    }

    /**
     * Both bodies turned together as if they were one piece.
     *
     * @param rotation about their middle
     * @param middle where that is at the beginning
     * @param after where it is at the end
     */
    private record Roll(QuaternionRotation rotation, Vector3D middle, Vector3D after) {

        static final Roll NONE = new Roll(QuaternionRotation.identity(), Vector3D.ZERO, Vector3D.ZERO);

        /** The turn that brings one posture as near to another as one piece can come. */
        static Roll of(Bodies from, Bodies to) {
            Vector3D middle = middleOf(from);
            Vector3D after = middleOf(to);
            double[][] sums = new double[3][3];
            for (int i = 0; i < 2 * Joint.COUNT; i++) {
                double[] a = Points.at(from.joints(), i).subtract(middle).toArray();
                double[] b = Points.at(to.joints(), i).subtract(after).toArray();
                for (int r = 0; r < 3; r++) {
                    for (int c = 0; c < 3; c++) {
                        sums[r][c] += a[r] * b[c];
                    }
                }
            }
            return new Roll(mostAlike(sums), middle, after);
        }

        private static Vector3D middleOf(Bodies bodies) {
            Vector3D sum = Vector3D.ZERO;
            for (int i = 0; i < 2 * Joint.COUNT; i++) {
                sum = sum.add(Points.at(bodies.joints(), i));
            }
            return sum.multiply(1.0 / (2 * Joint.COUNT));
        }

        /** Horn's quaternion: the eigenvector of the largest eigenvalue of a symmetric matrix of the sums. */
        private static QuaternionRotation mostAlike(double[][] s) {
            double[][] n = {
                {s[0][0] + s[1][1] + s[2][2], s[1][2] - s[2][1], s[2][0] - s[0][2], s[0][1] - s[1][0]},
                {s[1][2] - s[2][1], s[0][0] - s[1][1] - s[2][2], s[0][1] + s[1][0], s[2][0] + s[0][2]},
                {s[2][0] - s[0][2], s[0][1] + s[1][0], s[1][1] - s[0][0] - s[2][2], s[1][2] + s[2][1]},
                {s[0][1] - s[1][0], s[2][0] + s[0][2], s[1][2] + s[2][1], s[2][2] - s[0][0] - s[1][1]}};
            Eigenvalue<Double> eigen = Eigenvalue.R064.make(4, true);
            eigen.decompose(R064Store.FACTORY.copy(RawStore.wrap(n)));
            int largest = 0;
            for (int i = 1; i < 4; i++) {
                largest = eigen.getEigenvalues().get(i).getReal() > eigen.getEigenvalues().get(largest).getReal() ? i : largest;
            }
            MatrixStore<Double> vectors = eigen.getV();
            return QuaternionRotation.of(vectors.doubleValue(0, largest), vectors.doubleValue(1, largest),
                    vectors.doubleValue(2, largest), vectors.doubleValue(3, largest));
        }

        /** A point at the end, brought back to where it would be without the roll. */
        Vector3D back(Vector3D point) {
            return middle.add(rotation.inverse().apply(point.subtract(after)));
        }

        /** A point that has not rolled yet, rolled so much of the way. */
        Vector3D rolled(Vector3D point, QuaternionRotation part, double share) {
            return middle.lerp(after, share).add(part.apply(point.subtract(middle)));
        }
    }

    private static Bodies partOfTheWay(Bodies from, Bodies to, Roll roll, double share) {
        double[] ends = new double[to.joints().length];
        for (int i = 0; i < 2 * Joint.COUNT; i++) {
            Vector3D back = roll.back(Points.at(to.joints(), i));
            Points.add(ends, i, back.getX(), back.getY(), back.getZ());
        }
        QuaternionRotation rolling = part(roll.rotation(), share);
        double[] joints = new double[ends.length];
        double lowest = 0;
        for (Player player : Player.values()) {
            int first = player.ordinal() * Joint.COUNT;
            Frame start = Frame.ofPelvis(from.joints(), first);
            Frame end = Frame.ofPelvis(ends, first);
            QuaternionRotation whole = QuaternionRotation.createBasisRotation(start.right(), start.up(), end.right(), end.up());
            QuaternionRotation turning = part(whole, share);
            Vector3D hip = from.at(player, Joint.HIP);
            Vector3D hipAfter = Points.at(ends, first + Joint.HIP.ordinal());
            Vector3D now = hip.lerp(hipAfter, share);
            for (Joint joint : Joint.values()) {
                Vector3D before = from.at(player, joint).subtract(hip);
                Vector3D after = whole.inverse().apply(Points.at(ends, first + joint.ordinal()).subtract(hipAfter));
                Vector3D at = roll.rolled(now.add(turning.apply(before.lerp(after, share))), rolling, share);
                Points.add(joints, first + joint.ordinal(), at.getX(), at.getY(), at.getZ());
                lowest = Math.min(lowest, at.getZ());
            }
        }
        for (int i = 0; i < 2 * Joint.COUNT; i++) {
            Points.add(joints, i, 0, 0, -lowest);
        }
        return new Bodies(joints, from.sizes(), from.contacts());
    }

    private static QuaternionRotation part(QuaternionRotation whole, double share) {
        return QuaternionRotation.of(QuaternionRotation.identity().slerp(whole).apply(share).getQuaternion());
    }
}
