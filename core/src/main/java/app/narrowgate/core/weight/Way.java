package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.check.Coded;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A direction along the mat as you would call it. Lying on your back or your belly you have a right and a left side, on
 * your side a front and a back.
 */
public enum Way implements Coded {
    HEAD, HEAD_RIGHT, RIGHT, FEET_RIGHT, FEET, FEET_LEFT, LEFT, HEAD_LEFT, HEAD_FRONT, FRONT, FEET_FRONT, FEET_BACK, BACK, HEAD_BACK;

    private static final double SECTOR = Math.PI / 4;
    /** A trunk so upright that it points nowhere along the mat, in stature. */
    private static final double UPRIGHT = .08;

    /** How directions along the mat are called by the bottom player of a posture. */
    public static final class Compass {
        private final Vector3D head;
        private final boolean onTheSide;
        /** 1 where your right hand (on the side: your front) lies clockwise of your head seen from above, else -1. */
        private final double turn;

        private Compass(Vector3D head, boolean onTheSide, double turn) {
            this.head = head;
            this.onTheSide = onTheSide;
            this.turn = turn;
        }

        /** The bottom player's. */
        public static Compass of(Bodies bodies) {
            Vector3D spine = bodies.at(Player.YOU, Joint.NECK).subtract(bodies.at(Player.YOU, Joint.HIP));
            Vector3D across = bodies.at(Player.YOU, Joint.SHOULDER_RIGHT).subtract(bodies.at(Player.YOU, Joint.SHOULDER_LEFT))
                    .add(bodies.at(Player.YOU, Joint.HIP_RIGHT)).subtract(bodies.at(Player.YOU, Joint.HIP_LEFT));
            Vector3D front = spine.cross(across);
            // Sitting or standing your feet are before you.
            Vector3D along = flat(spine).norm() > UPRIGHT * bodies.size(Player.YOU) ? flat(spine) : flat(front.negate());
            Vector3D head = along.norm() < 1e-9 ? Vector3D.Unit.PLUS_Y : along.normalize();
            Vector3D clockwise = head.cross(Vector3D.Unit.PLUS_Z);
            double right = clockwise.dot(across.normalize());
            double ahead = front.norm() < 1e-9 ? 0 : clockwise.dot(front.normalize());
            boolean onTheSide = Math.abs(ahead) > Math.abs(right);
            return new Compass(head, onTheSide, Math.signum(onTheSide ? ahead : right) < 0 ? -1 : 1);
        }

        private static Vector3D flat(Vector3D vector) {
            return Vector3D.of(vector.getX(), vector.getY(), 0);
        }

        /** How a direction is called; only where it points along the mat counts. */
        public Way of(Vector3D direction) {
            double clockwise = StrictMath.atan2(head.cross(Vector3D.Unit.PLUS_Z).dot(direction), head.dot(direction));
            int sector = Math.floorMod((int) Math.rint(turn * clockwise / SECTOR), 8);
            Way way = values()[sector];
            if (!onTheSide) {
                return way;
            }
            return switch (way) {
                case HEAD_RIGHT -> HEAD_FRONT;
                case RIGHT -> FRONT;
                case FEET_RIGHT -> FEET_FRONT;
                case FEET_LEFT -> FEET_BACK;
                case LEFT -> BACK;
                case HEAD_LEFT -> HEAD_BACK;
                default -> way;
            };
        }

        /** The direction in which your head lies, radians from x towards y seen from above. */
        public double headAzimuth() {
            return StrictMath.atan2(head.getY(), head.getX());
        }
    }
}
