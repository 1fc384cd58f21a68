package app.narrowgate.core.body;

import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.rotation.QuaternionRotation;

/**
 * The directions of a chest or a pelvis, each of length one: {@code up} along the spine to the head, {@code front} where
 * the belly looks, {@code right} to the right hand.
 */
record Frame(Vector3D right, Vector3D up, Vector3D front) {

    /** The chest of a player; {@code first} is the index of the player's first joint. */
    static Frame ofChest(double[] joints, int first) {
        return of(joints, first, Joint.NECK, Joint.WAIST, Joint.SHOULDER_LEFT, Joint.SHOULDER_RIGHT);
    }

    /** The pelvis of a player. */
    static Frame ofPelvis(double[] joints, int first) {
        return of(joints, first, Joint.WAIST, Joint.HIP, Joint.HIP_LEFT, Joint.HIP_RIGHT);
    }

    private static Frame of(double[] joints, int first, Joint top, Joint foot, Joint left, Joint right) {
        Vector3D up = unit(Points.at(joints, first + top.ordinal()).subtract(Points.at(joints, first + foot.ordinal())),
                Vector3D.Unit.PLUS_Z);
        Vector3D across = Points.at(joints, first + right.ordinal()).subtract(Points.at(joints, first + left.ordinal()));
        Vector3D square = unit(across.subtract(up.multiply(across.dot(up))), up.orthogonal());
        return new Frame(square, up, up.cross(square));
    }

    /** The direction of a vector; {@code otherwise} where it has none. */
    static Vector3D unit(Vector3D vector, Vector3D otherwise) {
        return vector.norm() < 1e-9 ? otherwise.normalize() : vector.normalize();
    }

    /** What {@code carried} becomes when a limb that hung straight down the trunk is swung the shortest way to {@code to}. */
    Vector3D swung(Vector3D to, Vector3D carried) {
        Vector3D hanging = up.negate();
        return hanging.dot(to) < -.9999 ? carried
                : QuaternionRotation.createVectorRotation(hanging, to).apply(carried);
    }
}
