package app.narrowgate.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The convex hull of a few discs: arcs of them, joined by lines that touch two. Found from the support in {@value #TURNS}
 * directions; a corner is where the support of two discs is the same.
 */
final class Hull {

    private static final int TURNS = 360;
    private static final int CHECKS = 72;
    private static final double FULL = 2 * Math.PI;
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

        /** Where the point so far along is across, from 0 to 1. */
        double x(double share);

        /** Where it is upwards. */
        double y(double share);

        /** The part of it between two shares. */
        Stretch between(double from, double to);
    }

    /** Whether a point of the picture is wanted. */
    interface Place {
        boolean test(double x, double y);
    }

    /** Along a disc. */
    record Arc(Disc disc, double from, double to) implements Stretch {
        @Override
        public double length() {
            return (to - from) * disc.radius();
        }

        @Override
        public double x(double share) {
            return disc.x() + disc.radius() * StrictMath.cos(from + share * (to - from));
        }

        @Override
        public double y(double share) {
            return disc.y() + disc.radius() * StrictMath.sin(from + share * (to - from));
        }

        @Override
        public Stretch between(double a, double b) {
            return new Arc(disc, from + a * (to - from), from + b * (to - from));
        }
    }

    /** From a point to a point. */
    record Straight(double fromX, double fromY, double toX, double toY) implements Stretch {
        @Override
        public double length() {
            return Math.hypot(toX - fromX, toY - fromY);
        }

        @Override
        public double x(double share) {
            return fromX + share * (toX - fromX);
        }

        @Override
        public double y(double share) {
            return fromY + share * (toY - fromY);
        }

        @Override
        public Stretch between(double a, double b) {
            return new Straight(x(a), y(a), x(b), y(b));
        }
    }

    /** Where the outline goes from one disc over to another. */
    private record Corner(double angle, Disc before, Disc after) {
    }

    private final List<Disc> discs;
    private final List<Stretch> outline;
    /** Directions, and how far the hull reaches in each: three numbers each. */
    private final double[] checks;

    Hull(List<Disc> discs) {
        this.discs = List.copyOf(discs);
        this.outline = List.copyOf(trace());
        this.checks = checks();
    }

    /** The outline, anticlockwise, closed. */
    List<Stretch> outline() {
        return outline;
    }

    private Disc furthest(double cos, double sin) {
        Disc best = discs.get(0);
        double most = best.support(cos, sin);
        for (int i = 1; i < discs.size(); i++) {
            double support = discs.get(i).support(cos, sin);
            if (support > most + 1e-12) {
                best = discs.get(i);
                most = support;
            }
        }
        return best;
    }

    private List<Stretch> trace() {
        List<Corner> corners = new ArrayList<>();
        Disc last = furthest(COS[0], SIN[0]);
        for (int i = 1; i <= TURNS; i++) {
            Disc next = furthest(COS[i % TURNS], SIN[i % TURNS]);
            if (next != last) {
                corners.add(new Corner(same(last, next, FULL * (i - 1) / TURNS, FULL * i / TURNS), last, next));
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
            double cos = StrictMath.cos(corner.angle());
            double sin = StrictMath.sin(corner.angle());
            stretches.add(new Straight(corner.before().x() + corner.before().radius() * cos, corner.before().y() + corner.before().radius() * sin,
                    corner.after().x() + corner.after().radius() * cos, corner.after().y() + corner.after().radius() * sin));
            stretches.add(new Arc(corner.after(), corner.angle(), end));
        }
        return stretches;
    }

    /** The angle between {@code low} and {@code high} at which the first disc begins to reach less far than the second. */
    private static double same(Disc before, Disc after, double low, double high) {
        double x = after.x() - before.x();
        double y = after.y() - before.y();
        // x cos + y sin = fall: the direction of the other's middle, less the angle at which it is too far aside.
        double fall = (before.radius() - after.radius()) / Math.sqrt(x * x + y * y);
        double angle = StrictMath.atan2(y, x) - StrictMath.acos(Math.max(-1, Math.min(1, fall)));
        while (angle < low - Math.PI) {
            angle += FULL;
        }
        return Math.max(low, Math.min(high, angle));
    }

    /** True for a point that lies so deep inside. Exact along straight stretches, to a thousandth along arcs. */
    boolean holds(double x, double y, double depth) {
        for (int i = 0; i < checks.length; i += 3) {
            if (checks[i + 2] - x * checks[i] - y * checks[i + 1] <= depth) {
                return false;
            }
        }
        return true;
    }

    /** Directions all round, and those of the straight stretches, each with how far the hull reaches there. */
    private double[] checks() {
        double[] all = new double[3 * (CHECKS + 2 * outline.size())];
        int count = 0;
        for (int i = 0; i < TURNS; i += TURNS / CHECKS) {
            count = check(all, count, COS[i], SIN[i]);
        }
        for (Stretch stretch : outline) {
            if (stretch instanceof Arc arc) {
                count = check(all, count, StrictMath.cos(arc.from()), StrictMath.sin(arc.from()));
                count = check(all, count, StrictMath.cos(arc.to()), StrictMath.sin(arc.to()));
            }
        }
        return Arrays.copyOf(all, count);
    }

    private int check(double[] all, int at, double cos, double sin) {
        all[at] = cos;
        all[at + 1] = sin;
        double most = Double.NEGATIVE_INFINITY;
        for (Disc disc : discs) {
            most = Math.max(most, disc.support(cos, sin));
        }
        all[at + 2] = most;
        return at + 3;
    }

    /**
     * The stretches of the outline whose points fulfil a condition, joined into runs; a run that closes is whole.
     *
     * @param fineness how long a piece of outline is that is in it or not as one, in stature
     */
    List<List<Stretch>> runs(double fineness, Place wanted) {
        List<List<Stretch>> runs = new ArrayList<>();
        List<Stretch> run = new ArrayList<>();
        boolean open = false;
        boolean fromTheStart = false;
        for (int s = 0; s < outline.size(); s++) {
            Stretch stretch = outline.get(s);
            int steps = Math.max(1, (int) Math.ceil(stretch.length() / fineness));
            double began = 0;
            for (int i = 0; i < steps; i++) {
                double share = (i + .5) / steps;
                boolean now = wanted.test(stretch.x(share), stretch.y(share));
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
