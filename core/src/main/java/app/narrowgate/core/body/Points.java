package app.narrowgate.core.body;

import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** Points kept three numbers each in one array. */
final class Points {

    private Points() {
    }

    static Vector3D at(double[] points, int index) {
        return Vector3D.of(points[3 * index], points[3 * index + 1], points[3 * index + 2]);
    }

    static double distance(double[] points, int a, int b) {
        double x = points[3 * b] - points[3 * a];
        double y = points[3 * b + 1] - points[3 * a + 1];
        double z = points[3 * b + 2] - points[3 * a + 2];
        return Math.sqrt(x * x + y * y + z * z);
    }

    static void add(double[] points, int index, double x, double y, double z) {
        points[3 * index] += x;
        points[3 * index + 1] += y;
        points[3 * index + 2] += z;
    }
}
