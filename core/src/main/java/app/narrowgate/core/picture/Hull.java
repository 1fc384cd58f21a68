package app.narrowgate.core.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * The convex hull of a few discs: arcs of them, joined by lines that touch two. Found from the support in {@value #TURNS}
 * directions, the corners by bisection.
 */
final class Hull {

    private static final int TURNS = 360;
    private static final int CHECKS = 72;
    private static final double FULL = 2 * Math.PI;

    /** A piece of the outline: along a disc from one angle to another, anticlockwise, or straight. */
    sealed interface Stretch permits Arc, Straight {

        /** How long it is. */
        double length();

        /** The point so far along, from 0 to 1. */
        double[] at(double share);

        /** The part of it between two shares. */
        Stretch between(double from, double to);
    }

    /** Along a disc. */
    record Arc(Disc disc, double from, double to) implements Stretch {
        @Override
        public double length() {
            return (to - from) * disc.radius();
        }

        @Override
        public double[] at(double share) {
            double angle = from + share * (to - from);
            return new double[] {disc.x() + disc.radius() * StrictMath.cos(angle), disc.y() + disc.radius() * StrictMath.sin(angle)};
        }

        @Override
        public Stretch between(double a, double b) {
            return new Arc(disc, from + a * (to - from), from + b * (to - from));
        }
    }

    /** From a point to a point. */
    record Straight(double[] from, double[] to) implements Stretch {
        @Override
        public double length() {
            return Math.hypot(to[0] - from[0], to[1] - from[1]);
        }

        @Override
        public double[] at(double share) {
            return new double[] {from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])};
        }

        @Override
        public Stretch between(double a, double b) {
            return new Straight(at(a), at(b));
        }
    }

    private final List<Disc> discs;
    private final List<Stretch> outline;

    Hull(List<Disc> discs) {
        this.discs = List.copyOf(discs);
        this.outline = List.copyOf(trace());
    }

    /** The outline, anticlockwise, closed. */
    List<Stretch> outline() {
        return outline;
    }

    private Disc furthest(double angle) {
        double cos = StrictMath.cos(angle);
        double sin = StrictMath.sin(angle);
        Disc best = discs.get(0);
        for (Disc disc : discs) {
            if (disc.support(cos, sin) > best.support(cos, sin) + 1e-12) {
                best = disc;
            }
        }
        return best;
    }

    private List<Stretch> trace() {
        record Corner(double angle, Disc before, Disc after) {
        }
        List<Corner> corners = new ArrayList<>();
        Disc last = furthest(0);
        for (int i = 1; i <= TURNS; i++) {
            double angle = FULL * i / TURNS;
            Disc next = furthest(angle);
            if (next != last) {
                double low = FULL * (i - 1) / TURNS;
                double high = angle;
                for (int halving = 0; halving < 40; halving++) {
                    double middle = (low + high) / 2;
                    if (furthest(middle) == last) {
                        low = middle;
                    } else {
                        high = middle;
                    }
                }
                corners.add(new Corner(high, last, next));
                last = next;
            }
        }
        if (corners.isEmpty()) {
            return List.of(new Arc(last, 0, Math.PI), new Arc(last, Math.PI, FULL));
        }
        List<Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            Corner corner = corners.get(i);
            Corner next = corners.get((i + 1) % corners.size());
            double end = next.angle() + (i + 1 == corners.size() ? FULL : 0);
            stretches.add(new Straight(new Arc(corner.before(), corner.angle(), corner.angle()).at(0),
                    new Arc(corner.after(), corner.angle(), corner.angle()).at(0)));
            stretches.add(new Arc(corner.after(), corner.angle(), end));
        }
        return stretches;
    }

    /** How deep a point lies inside; negative outside. */
    double depth(double x, double y) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < CHECKS; i++) {
            double cos = COS[i];
            double sin = SIN[i];
            double most = Double.NEGATIVE_INFINITY;
            for (Disc disc : discs) {
                most = Math.max(most, disc.support(cos, sin));
            }
            least = Math.min(least, most - x * cos - y * sin);
        }
        return least;
    }

    private static final double[] COS = new double[CHECKS];
    private static final double[] SIN = new double[CHECKS];

    static {
        for (int i = 0; i < CHECKS; i++) {
            COS[i] = StrictMath.cos(FULL * i / CHECKS);
            SIN[i] = StrictMath.sin(FULL * i / CHECKS);
        }
    }

    /** The stretches of the outline whose points fulfil a condition, joined into runs; a run that closes is whole. */
    List<List<Stretch>> runs(Predicate<double[]> wanted) {
        List<List<Stretch>> runs = new ArrayList<>();
        List<Stretch> run = new ArrayList<>();
        boolean open = false;
        boolean fromTheStart = false;
        for (int s = 0; s < outline.size(); s++) {
            Stretch stretch = outline.get(s);
            int steps = Math.max(1, (int) Math.ceil(stretch.length() / FINENESS));
            double began = 0;
            for (int i = 0; i < steps; i++) {
                boolean now = wanted.test(stretch.at((i + .5) / steps));
                if (now && !open) {
                    open = true;
                    began = (double) i / steps;
                    fromTheStart |= s == 0 && i == 0;
                } else if (!now && open) {
                    open = false;
                    cut(run, stretch, began, (double) i / steps);
                    runs.add(List.copyOf(run));
                    run.clear();
                }
            }
            if (open) {
                cut(run, stretch, began, 1);
            }
        }
        if (open) {
            if (fromTheStart && !runs.isEmpty()) {
                run.addAll(runs.remove(0));
            }
            runs.add(List.copyOf(run));
        }
        return runs;
    }

    private static void cut(List<Stretch> run, Stretch stretch, double from, double to) {
        if (to > from) {
            run.add(from == 0 && to == 1 ? stretch : stretch.between(from, to));
        }
    }

    private static final double FINENESS = .004;
}
