package app.narrowgate.core.body;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** The limbs of both bodies as capsules, and how near two of them are. */
final class Capsules {

    /** How near two bodies come, as a share of the sum of their radii: flesh gives. */
    private static final double BETWEEN_BODIES = .88;
    private static final double WITH_A_HAND = .85;
    private static final double WITHIN_A_BODY = .70;

    private static final Set<Limb> TRUNK = EnumSet.range(Limb.HEAD, Limb.PELVIS_RIGHT);

    /** Two limbs that must not go through each other. */
    record Pair(LimbOf one, LimbOf other, double give) {
    }

    /** Every two limbs that could go through each other, in a fixed order. */
    static final List<Pair> PAIRS = pairs();

    /**
     * Where two capsules are nearest: shares along each from its first end, the distance of the axes, and the direction
     * from the first to the second.
     */
    record Meeting(double along, double alongOther, double distance, double x, double y, double z) {
    }

    private Capsules() {
    }

    private static List<Pair> pairs() {
        List<Pair> pairs = new ArrayList<>();
        for (Limb one : Limb.values()) {
            for (Limb other : Limb.values()) {
                pairs.add(pair(new LimbOf(Player.YOU, one), new LimbOf(Player.THEY, other)));
                if (one.ordinal() < other.ordinal() && !adjoin(one, other)) {
                    for (Player player : Player.values()) {
                        pairs.add(pair(new LimbOf(player, one), new LimbOf(player, other)));
                    }
                }
            }
        }
        return List.copyOf(pairs);
    }

    /** Two limbs with how near they may come. */
    static Pair pair(LimbOf one, LimbOf other) {
        return new Pair(one, other, one.player() == other.player() ? WITHIN_A_BODY
                : one.limb().isHand() || other.limb().isHand() ? WITH_A_HAND : BETWEEN_BODIES);
    }

    /** True for limbs of one body that hang together, or nearly. */
    static boolean adjoin(Limb one, Limb other) {
        if (TRUNK.contains(one) && TRUNK.contains(other)) {
            return true;
        }
        String a = one.name().replaceAll("_(LEFT|RIGHT)$", "");
        String b = other.name().replaceAll("_(LEFT|RIGHT)$", "");
        boolean sameSide = one == other || !one.name().endsWith("_RIGHT") == !other.name().endsWith("_RIGHT");
        return switch (a + " " + b) {
            case "CHEST UPPER_ARM", "UPPER_ARM FOREARM", "FOREARM HAND", "THIGH SHANK", "SHANK FOOT" -> sameSide;
            case "NECK UPPER_ARM", "PELVIS THIGH" -> true;
            default -> false;
        };
    }

    /** The place of an end of a limb, written into {@code to}. */
    static void place(double[] joints, Player player, Limb.End end, double[] to) {
        int first = player.ordinal() * Joint.COUNT;
        to[0] = 0;
        to[1] = 0;
        to[2] = 0;
        for (int i = 0; i < end.shares().size(); i++) {
            Limb.Share share = end.shares().get(i);
            int at = 3 * (first + share.joint().ordinal());
            to[0] += share.weight() * joints[at];
            to[1] += share.weight() * joints[at + 1];
            to[2] += share.weight() * joints[at + 2];
        }
    }

    /**
     * Where two limbs are nearest (closest points of two segments: C. Ericson, Real-Time Collision Detection, 2005,
     * §5.1.9). Two axes that cross are parted upwards.
     */
    static Meeting meeting(double[] joints, LimbOf one, LimbOf other) {
        double[] p = new double[3];
        double[] q = new double[3];
        double[] a = new double[3];
        double[] b = new double[3];
        place(joints, one.player(), one.limb().from(), p);
        place(joints, one.player(), one.limb().to(), q);
        place(joints, other.player(), other.limb().from(), a);
        place(joints, other.player(), other.limb().to(), b);
        return meeting(p, q, a, b);
    }

    static Meeting meeting(double[] p, double[] q, double[] a, double[] b) {
        double dx = q[0] - p[0];
        double dy = q[1] - p[1];
        double dz = q[2] - p[2];
        double ex = b[0] - a[0];
        double ey = b[1] - a[1];
        double ez = b[2] - a[2];
        double rx = p[0] - a[0];
        double ry = p[1] - a[1];
        double rz = p[2] - a[2];
        double dd = dx * dx + dy * dy + dz * dz;
        double ee = ex * ex + ey * ey + ez * ez;
        double de = dx * ex + dy * ey + dz * ez;
        double dr = dx * rx + dy * ry + dz * rz;
        double er = ex * rx + ey * ry + ez * rz;
        double denominator = dd * ee - de * de;
        double s = denominator > 1e-12 ? clamped((de * er - dr * ee) / denominator) : .5;
        double t = ee < 1e-12 ? 0 : (de * s + er) / ee;
        // Past an end, or on a segment that is a point, the nearest is what of the other lies nearest to that end.
        if (t < 0 || t > 1 || ee < 1e-12) {
            t = clamped(t);
            s = dd < 1e-12 ? 0 : clamped((de * t - dr) / dd);
        }
        double x = a[0] + t * ex - p[0] - s * dx;
        double y = a[1] + t * ey - p[1] - s * dy;
        double z = a[2] + t * ez - p[2] - s * dz;
        double distance = Math.sqrt(x * x + y * y + z * z);
        return distance < 1e-9 ? new Meeting(s, t, 0, 0, 0, 1)
                : new Meeting(s, t, distance, x / distance, y / distance, z / distance);
    }

    private static double clamped(double share) {
        return Math.max(0, Math.min(1, share));
    }

    /** The radius of a limb so far along, of a body so tall. */
    static double radius(double[] sizes, LimbOf of, double along) {
        Limb limb = of.limb();
        return sizes[of.player().ordinal()] * (limb.from().radius() + along * (limb.to().radius() - limb.from().radius()));
    }
}
