package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.View;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * Draws a bodies from a view. Pieces are hulls of discs; their order is that of {@link Covering}; a piece has no line
 * where it hangs together with its neighbour, so that a limb is one shape and a folded arm still has its edge. The same
 * bodies and view give the same paths. Cost some milliseconds.
 */
public final class Drawing {

    /** Cells of the grid in which pieces vote for what covers what, in stature. */
    static final double CELL = .006;
    /** How far round a seam lines are left out, as a multiple of the radius there. */
    private static final double ROUND_A_SEAM = 1.3;
    /** How deep in its neighbour an outline must lie to be left out, in stature. */
    private static final double WITHIN = .0016;
    /** What lies lower than this marks the ground, in stature. */
    private static final double LOW = .10;
    private static final double MARGIN = .025;

    private final Bodies bodies;
    private final View view;
    private final List<Piece> pieces;
    private final List<List<Disc>> discs;
    private final List<Hull> hulls;
    private final double left;
    private final double top;
    private final int width;
    private final int height;

    private Drawing(Bodies bodies, View view) {
        this.bodies = bodies;
        this.view = view;
        pieces = Stream.of(Player.values()).flatMap(player -> Piece.of(bodies, player).stream()).toList();
        discs = pieces.stream().map(piece -> piece.balls().stream().map(ball -> Disc.of(ball, view)).toList()).toList();
        hulls = discs.stream().map(Hull::new).toList();
        double right = discs.stream().flatMap(List::stream).mapToDouble(d -> d.x() + d.radius()).max().orElse(0) + MARGIN;
        double bottom = discs.stream().flatMap(List::stream).mapToDouble(d -> d.y() - d.radius()).min().orElse(0) - MARGIN;
        left = discs.stream().flatMap(List::stream).mapToDouble(d -> d.x() - d.radius()).min().orElse(0) - MARGIN;
        top = discs.stream().flatMap(List::stream).mapToDouble(d -> d.y() + d.radius()).max().orElse(0) + MARGIN;
        width = (int) Math.ceil((right - left) * Picture.STATURE);
        height = (int) Math.ceil((top - bottom) * Picture.STATURE);
    }

    /** The bodies as it is seen from there. */
    public static Picture of(Bodies bodies, View view) {
        return new Drawing(bodies, view).picture();
    }

    private Picture picture() {
        Covering covering = new Covering(discs, CELL);
        double[] shares = covering.shares();
        List<double[]> anchors = covering.anchors();
        List<Picture.Painted> painted = new ArrayList<>();
        for (int i : covering.order()) {
            Piece piece = pieces.get(i);
            Hull hull = hulls.get(i);
            Disc middle = discs.get(i).get(discs.get(i).size() / 2);
            double[] anchor = anchors.get(i).length == 0 ? new double[] {middle.x(), middle.y()} : anchors.get(i);
            painted.add(new Picture.Painted(piece.player(), piece.name(), piece.part(), path(List.of(hull.outline()), true),
                    path(hull.runs(point -> !isSeam(piece, point, false)), false),
                    path(hull.runs(point -> isSeam(piece, point, true)), false),
                    "head".equals(piece.name()) ? hair(piece.player()) : "", Math.round(shares[i] * 1000) / 1000.0,
                    across(anchor[0]), down(anchor[1])));
        }
        return new Picture(width, height, ground(), painted);
    }

    /** True where an outline lies within a piece with which this one hangs together, of another part if so asked. */
    private boolean isSeam(Piece piece, double[] point, boolean ofAnotherPart) {
        for (Piece.Seam seam : piece.seams()) {
            Disc around = Disc.of(seam.around(), view);
            double reach = ROUND_A_SEAM * around.radius();
            if (Math.hypot(point[0] - around.x(), point[1] - around.y()) < reach) {
                for (int i = 0; i < pieces.size(); i++) {
                    Piece other = pieces.get(i);
                    if (other.player() == piece.player() && other.name().equals(seam.with())
                            && (!ofAnotherPart || other.part() != piece.part())
                            && hulls.get(i).depth(point[0], point[1]) > WITHIN) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    private String hair(Player player) {
        StringBuilder path = new StringBuilder();
        for (double[] point : Head.of(bodies, player).hair(view)) {
            path.append(path.isEmpty() ? 'M' : 'L').append(point(point));
        }
        return path.isEmpty() ? "" : path.append('Z').toString();
    }

    /** Balls near the mat, straight down on it. */
    private String ground() {
        StringBuilder path = new StringBuilder();
        for (Piece piece : pieces) {
            List<Disc> shadows = piece.balls().stream().filter(ball -> ball.middle().getZ() - ball.radius() < LOW)
                    .map(ball -> new Ball(Vector3D.of(ball.middle().getX(), ball.middle().getY(), 0), ball.radius()))
                    .map(ball -> Disc.of(ball, view)).toList();
            if (!shadows.isEmpty()) {
                path.append(path(List.of(new Hull(shadows).outline()), true));
            }
        }
        return path.toString();
    }

    private String path(List<List<Hull.Stretch>> runs, boolean closed) {
        StringBuilder path = new StringBuilder();
        for (List<Hull.Stretch> run : runs) {
            String at = "";
            for (Hull.Stretch stretch : run) {
                String from = point(stretch.at(0));
                String to = point(stretch.at(1));
                if (at.isEmpty()) {
                    path.append('M').append(from);
                }
                at = to;
                if (from.equals(to)) {
                    continue;
                }
                if (stretch instanceof Hull.Arc arc) {
                    long radius = Math.round(arc.disc().radius() * Picture.STATURE);
                    // The picture's y runs downwards, so that anticlockwise is the sweep 0.
                    path.append(String.format(Locale.ROOT, "A%d %d 0 %d 0 %s", radius, radius,
                            arc.to() - arc.from() > Math.PI ? 1 : 0, to));
                } else {
                    path.append('L').append(to);
                }
            }
            if (closed) {
                path.append('Z');
            }
        }
        return path.toString();
    }

    private String point(double[] point) {
        return across(point[0]) + " " + down(point[1]);
    }

    private int across(double x) {
        return (int) Math.round((x - left) * Picture.STATURE);
    }

    private int down(double y) {
        return (int) Math.round((top - y) * Picture.STATURE);
    }
}
