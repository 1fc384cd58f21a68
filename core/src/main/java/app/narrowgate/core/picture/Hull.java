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
    /** From a degree to a billionth of one. */
    private static final int HALVINGS = 30;
    private static final double FULL = 2 * Math.PI;
    /** How long a piece of outline is that is drawn or left out as one, in stature. */
    private static final double FINENESS = .004;

    private static final double[] COS = new double[TURNS];
    private static final double[] SIN = new double[TURNS];

    static {
        for (int i = 0; i < TURNS; i++) {
            COS[i] = StrictMath.cos(FULL * i / TURNS);
            SIN[i] = StrictMath.sin(FULL * i / TURNS);
        }
    }

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
    private final List<double[]> checks;

    Hull(List<Disc> discs) {
        this.discs = List.copyOf(discs);
        this.outline = List.copyOf(trace());
        this.checks = checks();
    }

    /** The outline, anticlockwise, closed. */
    List<Stretch> outline() {
        return outline;
    }

    private Disc furthest(double angle) {
        return furthest(StrictMath.cos(angle), StrictMath.sin(angle));
    }

    private Disc furthest(double cos, double sin) {
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
            Disc next = furthest(COS[i % TURNS], SIN[i % TURNS]);
            if (next != last) {
                double low = FULL * (i - 1) / TURNS;
                double high = angle;
                for (int halving = 0; halving < HALVINGS; halving++) {
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

    /** How deep a point lies inside; negative outside. Exact along straight stretches, to a thousandth along arcs. */
    double depth(double x, double y) {
        double least = Double.POSITIVE_INFINITY;
        for (double[] check : checks) {
            least = Math.min(least, check[2] - x * check[0] - y * check[1]);
        }
        return least;
    }

    /** Directions all round, and those of the straight stretches, each with how far the hull reaches there. */
    private List<double[]> checks() {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < TURNS; i += TURNS / CHECKS) {
            all.add(check(COS[i], SIN[i]));
        }
        outline.stream().filter(Arc.class::isInstance).map(Arc.class::cast).forEach(arc -> {
            all.add(check(StrictMath.cos(arc.from()), StrictMath.sin(arc.from())));
            all.add(check(StrictMath.cos(arc.to()), StrictMath.sin(arc.to())));
        });
        return List.copyOf(all);
    }

    private double[] check(double cos, double sin) {
        return new double[] {cos, sin, discs.stream().mapToDouble(disc -> disc.support(cos, sin)).max().orElseThrow()};
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
}
