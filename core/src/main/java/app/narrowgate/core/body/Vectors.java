package app.narrowgate.core.body;

import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * What a relaxation and a drawing ask of vectors some 10,000 times, with sums as they come. Those of {@link Vector3D} are
 * exact to the last digit: that takes ten times as long, nothing of it is seen in a picture, and where this is compiled for
 * browsers its tables are larger than the bodies.
 */
public final class Vectors {

    /** What is shorter has no direction, in stature. */
    private static final double POINT = 1e-12;

    private Vectors() {
    }

    /** The product of two vectors: of two directions the cosine of the angle between them. */
    public static double dot(Vector3D one, Vector3D other) {
        return one.getX() * other.getX() + one.getY() * other.getY() + one.getZ() * other.getZ();
    }

    /** The vector that is square to two others, a right hand's thumb where its fingers turn the one into the other. */
    public static Vector3D cross(Vector3D one, Vector3D other) {
        return Vector3D.of(one.getY() * other.getZ() - one.getZ() * other.getY(), one.getZ() * other.getX() - one.getX() * other.getZ(),
                one.getX() * other.getY() - one.getY() * other.getX());
    }

    /** How long a vector is. */
    public static double length(Vector3D vector) {
        return Math.sqrt(dot(vector, vector));
    }

    /** How far two points lie apart. */
    public static double distance(Vector3D one, Vector3D other) {
        return length(other.subtract(one));
    }

    /**
     * The direction of a vector, of length one.
     *
     * @throws IllegalArgumentException for one that has none
     */
    public static Vector3D direction(Vector3D vector) {
        double length = length(vector);
        if (!(length > POINT)) {
            throw new IllegalArgumentException("A vector without a direction");
        }
        return vector.multiply(1 / length);
    }

    /** A direction that is square to a vector which has one: in the plane of its two longest sides. */
    public static Vector3D square(Vector3D vector) {
        double x = Math.abs(vector.getX());
        double y = Math.abs(vector.getY());
        double z = Math.abs(vector.getZ());
        return direction(x <= y && x <= z ? Vector3D.of(0, vector.getZ(), -vector.getY())
                : y <= z ? Vector3D.of(-vector.getZ(), 0, vector.getX()) : Vector3D.of(vector.getY(), -vector.getX(), 0));
    }

    /** The point so far from one to another, from 0 to 1. */
    public static Vector3D between(Vector3D from, Vector3D to, double share) {
        return from.multiply(1 - share).add(to.multiply(share));
    }
}
