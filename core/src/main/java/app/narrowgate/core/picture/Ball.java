package app.narrowgate.core.picture;

import app.narrowgate.core.body.Vectors;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** A ball; pieces of a body are convex hulls of a few of them. */
record Ball(Vector3D middle, double radius) {

    Ball grown(double size) {
        return new Ball(middle.multiply(size), size * radius);
    }

    Ball towards(Ball other, double share) {
        return new Ball(Vectors.between(middle, other.middle, share), radius + share * (other.radius - radius));
    }
}
