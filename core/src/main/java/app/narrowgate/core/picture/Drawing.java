package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.View;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * Draws a bodies from a view. Pieces are hulls of discs; their order is that of {@link Covering}; a piece has no line
 * where it hangs together with its neighbour, so that a limb is one shape and a folded arm still has its edge. The same
 * bodies and view give the same paths. Cost some milliseconds.
 */
public final class Drawing {

    /** Cells of the grid in which pieces vote for what covers what, in stature. */
    static final double CELL = .008;
    private static final double FINE_CELL = .003;
    /** While a hand drags a joint: a limb's outline may be hidden a hand's breadth too far. */
    private static final double ROUGH_CELL = .016;
    /** How long a piece of outline is that is drawn or left out as one, in stature, with such cells. */
    private static final double FINENESS = .004;
    /** How far round a seam lines are left out, as a multiple of the radius there. */
    private static final double ROUND_A_SEAM = 1.3;
    /** How deep in its neighbour an outline must lie to be left out, in stature. */
    private static final double WITHIN = .0016;
    /** What lies lower than this marks the ground, in stature. */
    private static final double LOW = .10;
    private static final Set<String> MARKING = Set.of("chest", "pelvis", "head", "thigh-left", "thigh-right", "shank-left", "shank-right", "forearm-left",
            "forearm-right", "foot-left", "foot-right");
    private static final double MARGIN = .025;
    /** How many limbs of a posture are halved at most, from which length on, and for how many cells it is not worth it. */
    private static final int MOST_HALVED = 8;
    private static final int MOST_HALVED_ROUGHLY = 0;
    private static final double SHORTEST_HALVED = .05;
    private static final int FEW_CELLS = 4;
    /** Smaller differences are those of the arithmetic, which is not the same in a browser. */
    private static final double NOISE = 1e-6;
    /** What is seen less than this is not seen. */
    private static final double LEAST_SEEN = .005;

    private final Bodies bodies;
    private final Camera camera;
    private final double cell;
    private final List<Piece> pieces;
    private final List<List<Disc>> discs;
    private final List<Hull> hulls;
    private final List<List<Seam>> seams;
    private final double left;
    private final double top;
    private final int width;
    private final int height;

    private Drawing(Bodies bodies, View view, Collection<Vector3D> also, double cell) {
        this.bodies = bodies;
        this.cell = cell;
        camera = Camera.of(view);
        pieces = parted(Stream.of(Player.values()).flatMap(player -> Piece.of(bodies, player).stream()).toList());
        discs = pieces.stream().map(this::discs).toList();
        hulls = discs.stream().map(Hull::new).toList();
        seams = pieces.stream().map(this::seams).toList();
        List<Disc> shown = Stream.concat(discs.stream().flatMap(List::stream),
                also.stream().map(point -> camera.disc(new Ball(point, 0)))).toList();
        double right = shown.stream().mapToDouble(d -> d.x() + d.radius()).max().orElse(0) + MARGIN;
        double bottom = shown.stream().mapToDouble(d -> d.y() - d.radius()).min().orElse(0) - MARGIN;
        left = shown.stream().mapToDouble(d -> d.x() - d.radius()).min().orElse(0) - MARGIN;
        top = shown.stream().mapToDouble(d -> d.y() + d.radius()).max().orElse(0) + MARGIN;
        width = (int) Math.ceil((right - left) * Picture.STATURE);
        height = (int) Math.ceil((top - bottom) * Picture.STATURE);
    }

    /** Two bodies as they are seen from there. */
    public static Picture of(Bodies bodies, View view) {
        return new Drawing(bodies, view, List.of(), CELL).picture();
    }

    /**
     * A picture with where other points are in it.
     *
     * @param picture what is drawn, wide enough for the points
     * @param across how far from the left edge each point is, in the order in which they were given
     * @param down how far from the upper edge each is
     */
    public record Pointed(Picture picture, List<Integer> across, List<Integer> down) {

        /** Keeps the order. */
        public Pointed {
            across = List.copyOf(across);
            down = List.copyOf(down);
        }
    }

    /** Two bodies as they are seen from there, and where other points are in the picture. */
    public static Pointed of(Bodies bodies, View view, List<Vector3D> points) {
        return new Drawing(bodies, view, points, CELL).pointed(points);
    }

    /**
     * The same while something is moved: what covers what is found in a coarser grid, and may be wrong where limbs wind
     * round each other. Cost a third.
     */
    public static Pointed roughly(Bodies bodies, View view, List<Vector3D> points) {
        return new Drawing(bodies, view, points, ROUGH_CELL).pointed(points);
    }

    private Pointed pointed(List<Vector3D> points) {
        List<Disc> seen = points.stream().map(point -> camera.disc(new Ball(point, 0))).toList();
        return new Pointed(picture(), seen.stream().map(disc -> across(disc.x())).toList(),
                seen.stream().map(disc -> down(disc.y())).toList());
    }

    /**
     * How much of a picture shows what lies behind something else, further than flesh gives: 0 to 1. Measured in a grid
     * finer than that in which the order was found.
     */
    public static double wrong(Bodies bodies, View view) {
        return new Drawing(bodies, view, List.of(), CELL).covering(FINE_CELL).wrong();
    }

    private Covering covering(double cell) {
        return covering(pieces, discs, cell);
    }

    private static Covering covering(List<Piece> of, List<List<Disc>> discs, double cell) {
        return new Covering(discs, cell, (one, other) -> of.get(one).hangsTogetherWith(of.get(other)));
    }

    private List<Disc> discs(Piece piece) {
        return piece.balls().stream().map(camera::disc).toList();
    }

    private static boolean isHalved(Piece piece) {
        return piece.halves().size() > 1 && piece.length() >= SHORTEST_HALVED;
    }

    /** Two limbs that wind round each other are in no order; halved, their halves are. */
    private List<Piece> parted(List<Piece> whole) {
        List<Piece> parted = new ArrayList<>(whole);
        for (int round = 0; round < (cell > CELL ? MOST_HALVED_ROUGHLY : MOST_HALVED); round++) {
            Optional<int[]> wound = covering(parted, parted.stream().map(this::discs).toList(), cell).worst(FEW_CELLS, piece -> isHalved(parted.get(piece)));
            if (wound.isEmpty()) {
                break;
            }
            Piece one = parted.get(wound.get()[0]);
            Piece other = parted.get(wound.get()[1]);
            Piece longer = !isHalved(other) || isHalved(one) && one.length() >= other.length() ? one : other;
            int at = parted.indexOf(longer);
            parted.remove(at);
            parted.addAll(at, longer.halves());
        }
        return List.copyOf(parted);
    }

    private Picture picture() {
        Covering covering = covering(cell);
        double[] shares = covering.shares();
        List<Picture.Painted> painted = new ArrayList<>();
        for (int i : covering.order()) {
            Piece piece = pieces.get(i);
            Hull hull = hulls.get(i);
            // What nobody sees has no line; of the bottom player its outline is still asked for, where it is held.
            boolean isSeen = shares[i] >= LEAST_SEEN;
            if (!isSeen && piece.player() == Player.THEY) {
                continue;
            }
            List<List<Hull.Stretch>> lines = isSeen ? hull.runs(FINENESS * cell / CELL, (x, y) -> !isSeam(seams.get(i), x, y, false)) : List.of();
            // Only of the bottom player a part can have a colour of its own.
            List<List<Hull.Stretch>> parted = isSeen && piece.player() == Player.YOU
                    ? hull.runs(FINENESS * cell / CELL, (x, y) -> isSeam(seams.get(i), x, y, true)) : List.of();
            painted.add(new Picture.Painted(piece.player(), piece.name(), piece.part(), path(List.of(hull.outline()), true),
                    path(lines, false), path(parted, false),
                    "head".equals(piece.name()) ? hair(piece.player()) : "", Math.round(shares[i] * 100) / 100.0));
        }
        return new Picture(width, height, ground(), painted);
    }

    /** Where a piece hangs together with another in the picture. */
    private record Seam(double x, double y, double reach, Hull with, boolean ofAnotherPart) {
    }

    private List<Seam> seams(Piece piece) {
        List<Seam> found = new ArrayList<>();
        for (Piece.Seam seam : piece.seams()) {
            Disc around = camera.disc(seam.around());
            for (int i = 0; i < pieces.size(); i++) {
                Piece other = pieces.get(i);
                if (other != piece && other.player() == piece.player() && other.name().equals(seam.with())) {
                    found.add(new Seam(around.x(), around.y(), ROUND_A_SEAM * around.radius(), hulls.get(i),
                            other.part() != piece.part()));
                }
            }
        }
        return found;
    }

    /** True where an outline lies within a piece with which this one hangs together, of another part if so asked. */
    private static boolean isSeam(List<Seam> seams, double x, double y, boolean ofAnotherPart) {
        for (Seam seam : seams) {
            double across = x - seam.x();
            double up = y - seam.y();
            if ((!ofAnotherPart || seam.ofAnotherPart()) && across * across + up * up < seam.reach() * seam.reach() && seam.with().holds(x, y, WITHIN)) {
                return true;
            }
        }
        return false;
    }

    private String hair(Player player) {
        Pen pen = new Pen();
        List<double[]> points = Head.of(bodies, player).hair(camera);
        double size = bodies.size(player);
        points.forEach(point -> pen.line(across(size * point[0]), down(size * point[1])));
        return points.isEmpty() ? "" : pen.close().toString();
    }

    /** Lines through balls near the mat, straight down on it. */
    private String ground() {
        Pen pen = new Pen();
        for (Piece piece : pieces) {
            List<Ball> low = piece.balls().stream().filter(ball -> ball.middle().getZ() - ball.radius() < LOW).toList();
            pen.lift();
            for (Ball ball : low.size() < 2 || !MARKING.contains(piece.name())
                    ? List.<Ball>of() : List.of(low.get(0), low.get(low.size() - 1))) {
                Disc shadow = camera.disc(new Ball(Vector3D.of(ball.middle().getX(), ball.middle().getY(), 0), 0));
                pen.line(across(shadow.x()), down(shadow.y()));
            }
        }
        return pen.toString();
    }

    private String path(List<List<Hull.Stretch>> runs, boolean closed) {
        Pen pen = new Pen();
        for (List<Hull.Stretch> run : runs) {
            pen.lift();
            pen.line(across(run.get(0).x(0)), down(run.get(0).y(0)));
            for (Hull.Stretch stretch : run) {
                int endAcross = across(stretch.x(1));
                int endDown = down(stretch.y(1));
                if (stretch instanceof Hull.Arc arc) {
                    pen.arc(whole(arc.disc().radius() * Picture.STATURE), arc.to() - arc.from() > Math.PI + NOISE, endAcross, endDown);
                } else {
                    pen.line(endAcross, endDown);
                }
            }
            if (closed) {
                pen.close();
            }
        }
        return pen.toString();
    }

    private int across(double x) {
        return whole((x - left) * Picture.STATURE);
    }

    private int down(double y) {
        return whole((top - y) * Picture.STATURE);
    }

    /** The nearest whole number; of two equally near ones the upper one, whatever the noise of the arithmetic. */
    private static int whole(double value) {
        return (int) Math.round(value + NOISE);
    }
}
