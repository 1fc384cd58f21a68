package app.narrowgate.core.body;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * Where all joints of two bodies are, and what touches what. Lengths in stature, which is the same for both unless one is
 * said to be taller; the mat is z = 0. Lying on your back you
 * have the head towards +y and your left towards +x.
 */
public final class Bodies {

    /** How far from the middle a joint may be, in stature. */
    public static final Range REACH = new Range(-3, 3, "statures");

    /** How much taller or shorter one of the two may be than the unit. */
    public static final Range SIZE = new Range(.5, 2, "");

    private final double[] joints;
    private final double[] sizes;
    private final Contacts contacts;

    Bodies(double[] joints, double[] sizes, Contacts contacts) {
        this.joints = joints;
        this.sizes = sizes;
        this.contacts = contacts;
    }

    /**
     * A posture of all joints.
     *
     * @param you the bottom player's joints, every one
     * @param they the top player's joints, every one
     * @throws RefusedException when one is missing or out of reach
     */
    public static Bodies of(Map<Joint, Vector3D> you, Map<Joint, Vector3D> they, Contacts contacts) {
        double[] joints = new double[2 * Joint.COUNT * 3];
        put(joints, Player.YOU, you);
        put(joints, Player.THEY, they);
        return new Bodies(joints, new double[] {1, 1}, contacts);
    }

    private static void put(double[] joints, Player player, Map<Joint, Vector3D> points) {
        for (Joint joint : Joint.values()) {
            JointOf of = new JointOf(player, joint);
            Vector3D point = points.get(joint);
            if (point == null) {
                throw new RefusedException("%s is missing; a posture places every joint of both.".formatted(of));
            }
            REACH.require("The place of " + of + " to the side", point.getX());
            REACH.require("The place of " + of + " along the mat", point.getY());
            REACH.require("The height of " + of, point.getZ());
            int at = 3 * of.index();
            joints[at] = point.getX();
            joints[at + 1] = point.getY();
            joints[at + 2] = point.getZ();
        }
    }

    /** Where a joint is. */
    public Vector3D at(JointOf joint) {
        return Points.at(joints, joint.index());
    }

    /** Where a joint is. */
    public Vector3D at(Player player, Joint joint) {
        return at(new JointOf(player, joint));
    }

    /** All joints of one of the two. */
    public Map<Joint, Vector3D> of(Player player) {
        Map<Joint, Vector3D> points = new EnumMap<>(Joint.class);
        for (Joint joint : Joint.values()) {
            points.put(joint, at(player, joint));
        }
        return points;
    }

    /** What touches what. */
    public Contacts contacts() {
        return contacts;
    }

    /** The same joints with other contacts. */
    public Bodies with(Contacts others) {
        return new Bodies(joints, sizes, others);
    }

    /** The same with joints moved by so much, not yet possible: {@link Relaxation} makes it so. */
    public Bodies moved(Map<JointOf, Vector3D> by) {
        double[] moved = joints.clone();
        by.forEach((joint, step) -> {
            int at = 3 * joint.index();
            moved[at] = inReach(joint, moved[at] + step.getX());
            moved[at + 1] = inReach(joint, moved[at + 1] + step.getY());
            moved[at + 2] = inReach(joint, moved[at + 2] + step.getZ());
        });
        return new Bodies(moved, sizes, contacts);
    }

    private static double inReach(JointOf joint, double place) {
        return REACH.require("Where %s is moved to".formatted(joint), place);
    }

    /** How tall one of the two is, in units of length; 1 unless somebody said otherwise. */
    public double size(Player player) {
        return sizes[player.ordinal()];
    }

    /**
     * The same with one of the two taller or shorter, grown about the foot of the waist; not yet possible,
     * {@link Relaxation} makes it so.
     *
     * @param size how tall, in units of length, within {@link #SIZE}
     */
    public Bodies sized(Player player, double size) {
        SIZE.require("How tall one is against the other", size);
        double[] others = sizes.clone();
        others[player.ordinal()] = size;
        double factor = size / size(player);
        Vector3D waist = at(player, Joint.WAIST);
        double[] grown = joints.clone();
        for (Joint joint : Joint.values()) {
            int at = 3 * new JointOf(player, joint).index();
            grown[at] = waist.getX() + factor * (grown[at] - waist.getX());
            grown[at + 1] = waist.getY() + factor * (grown[at + 1] - waist.getY());
            grown[at + 2] = factor * grown[at + 2];
        }
        return new Bodies(grown, others, contacts);
    }

    /** The same seen in a mirror: x turned round, left and right exchanged. */
    public Bodies mirrored() {
        double[] mirrored = new double[joints.length];
        for (Player player : Player.values()) {
            for (Joint joint : Joint.values()) {
                int from = 3 * new JointOf(player, joint).index();
                int to = 3 * new JointOf(player, joint.mirrored()).index();
                mirrored[to] = -joints[from];
                mirrored[to + 1] = joints[from + 1];
                mirrored[to + 2] = joints[from + 2];
            }
        }
        return new Bodies(mirrored, sizes, contacts.mirrored());
    }

    /** The same with the two in each other's place. */
    public Bodies swapped() {
        Bodies swapped = of(of(Player.THEY), of(Player.YOU), contacts.swapped());
        return new Bodies(swapped.joints, new double[] {sizes[1], sizes[0]}, swapped.contacts);
    }

    /** The same to a ten thousandth of a stature, as it is kept in files. */
    public Bodies rounded() {
        double[] rounded = new double[joints.length];
        for (int i = 0; i < joints.length; i++) {
            // A zero has no sign in a file.
            rounded[i] = Math.rint(joints[i] * 1e4) / 1e4 + 0.0;
        }
        return new Bodies(rounded, sizes, contacts);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Bodies bodies && Arrays.equals(joints, bodies.joints) && Arrays.equals(sizes, bodies.sizes)
                && contacts.equals(bodies.contacts);
    }

    @Override
    public int hashCode() {
        return 31 * (31 * Arrays.hashCode(joints) + Arrays.hashCode(sizes)) + contacts.hashCode();
    }

    double[] copyOfJoints() {
        return joints.clone();
    }

    double[] sizes() {
        return sizes;
    }

    double[] joints() {
        return joints;
    }
}
