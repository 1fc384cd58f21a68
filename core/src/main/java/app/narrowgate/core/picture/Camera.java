package app.narrowgate.core.picture;

import app.narrowgate.core.body.Vectors;
import app.narrowgate.core.body.View;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** The directions of a view, worked out once: to the right and up in the picture, and towards whoever looks. */
record Camera(Vector3D right, Vector3D up, Vector3D towards) {

    static Camera of(View view) {
        return new Camera(view.right(), view.up(), view.towards());
    }

    Disc disc(Ball ball) {
        Vector3D middle = ball.middle();
        return new Disc(Vectors.dot(middle, right), Vectors.dot(middle, up), ball.radius(), Vectors.dot(middle, towards));
    }
}
