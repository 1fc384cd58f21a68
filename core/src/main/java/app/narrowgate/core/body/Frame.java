package app.narrowgate.core.body;

import org.apache.commons.geometry.euclidean.threed.Vector3D;

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
        Vector3D level = across.subtract(up.multiply(Vectors.dot(across, up)));
        Vector3D square = hasNoDirection(level) ? Vectors.square(up) : unit(level, up);
        return new Frame(square, up, Vectors.cross(up, square));
    }

    private static boolean hasNoDirection(Vector3D vector) {
        return Vectors.length(vector) < 1e-9;
    }

    /** The direction of a vector; {@code otherwise}, a direction, where it has none. */
    static Vector3D unit(Vector3D vector, Vector3D otherwise) {
        return hasNoDirection(vector) ? otherwise : Vectors.direction(vector);
    }

    /**
     * What {@code carried} becomes when a limb that hung straight down the trunk is swung the shortest way to {@code to}, a
     * direction: the rotation of O. Rodrigues (1840) about the axis that is square to both.
     */
    Vector3D swung(Vector3D to, Vector3D carried) {
        Vector3D hanging = up.negate();
        double cosine = Vectors.dot(hanging, to);
        if (cosine < -.9999) {
            return carried;
        }
        Vector3D axis = Vectors.cross(hanging, to);
        Vector3D step = Vectors.cross(axis, carried);
        return carried.add(step).add(Vectors.cross(axis, step).multiply(1 / (1 + cosine)));
    }
}
