package app.narrowgate.core.body;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** The limbs of both bodies as capsules, and how near two of them are. */
final class Capsules {

    /** How near two bodies come, as a share of the sum of their radii: flesh gives. */
    private static final double BETWEEN_BODIES = .88;
    private static final double WITH_A_HAND = .85;
    private static final double WITHIN_A_BODY = .70;

    private static final Set<Limb> TRUNK = EnumSet.range(Limb.HEAD, Limb.PELVIS_RIGHT);

    /** The limbs of both, by {@link LimbOf#index}. */
    static final LimbOf[] ALL = Stream.of(Player.values()).flatMap(player -> Stream.of(Limb.values()).map(limb -> new LimbOf(player, limb)))
            .toArray(LimbOf[]::new);

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

    /** Where a meeting's parts stand among the numbers that it is written into; the way is three of them. */
    static final int ALONG = 0;
    static final int ALONG_OTHER = 1;
    static final int DISTANCE = 2;
    static final int WAY = 3;
    /** How many numbers that are. */
    static final int MET = 6;

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

    private static Pair pair(LimbOf one, LimbOf other) {
        return new Pair(one, other, give(one, other));
    }

    /** How near two limbs come, as a share of the sum of their radii. */
    static double give(LimbOf one, LimbOf other) {
        return one.player() == other.player() ? WITHIN_A_BODY : one.limb().isHand() || other.limb().isHand() ? WITH_A_HAND : BETWEEN_BODIES;
    }

    /** True for limbs of one body that hang together, or nearly. */
    static boolean adjoin(Limb one, Limb other) {
        if (TRUNK.contains(one) && TRUNK.contains(other)) {
            return true;
        }
        boolean sameSide = one == other || !one.name().endsWith("_RIGHT") == !other.name().endsWith("_RIGHT");
        return switch (sideless(one) + " " + sideless(other)) {
            case "CHEST UPPER_ARM", "UPPER_ARM FOREARM", "FOREARM HAND", "THIGH SHANK", "SHANK FOOT" -> sameSide;
            case "NECK UPPER_ARM", "PELVIS THIGH" -> true;
            default -> false;
        };
    }

    private static String sideless(Limb limb) {
        String name = limb.name();
        int side = name.endsWith("_LEFT") ? name.length() - "_LEFT".length() : name.endsWith("_RIGHT") ? name.length() - "_RIGHT".length() : name.length();
        return name.substring(0, side);
    }

    /** Both ends of a limb, the first one first, written into {@code to} from {@code at} on. */
    static void place(double[] joints, LimbOf of, double[] to, int at) {
        int first = of.player().ordinal() * Joint.COUNT;
        of.limb().from().place(joints, first, to, at);
        of.limb().to().place(joints, first, to, at + 3);
    }

    /** Both ends of every limb, by {@link LimbOf#index}. */
    static double[] ends(double[] joints) {
        double[] ends = new double[6 * ALL.length];
        place(joints, ends);
        return ends;
    }

    /** The same written into {@code ends}. */
    static void place(double[] joints, double[] ends) {
        for (int i = 0; i < ALL.length; i++) {
            place(joints, ALL[i], ends, 6 * i);
        }
    }

    /** Where two limbs are nearest. */
    static Meeting meeting(double[] joints, LimbOf one, LimbOf other) {
        double[] ends = new double[12];
        place(joints, one, ends, 0);
        place(joints, other, ends, 6);
        return meeting(ends);
    }

    /** Where two axes are nearest, whose ends stand one after the other. */
    static Meeting meeting(double[] ends) {
        double[] met = new double[MET];
        meet(ends, 0, 6, met);
        return new Meeting(met[ALONG], met[ALONG_OTHER], met[DISTANCE], met[WAY], met[WAY + 1], met[WAY + 2]);
    }

    /**
     * Where two axes are nearest (closest points of two segments: C. Ericson, Real-Time Collision Detection, 2005, §5.1.9).
     * Two that cross are parted upwards.
     *
     * @param ends ends of axes; those of the one stand from {@code one} on, those of the other from {@code other}
     * @param met what a {@link Meeting} holds, in this order
     */
    static void meet(double[] ends, int one, int other, double[] met) {
        double dx = ends[one + 3] - ends[one];
        double dy = ends[one + 4] - ends[one + 1];
        double dz = ends[one + 5] - ends[one + 2];
        double ex = ends[other + 3] - ends[other];
        double ey = ends[other + 4] - ends[other + 1];
        double ez = ends[other + 5] - ends[other + 2];
        double rx = ends[one] - ends[other];
        double ry = ends[one + 1] - ends[other + 1];
        double rz = ends[one + 2] - ends[other + 2];
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
        double x = t * ex - rx - s * dx;
        double y = t * ey - ry - s * dy;
        double z = t * ez - rz - s * dz;
        double distance = Math.sqrt(x * x + y * y + z * z);
        boolean cross = distance < 1e-9;
        met[ALONG] = s;
        met[ALONG_OTHER] = t;
        met[DISTANCE] = cross ? 0 : distance;
        met[WAY] = cross ? 0 : x / distance;
        met[WAY + 1] = cross ? 0 : y / distance;
        met[WAY + 2] = cross ? 1 : z / distance;
    }

    private static double clamped(double share) {
        return share < 0 ? 0 : share > 1 ? 1 : share;
    }

    /** The radius of a limb so far along, of a body so tall. */
    static double radius(double[] sizes, LimbOf of, double along) {
        Limb limb = of.limb();
        return sizes[of.player().ordinal()] * (limb.from().radius() + along * (limb.to().radius() - limb.from().radius()));
    }
}
