package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A piece of a body as it is weighed: its share of the whole mass and where along it its centre lies. P. de Leva,
 * "Adjustments to Zatsiorsky-Seluyanov's segment inertia parameters", J. Biomechanics 29 (1996), men; written down from
 * memory. The foot's centre is told there from the heel, some third of the way from ankle to toe.
 */
enum Segment {
    HEAD(.0694, 0, Joint.HEAD, Joint.HEAD),
    /** From the neck by the waist to the hip, bent at the waist. */
    TRUNK(.4346, .431, Joint.NECK, Joint.HIP),
    UPPER_ARM_LEFT(.0271, .577, Joint.SHOULDER_LEFT, Joint.ELBOW_LEFT),
    UPPER_ARM_RIGHT(.0271, .577, Joint.SHOULDER_RIGHT, Joint.ELBOW_RIGHT),
    FOREARM_LEFT(.0162, .457, Joint.ELBOW_LEFT, Joint.WRIST_LEFT),
    FOREARM_RIGHT(.0162, .457, Joint.ELBOW_RIGHT, Joint.WRIST_RIGHT),
    HAND_LEFT(.0061, .79, Joint.WRIST_LEFT, Joint.HAND_LEFT),
    HAND_RIGHT(.0061, .79, Joint.WRIST_RIGHT, Joint.HAND_RIGHT),
    THIGH_LEFT(.1416, .410, Joint.HIP_LEFT, Joint.KNEE_LEFT),
    THIGH_RIGHT(.1416, .410, Joint.HIP_RIGHT, Joint.KNEE_RIGHT),
    SHANK_LEFT(.0433, .440, Joint.KNEE_LEFT, Joint.ANKLE_LEFT),
    SHANK_RIGHT(.0433, .440, Joint.KNEE_RIGHT, Joint.ANKLE_RIGHT),
    FOOT_LEFT(.0137, .30, Joint.ANKLE_LEFT, Joint.TOE_LEFT),
    FOOT_RIGHT(.0137, .30, Joint.ANKLE_RIGHT, Joint.TOE_RIGHT);

    private final double share;
    private final double along;
    private final Joint from;
    private final Joint to;

    Segment(double share, double along, Joint from, Joint to) {
        this.share = share;
        this.along = along;
        this.from = from;
        this.to = to;
    }

    /** Its share of the whole mass. */
    double share() {
        return share;
    }

    /** Where its centre lies along it, from its near end. */
    double along() {
        return along;
    }

    /** Where its centre is. */
    Vector3D centre(Bodies bodies, Player player) {
        Vector3D near = bodies.at(player, from);
        Vector3D far = bodies.at(player, to);
        if (this != TRUNK) {
            return near.lerp(far, along);
        }
        Vector3D waist = bodies.at(player, Joint.WAIST);
        double upper = near.distance(waist);
        double way = along * (upper + waist.distance(far));
        return way <= upper ? near.lerp(waist, way / upper) : waist.lerp(far, (way - upper) / waist.distance(far));
    }

    /** Where the centre of a whole body is. */
    static Vector3D centreOf(Bodies bodies, Player player) {
        Vector3D sum = Vector3D.ZERO;
        double mass = 0;
        for (Segment segment : values()) {
            sum = sum.add(segment.centre(bodies, player).multiply(segment.share));
            mass += segment.share;
        }
        return sum.multiply(1 / mass);
    }
}
