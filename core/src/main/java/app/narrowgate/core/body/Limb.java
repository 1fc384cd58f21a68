package app.narrowgate.core.body;

import static app.narrowgate.core.body.Joint.*;

import app.narrowgate.core.check.Coded;

/**
 * A piece of a body as it meets other pieces and the mat: a capsule between two points, each a weighted mean of joints.
 * Chest and pelvis are two capsules each, side by side, for a trunk is wider than it is deep.
 */
public enum Limb implements Coded {
    HEAD(end(.057, at(Joint.HEAD)), end(.040, at(Joint.HEAD, .4), at(Joint.NOSE, .3), at(Joint.NECK, .3))),
    NECK(end(.036, at(Joint.NECK)), end(.034, at(Joint.NECK, .45), at(Joint.HEAD, .55))),
    CHEST_LEFT(chestTop(SHOULDER_LEFT), chestFoot(SHOULDER_LEFT, SHOULDER_RIGHT)),
    CHEST_RIGHT(chestTop(SHOULDER_RIGHT), chestFoot(SHOULDER_RIGHT, SHOULDER_LEFT)),
    PELVIS_LEFT(pelvisTop(HIP_LEFT, HIP_RIGHT), end(.056, at(HIP_LEFT))),
    PELVIS_RIGHT(pelvisTop(HIP_RIGHT, HIP_LEFT), end(.056, at(HIP_RIGHT))),
    UPPER_ARM_LEFT(end(.041, at(SHOULDER_LEFT)), end(.030, at(ELBOW_LEFT))),
    UPPER_ARM_RIGHT(end(.041, at(SHOULDER_RIGHT)), end(.030, at(ELBOW_RIGHT))),
    FOREARM_LEFT(end(.030, at(ELBOW_LEFT)), end(.021, at(WRIST_LEFT))),
    FOREARM_RIGHT(end(.030, at(ELBOW_RIGHT)), end(.021, at(WRIST_RIGHT))),
    HAND_LEFT(end(.021, at(WRIST_LEFT)), end(.021, at(Joint.HAND_LEFT))),
    HAND_RIGHT(end(.021, at(WRIST_RIGHT)), end(.021, at(Joint.HAND_RIGHT))),
    THIGH_LEFT(end(.056, at(HIP_LEFT)), end(.040, at(KNEE_LEFT))),
    THIGH_RIGHT(end(.056, at(HIP_RIGHT)), end(.040, at(KNEE_RIGHT))),
    SHANK_LEFT(end(.040, at(KNEE_LEFT)), end(.026, at(ANKLE_LEFT))),
    SHANK_RIGHT(end(.040, at(KNEE_RIGHT)), end(.026, at(ANKLE_RIGHT))),
    FOOT_LEFT(end(.026, at(ANKLE_LEFT)), end(.017, at(TOE_LEFT))),
    FOOT_RIGHT(end(.026, at(ANKLE_RIGHT)), end(.017, at(TOE_RIGHT)));

    /** How many limbs a body has. */
    static final int COUNT = values().length;

    /** A joint's part in a point; the parts of a point sum to one. */
    private record Share(Joint joint, double weight) {
    }

    /** One end of a capsule, a weighted mean of joints. Kept as plain numbers, as a relaxation asks for it some 100,000 times. */
    static final class End {

        private final double radius;
        private final int[] joints;
        private final double[] weights;

        private End(double radius, Share... shares) {
            this.radius = radius;
            joints = new int[shares.length];
            weights = new double[shares.length];
            for (int i = 0; i < shares.length; i++) {
                joints[i] = shares[i].joint().ordinal();
                weights[i] = shares[i].weight();
            }
        }

        double radius() {
            return radius;
        }

        /** Where it is, written into {@code to} from {@code at} on; {@code first} is the player's first joint among {@code points}. */
        void place(double[] points, int first, double[] to, int at) {
            double x = 0;
            double y = 0;
            double z = 0;
            for (int i = 0; i < joints.length; i++) {
                int from = 3 * (first + joints[i]);
                x += weights[i] * points[from];
                y += weights[i] * points[from + 1];
                z += weights[i] * points[from + 2];
            }
            to[at] = x;
            to[at + 1] = y;
            to[at + 2] = z;
        }

        /** Moves the joints that carry it, each by its weight. */
        void push(double[] points, int first, double x, double y, double z) {
            for (int i = 0; i < joints.length; i++) {
                Points.add(points, first + joints[i], weights[i] * x, weights[i] * y, weights[i] * z);
            }
        }

        /** How far a push of this share of one moves it. */
        double carriage(double share) {
            double sum = 0;
            for (double one : weights) {
                double weight = one * share;
                sum += weight * weight;
            }
            return sum;
        }
    }

    private final End from;
    private final End to;

    Limb(End from, End to) {
        this.from = from;
        this.to = to;
    }

    private static Share at(Joint joint) {
        return new Share(joint, 1);
    }

    private static Share at(Joint joint, double weight) {
        return new Share(joint, weight);
    }

    private static End end(double radius, Share... shares) {
        return new End(radius, shares);
    }

    private static End chestTop(Joint shoulder) {
        return end(.058, at(Joint.NECK, .38), at(shoulder, .50), at(WAIST, .12));
    }

    private static End chestFoot(Joint near, Joint far) {
        return end(.052, at(WAIST, .94), at(near, .23), at(far, -.17));
    }

    private static End pelvisTop(Joint near, Joint far) {
        return end(.052, at(WAIST), at(near, .42), at(far, -.42));
    }

    /** The end nearer to the trunk's middle. */
    End from() {
        return from;
    }

    /** The other end. */
    End to() {
        return to;
    }

    boolean isHand() {
        return this == HAND_LEFT || this == HAND_RIGHT;
    }

    /** The same limb of the other side; itself where there is only one. */
    public Limb mirrored() {
        if (name().endsWith("_LEFT")) {
            return values()[ordinal() + 1];
        }
        return name().endsWith("_RIGHT") ? values()[ordinal() - 1] : this;
    }
}
