package app.narrowgate.core.picture;

import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Vectors;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** Where thumbs are. */
final class Hands {

    private Hands() {
    }

    /**
     * The direction in which a thumb stands off its hand, of length one and square to the hand. A hand on the mat lies
     * palm down; any other is as it hangs from a bent elbow, thumb to the side of the upper arm.
     */
    static Vector3D thumb(Bodies bodies, Player player, boolean left) {
        Joint hand = left ? Joint.HAND_LEFT : Joint.HAND_RIGHT;
        Vector3D elbow = bodies.at(player, left ? Joint.ELBOW_LEFT : Joint.ELBOW_RIGHT);
        Vector3D wrist = bodies.at(player, left ? Joint.WRIST_LEFT : Joint.WRIST_RIGHT);
        Vector3D fingers = Vectors.direction(bodies.at(player, hand).subtract(wrist));
        if (bodies.contacts().mat().contains(new JointOf(player, hand))) {
            Vector3D inwards = Vectors.cross(Vector3D.Unit.PLUS_Z, fingers).multiply(left ? -1 : 1);
            if (Vectors.length(inwards) > .3) {
                return Vectors.direction(inwards);
            }
        }
        Vector3D upper = bodies.at(player, left ? Joint.SHOULDER_LEFT : Joint.SHOULDER_RIGHT).subtract(elbow);
        Vector3D square = upper.subtract(fingers.multiply(Vectors.dot(upper, fingers)));
        return Vectors.length(square) < 1e-3 ? Vectors.square(fingers) : Vectors.direction(square);
    }
}
