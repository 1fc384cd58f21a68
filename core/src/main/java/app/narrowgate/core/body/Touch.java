package app.narrowgate.core.body;

import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * Where two limbs that rest against each other are nearest.
 *
 * @param at the middle between their surfaces there
 * @param away the direction from the first to the other, of length one
 * @param along how far along the first, from its end nearer to the trunk (0) to the other (1)
 * @param alongOther the same of the other
 */
public record Touch(Vector3D at, Vector3D away, double along, double alongOther) {

    /** Where the two limbs of a rest are nearest in a posture. */
    public static Touch of(Bodies bodies, Contacts.Rest rest) {
        Capsules.Meeting meeting = Capsules.meeting(bodies.joints(), rest.one(), rest.other());
        Vector3D away = Vector3D.of(meeting.x(), meeting.y(), meeting.z());
        double[] ends = new double[6];
        Capsules.place(bodies.joints(), rest.one(), ends, 0);
        double radius = Capsules.radius(bodies.sizes(), rest.one(), meeting.along());
        double radiusOther = Capsules.radius(bodies.sizes(), rest.other(), meeting.alongOther());
        // Flesh gives on both sides, the thicker one more.
        double depth = radius + (meeting.distance() - radius - radiusOther) * radius / (radius + radiusOther);
        return new Touch(Vectors.between(Points.at(ends, 0), Points.at(ends, 1), meeting.along()).add(away.multiply(depth)), away,
                meeting.along(), meeting.alongOther());
    }
}
