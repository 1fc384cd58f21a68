package app.narrowgate.core.body;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * From where a posture is looked at, from so far away that nothing is foreshortened.
 *
 * @param azimuth degrees: 0 from your feet, 90 from your left, 180 from your head, -90 from your right
 * @param elevation degrees above the mat; 90 is from straight above
 */
public record View(double azimuth, double elevation) {

    /** Degrees round the mat. */
    public static final Range AZIMUTH = new Range(-180, 180, "degrees");
    /** Degrees above the mat. */
    public static final Range ELEVATION = new Range(0, 90, "degrees");

    /** @throws RefusedException when an angle lies outside */
    public View {
        AZIMUTH.require("From which side it is seen", azimuth);
        ELEVATION.require("From how high it is seen", elevation);
    }

    /** The same place in a mirror. */
    public View mirrored() {
        return new View(azimuth == -180 ? 180 : -azimuth, elevation);
    }

    /** From straight above, turned the same way. */
    public View fromAbove() {
        return new View(azimuth, ELEVATION.high());
    }

    /** From the other side, at the same height. */
    public View fromTheOtherSide() {
        return new View(azimuth > 0 ? azimuth - 180 : azimuth + 180, elevation);
    }

    /** The direction to whoever looks. */
    public Vector3D towards() {
        double a = Math.toRadians(azimuth);
        double e = Math.toRadians(elevation);
        return Vector3D.of(StrictMath.sin(a) * StrictMath.cos(e), -StrictMath.cos(a) * StrictMath.cos(e), StrictMath.sin(e));
    }

    /** The direction that is to the right in the picture. */
    public Vector3D right() {
        double a = Math.toRadians(azimuth);
        return Vector3D.of(StrictMath.cos(a), StrictMath.sin(a), 0);
    }

    /** The direction that is up in the picture. */
    public Vector3D up() {
        return Vectors.cross(towards(), right());
    }

    /** What a way in the picture is on the mat: so far to the right, up, and towards whoever looks, in any unit. */
    public Vector3D way(double right, double up, double towards) {
        return right().multiply(right).add(up().multiply(up)).add(towards().multiply(towards));
    }
}
