package app.narrowgate.core.weight;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * How much of a body rests on another and how much on the mat, as shares of its weight.
 *
 * <p>Problem: upright forces of at least nothing at given points that carry a weight: they sum to it, and their moments
 * about the mat are its own. With more than three points that leaves a range; the ends of it are linear programs. The
 * likely one is that of springs under every point: the least sum of squares over stiffness, a quadratic program, with a
 * trunk twice as stiff as a limb. Nothing is pulled, nothing rubs, nothing pushes sideways. Cost: programs of some ten
 * variables, about a millisecond each.
 *
 * @param likely the likely share that rests on the other
 * @param least the smallest share that could
 * @param most the largest share that could
 * @param spots the likely share by where it rests
 */
public record Load(double likely, double least, double most, Map<Spot, Double> spots) {

    private static final double TRUNK = 2;
    /** How far forces and moments may be off, as shares of the weight, and of it a stature away. */
    private static final double EXACT = 1e-4;

    /** A point that carries: where, how stiff, and on which spot of the other; empty for the mat. */
    record Point(Vector3D at, double stiffness, Optional<Spot> spot) {
    }

    /** The load of what carries somebody; empty when nothing upright could carry them so. */
    static Optional<Load> of(Supports supports) {
        List<Point> points = new ArrayList<>();
        supports.posts().forEach(post -> points.addAll(patch(post)));
        supports.leans().forEach(lean -> points.add(new Point(lean.at(), lean.isTrunk() ? TRUNK : 1, Optional.of(lean.spot()))));
        if (supports.posts().isEmpty() && !supports.leans().isEmpty()) {
            return Optional.of(whole(points));
        }
        return of(supports.centre(), points);
    }

    /** A patch presses anywhere within its edge. */
    private static List<Point> patch(Supports.Post post) {
        double stiffness = (post.isSeat() ? TRUNK : 1) / 4;
        return Stream.of(Vector3D.Unit.PLUS_X, Vector3D.Unit.MINUS_X, Vector3D.Unit.PLUS_Y, Vector3D.Unit.MINUS_Y)
                .map(way -> new Point(post.at().add(way.multiply(post.radius())), stiffness, Optional.empty())).toList();
    }

    /** Who has nothing on the mat rests whole on the other, wherever that holds them; spots by stiffness. */
    private static Load whole(List<Point> points) {
        double stiffness = points.stream().mapToDouble(Point::stiffness).sum();
        Map<Spot, Double> spots = new EnumMap<>(Spot.class);
        points.forEach(point -> spots.merge(point.spot().orElseThrow(), point.stiffness() / stiffness, Double::sum));
        return new Load(1, 1, 1, spots);
    }

    /** The load of a weight with its centre there, carried by those points; empty when they cannot carry it. */
    static Optional<Load> of(Vector3D centre, List<Point> points) {
        Optional<double[]> likely = solve(centre, points, Wanted.LIKELY);
        if (likely.isEmpty()) {
            return Optional.empty();
        }
        Map<Spot, Double> spots = new EnumMap<>(Spot.class);
        for (int i = 0; i < points.size(); i++) {
            double share = likely.get()[i];
            points.get(i).spot().ifPresent(spot -> spots.merge(spot, share, Double::sum));
        }
        double least = onTheOther(points, solve(centre, points, Wanted.LEAST).orElseThrow());
        double most = onTheOther(points, solve(centre, points, Wanted.MOST).orElseThrow());
        double share = Math.max(least, Math.min(most, onTheOther(points, likely.get())));
        return Optional.of(new Load(share, least, most, spots));
    }

    private enum Wanted {
        LIKELY, LEAST, MOST
    }

    private static double onTheOther(List<Point> points, double[] forces) {
        double sum = IntStream.range(0, forces.length).filter(i -> points.get(i).spot().isPresent()).mapToDouble(i -> forces[i]).sum();
        return Math.max(0, Math.min(1, sum));
    }

    private static Optional<double[]> solve(Vector3D centre, List<Point> points, Wanted wanted) {
        ExpressionsBasedModel model = new ExpressionsBasedModel();
        Expression sum = model.newExpression("weight").level(1);
        Expression across = model.newExpression("moment across").level(0);
        Expression along = model.newExpression("moment along").level(0);
        Expression springs = model.newExpression("springs");
        for (int i = 0; i < points.size(); i++) {
            Point point = points.get(i);
            Variable force = model.newVariable("f" + i).lower(0);
            sum.set(force, 1);
            across.set(force, point.at().getX() - centre.getX());
            along.set(force, point.at().getY() - centre.getY());
            if (wanted == Wanted.LIKELY) {
                springs.set(force, force, 1 / point.stiffness());
            } else if (point.spot().isPresent()) {
                force.weight(1);
            }
        }
        if (wanted == Wanted.LIKELY) {
            springs.weight(1);
        }
        Optimisation.Result result = wanted == Wanted.MOST ? model.maximise() : model.minimise();
        if (!result.getState().isFeasible()) {
            return Optional.empty();
        }
        double[] forces = IntStream.range(0, points.size()).mapToDouble(result::doubleValue).map(f -> Math.max(0, f)).toArray();
        return Optional.of(forces).filter(found -> carries(centre, points, found));
    }

    /** A program that has no solution is not always found out by the solver; its answer is. */
    private static boolean carries(Vector3D centre, List<Point> points, double[] forces) {
        double sum = 0;
        Vector3D moment = Vector3D.ZERO;
        for (int i = 0; i < forces.length; i++) {
            sum += forces[i];
            moment = moment.add(points.get(i).at().subtract(centre).multiply(forces[i]));
        }
        return Math.abs(sum - 1) < EXACT && Math.hypot(moment.getX(), moment.getY()) < EXACT;
    }
}
