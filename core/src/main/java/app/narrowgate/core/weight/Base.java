package app.narrowgate.core.weight;

import app.narrowgate.core.weight.Supports.Landing;
import app.narrowgate.core.weight.Supports.Post;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/**
 * The ground on which somebody stands, and how far they are from falling off it. The base is the convex hull of the
 * patches that stand on the mat and of where a free hand could come down. A body whose centre is h high and d before
 * the edge on one side tips over that edge once it is leant by atan(d/h); less than nothing says that the centre lies
 * outside already. Cost: the hull, n log n in the points round the patches.
 */
public final class Base {

    private static final int POINTS = 24;
    private static final double STANDARD_GRAVITY = 9.80665;

    /** A direction along the mat, radians from x towards y, and by how many degrees somebody must be leant to tip there. */
    public record Lean(double azimuth, double degrees) {
    }

    private final Vector3D centre;
    private final List<Vector3D> middles = new ArrayList<>();
    private final List<Double> radii = new ArrayList<>();
    private final List<Vector3D> outline;

    private Base(Vector3D centre, List<Post> posts, List<Landing> landings) {
        this.centre = centre;
        posts.forEach(post -> add(post.at(), post.radius()));
        landings.forEach(landing -> landing.within().forEach(point -> add(point, 0)));
        Coordinate[] points = IntStream.range(0, middles.size()).boxed().flatMap(this::round).toArray(Coordinate[]::new);
        Geometry hull = new ConvexHull(points, new GeometryFactory()).getConvexHull();
        // JTS closes a ring with its first point, and runs clockwise.
        List<Vector3D> ring = new ArrayList<>(Stream.of(hull.getCoordinates()).map(c -> Vector3D.of(c.getX(), c.getY(), 0)).toList());
        ring.remove(ring.size() - 1);
        outline = List.copyOf(ring);
    }

    /**
     * The base of somebody who stands on something.
     *
     * @param centre the centre of their mass, above the mat
     * @param posts at least one
     * @param landings where else a hand could come down; may be empty
     */
    static Base of(Vector3D centre, List<Post> posts, List<Landing> landings) {
        return new Base(centre, posts, landings);
    }

    private void add(Vector3D middle, double radius) {
        middles.add(middle);
        radii.add(radius);
    }

    private Stream<Coordinate> round(int i) {
        return IntStream.range(0, POINTS).mapToObj(k -> {
            double angle = 2 * Math.PI * k / POINTS;
            return new Coordinate(middles.get(i).getX() + radii.get(i) * StrictMath.cos(angle),
                    middles.get(i).getY() + radii.get(i) * StrictMath.sin(angle));
        });
    }

    /** The corners of the base on the mat, one after the other. */
    public List<Vector3D> outline() {
        return outline;
    }

    /** How far the edge lies before the centre in a direction along the mat; negative where it lies behind it. */
    double distance(double azimuth) {
        double x = StrictMath.cos(azimuth);
        double y = StrictMath.sin(azimuth);
        double edge = IntStream.range(0, middles.size())
                .mapToDouble(i -> middles.get(i).getX() * x + middles.get(i).getY() * y + radii.get(i)).max().orElseThrow();
        return edge - centre.getX() * x - centre.getY() * y;
    }

    /** By how many degrees they must be leant in a direction until they tip; negative where they lean on you already. */
    public double degrees(double azimuth) {
        return Math.toDegrees(StrictMath.atan2(distance(azimuth), centre.getZ()));
    }

    /**
     * The work of lifting them over the edge on one side.
     *
     * @param weight kilograms
     * @param unit metres that are one in the posture
     * @return joules; 0 where they lean on you already
     */
    public double work(double azimuth, double weight, double unit) {
        double d = Math.max(0, distance(azimuth));
        return weight * STANDARD_GRAVITY * (Math.hypot(centre.getZ(), d) - centre.getZ()) * unit;
    }

    /**
     * Where they tip first. Over an inner point that is across an edge, from an outer one it may be away from a corner;
     * those are all the directions that need to be tried.
     */
    public Lean weakest() {
        List<Double> tried = new ArrayList<>();
        for (int i = 0; i < outline.size(); i++) {
            Vector3D edge = outline.get((i + 1) % outline.size()).subtract(outline.get(i));
            tried.add(StrictMath.atan2(edge.getX(), -edge.getY()));
            tried.add(StrictMath.atan2(-edge.getX(), edge.getY()));
            tried.add(StrictMath.atan2(centre.getY() - outline.get(i).getY(), centre.getX() - outline.get(i).getX()));
        }
        return tried.stream().map(azimuth -> new Lean(azimuth, degrees(azimuth)))
                .min(Comparator.comparingDouble(Lean::degrees).thenComparingDouble(Lean::azimuth)).orElseThrow();
    }

    /** By how many degrees they must be leant in so many directions round the mat, from x towards y. */
    public List<Double> rose(int directions) {
        return IntStream.range(0, directions).mapToObj(i -> degrees(2 * Math.PI * i / directions)).toList();
    }

    /** The two ends of the edge that bounds the base in a direction; the same point twice where that is a corner. */
    public List<Vector3D> edge(double azimuth) {
        double x = StrictMath.cos(azimuth);
        double y = StrictMath.sin(azimuth);
        double most = outline.stream().mapToDouble(p -> p.getX() * x + p.getY() * y).max().orElseThrow();
        List<Vector3D> onIt = outline.stream().filter(p -> p.getX() * x + p.getY() * y > most - 2e-3)
                .sorted(Comparator.comparingDouble(p -> p.getY() * x - p.getX() * y)).toList();
        return List.of(onIt.get(0), onIt.get(onIt.size() - 1));
    }
}
