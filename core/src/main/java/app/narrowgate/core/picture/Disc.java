package app.narrowgate.core.picture;

import app.narrowgate.core.body.View;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** A ball in the picture: where its middle is, how large it is, and how far towards whoever looks. */
record Disc(double x, double y, double radius, double near) {

    static Disc of(Ball ball, View view) {
        Vector3D m = ball.middle();
        return new Disc(m.dot(view.right()), m.dot(view.up()), ball.radius(), m.dot(view.towards()));
    }

    /** How far the disc reaches in a direction of length one. */
    double support(double cos, double sin) {
        return x * cos + y * sin + radius;
    }
}
