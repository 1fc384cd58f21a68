package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Vectors;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A head: a skull, a chin, a nose, and a cap of hair that shows where it looks at every size.
 *
 * @param middle where its middle is, in its own stature
 * @param face the direction in which it looks
 * @param crown the direction to the top of the skull
 */
record Head(Vector3D middle, Vector3D face, Vector3D crown) {

    /** Half the opening of the cap of hair, as a cosine: 82 degrees. */
    private static final double HAIRLINE = StrictMath.cos(Math.toRadians(82));
    private static final double SKULL = .055;
    private static final int STEPS = 14;

    static Head of(Bodies bodies, Player player) {
        Vector3D head = bodies.at(player, Joint.HEAD);
        Vector3D spine = Vectors.direction(head.subtract(bodies.at(player, Joint.NECK)));
        Vector3D nose = Vectors.direction(bodies.at(player, Joint.NOSE).subtract(head));
        // A nodding head turns as one piece: the crown is square to where it looks.
        Vector3D crown = spine.subtract(nose.multiply(Vectors.dot(spine, nose)));
        return new Head(head.multiply(1 / bodies.size(player)), nose, Vectors.length(crown) < 1e-6 ? Vectors.square(nose) : Vectors.direction(crown));
    }

    Ball skull() {
        return new Ball(middle.add(crown.multiply(.010)).add(face.multiply(-.004)), SKULL);
    }

    Ball chin() {
        return new Ball(middle.add(crown.multiply(-.042)).add(face.multiply(.024)), .031);
    }

    List<Ball> nose() {
        return List.of(new Ball(middle.add(face.multiply(.046)).add(crown.multiply(.006)), .010),
                new Ball(middle.add(face.multiply(.069)).add(crown.multiply(-.012)), .0075));
    }

    /**
     * The outline of the hair as it is seen: points in the picture, in its own stature, closed; empty when only the face is seen. The cap is
     * what of the skull lies within 82 degrees of a direction behind and above; its edge is the part of that circle which
     * looks this way, joined along the edge of the skull.
     */
    List<double[]> hair(Camera camera) {
        Vector3D axis = Vectors.direction(face.multiply(-.8).add(crown.multiply(.6)));
        Vector3D towards = camera.towards();
        double height = Vectors.dot(axis, towards);
        double reach = Math.sqrt(1 - HAIRLINE * HAIRLINE);
        Vector3D tilt = towards.subtract(axis.multiply(height));
        Vector3D one = Vectors.length(tilt) < 1e-6 ? Vectors.square(axis) : Vectors.direction(tilt);
        Vector3D other = Vectors.cross(axis, one);
        // The hairline at angle φ from the point nearest to whoever looks; it looks this way while this is positive.
        double least = HAIRLINE * height - reach * Vectors.length(tilt);
        double most = HAIRLINE * height + reach * Vectors.length(tilt);
        if (most <= 0) {
            return height > 0 ? rim(camera) : List.of();
        }
        double half = least >= 0 ? Math.PI : StrictMath.acos(-HAIRLINE * height / (reach * Vectors.length(tilt)));
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            double angle = -half + 2 * half * i / STEPS;
            points.add(place(camera, axis.multiply(HAIRLINE).add(one.multiply(reach * StrictMath.cos(angle)))
                    .add(other.multiply(reach * StrictMath.sin(angle)))));
        }
        if (half < Math.PI) {
            points.addAll(edge(camera, axis, points.get(points.size() - 1), points.get(0)));
        }
        return points;
    }

    /** The skull's edge where hair covers it, from the end of the hairline back to its beginning. */
    private List<double[]> edge(Camera camera, Vector3D axis, double[] from, double[] to) {
        double[] centre = place(camera, Vector3D.ZERO);
        double a = StrictMath.atan2(from[1] - centre[1], from[0] - centre[0]);
        double b = StrictMath.atan2(to[1] - centre[1], to[0] - centre[0]);
        double towardsHair = StrictMath.atan2(Vectors.dot(axis, camera.up()), Vectors.dot(axis, camera.right()));
        double way = turn(b - a);
        // Of the two ways round, the one that passes where the hair is.
        if (turn(towardsHair - a) > way) {
            way -= 2 * Math.PI;
        }
        List<double[]> points = new ArrayList<>();
        for (int i = 1; i < STEPS; i++) {
            double angle = a + way * i / STEPS;
            points.add(new double[] {centre[0] + SKULL * StrictMath.cos(angle), centre[1] + SKULL * StrictMath.sin(angle)});
        }
        return points;
    }

    /** The whole edge of the skull. */
    private List<double[]> rim(Camera camera) {
        double[] centre = place(camera, Vector3D.ZERO);
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i < STEPS; i++) {
            double angle = 2 * Math.PI * i / STEPS;
            points.add(new double[] {centre[0] + SKULL * StrictMath.cos(angle), centre[1] + SKULL * StrictMath.sin(angle)});
        }
        return points;
    }

    /** An angle between 0 and a full turn. */
    private static double turn(double angle) {
        double left = angle % (2 * Math.PI);
        return left < 0 ? left + 2 * Math.PI : left;
    }

    /** Where a point of the skull is in the picture; a direction of length one, or none for its middle. */
    private double[] place(Camera camera, Vector3D direction) {
        Vector3D point = skull().middle().add(direction.multiply(SKULL));
        return new double[] {Vectors.dot(point, camera.right()), Vectors.dot(point, camera.up())};
    }
}
