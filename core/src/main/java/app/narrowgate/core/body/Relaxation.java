package app.narrowgate.core.body;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * Makes a rough posture possible: bones keep their length, joints turn no further than they do, nobody goes through the
 * other or the mat, and what is said to touch touches.
 *
 * <p>Problem: find joints near the rough ones that meet all of it. Position-based dynamics (Müller, Heidelberger, Hennix,
 * Ratcliff 2007, "Position based dynamics", J. Vis. Commun. Image Represent. 18): each rule in turn moves the joints it
 * names a little, many times over. Radii of the limbs grow during the first half, so that limbs find their way past each
 * other. Precondition: a rough posture in which the bodies lie about as they should; a limb on the wrong side of another
 * stays there. Deterministic, the same on every machine. Cost: steps × (some 500 pairs of limbs + 14 rounds of 48 rods).
 */
public final class Relaxation {

    /** Steps from rough points to a posture. */
    public static final int WHOLE = 450;
    /** Steps after a small move of a posture that was possible. */
    public static final int NUDGE = 120;
    /** Steps while a hand still moves it, so that the picture keeps up. */
    public static final int UNDER_THE_HAND = 50;

    private static final int ROD_ROUNDS = 14;
    /** Rods and mat alone at the end, so that the lengths come out whatever pushed last. */
    private static final int LAST_ROUNDS = 8;
    private static final double PULL = .12;
    private static final double PULLED_UNTIL = .7;
    /** Over this last share of the steps what is held is let go, so that joints and flesh have the last word. */
    private static final double HELD_FADES = .4;
    private static final double CONTACT_FROM = .05;
    private static final double MOST_PUSH = .02;
    private static final double MOST_REST = .012;
    /** The mat gives a little. */
    static final double MAT = .92;
    private static final Capsules.Meeting UPWARDS = new Capsules.Meeting(0, 0, 0, 0, 0, 1);

    private final double[] joints;
    private final double[] rough;
    private final double[] sizes;
    private final Contacts contacts;
    private final Map<JointOf, Vector3D> held;

    private final double[] ends = new double[2 * Limb.values().length * 2 * 3];
    private final double[] pushed = new double[2 * Joint.COUNT * 3];
    private final double[] p = new double[3];
    private final double[] q = new double[3];
    private final double[] a = new double[3];
    private final double[] b = new double[3];

    private Relaxation(Bodies rough, Map<JointOf, Vector3D> held) {
        this.joints = rough.copyOfJoints();
        this.rough = rough.copyOfJoints();
        this.sizes = rough.sizes();
        this.contacts = rough.contacts();
        this.held = held;
    }

    /** The posture that a rough one means. */
    public static Bodies of(Bodies rough) {
        return of(rough, WHOLE, Map.of());
    }

    /**
     * The posture that a rough one means.
     *
     * @param steps how many, {@link #WHOLE}, {@link #NUDGE} or {@link #UNDER_THE_HAND}
     * @param held joints that are pulled to a place, as by a finger that drags them; they come as near to it as the bodies
     *     allow
     */
    public static Bodies of(Bodies rough, int steps, Map<JointOf, Vector3D> held) {
        Relaxation relaxation = new Relaxation(rough, held);
        for (int step = 0; step < steps; step++) {
            relaxation.step(step, (double) step / steps);
        }
        for (int round = 0; round < LAST_ROUNDS; round++) {
            relaxation.rods();
            relaxation.aboveTheMat();
        }
        return new Bodies(relaxation.joints, rough.sizes(), rough.contacts());
    }

    private void step(int step, double done) {
        double pull = PULL * (1 - done / PULLED_UNTIL);
        if (pull > 0) {
            for (int i = 0; i < joints.length; i++) {
                joints[i] += pull * (rough[i] - joints[i]);
            }
        }
        drag(.2 * Math.min(1, (1 - done) / HELD_FADES));
        if (done >= CONTACT_FROM) {
            part(Math.min(1, .4 + 1.2 * done));
        }
        if (step % 2 == 0) {
            for (Player player : Player.values()) {
                new Limits(joints, player).ease(.25);
            }
        }
        rest();
        stand();
        grip();
        for (int round = 0; round < ROD_ROUNDS; round++) {
            rods();
        }
        aboveTheMat();
    }

    private void drag(double share) {
        held.forEach((joint, to) -> {
            Vector3D step = to.subtract(Points.at(joints, joint.index())).multiply(share);
            Points.add(joints, joint.index(), step.getX(), step.getY(), step.getZ());
        });
    }

    /** Parts limbs that go through each other, whose radii have grown to that share; all from the same state. */
    private void part(double grown) {
        Limb[] limbs = Limb.values();
        for (Player player : Player.values()) {
            for (Limb limb : limbs) {
                int at = 6 * (player.ordinal() * limbs.length + limb.ordinal());
                Capsules.place(joints, player, limb.from(), p);
                Capsules.place(joints, player, limb.to(), q);
                System.arraycopy(p, 0, ends, at, 3);
                System.arraycopy(q, 0, ends, at + 3, 3);
            }
        }
        Arrays.fill(pushed, 0);
        for (Capsules.Pair pair : Capsules.PAIRS) {
            Limb one = pair.one().limb();
            Limb other = pair.other().limb();
            int at = 6 * (pair.one().player().ordinal() * limbs.length + one.ordinal());
            int atOther = 6 * (pair.other().player().ordinal() * limbs.length + other.ordinal());
            if (farApart(at, atOther, pair)) {
                continue;
            }
            System.arraycopy(ends, at, p, 0, 3);
            System.arraycopy(ends, at + 3, q, 0, 3);
            System.arraycopy(ends, atOther, a, 0, 3);
            System.arraycopy(ends, atOther + 3, b, 0, 3);
            Capsules.Meeting meeting = Capsules.meeting(p, q, a, b);
            double wanted = grown * pair.give() * (Capsules.radius(sizes, pair.one(), meeting.along())
                    + Capsules.radius(sizes, pair.other(), meeting.alongOther()));
            double overlap = wanted - meeting.distance();
            if (overlap > 0) {
                double push = Math.min(MOST_PUSH, overlap / 4);
                push(pushed, pair.one(), meeting.along(), meeting, -push);
                push(pushed, pair.other(), meeting.alongOther(), meeting, push);
            }
        }
        for (int i = 0; i < joints.length; i++) {
            joints[i] += pushed[i];
        }
    }

    /** True when the middles are further apart than the limbs reach. */
    private boolean farApart(int at, int atOther, Capsules.Pair pair) {
        double square = 0;
        double half = 0;
        double halfOther = 0;
        for (int i = 0; i < 3; i++) {
            double d = (ends[at + i] + ends[at + 3 + i] - ends[atOther + i] - ends[atOther + 3 + i]) / 2;
            square += d * d;
            half += (ends[at + i] - ends[at + 3 + i]) * (ends[at + i] - ends[at + 3 + i]);
            halfOther += (ends[atOther + i] - ends[atOther + 3 + i]) * (ends[atOther + i] - ends[atOther + 3 + i]);
        }
        double reach = Math.sqrt(half) / 2 + Math.sqrt(halfOther) / 2 + thickest(pair.one()) + thickest(pair.other());
        return square > reach * reach;
    }

    private double thickest(LimbOf limb) {
        return Math.max(Capsules.radius(sizes, limb, 0), Capsules.radius(sizes, limb, 1));
    }

    /** Moves the point of a limb so far along the line on which two limbs meet, by moving the joints that carry it. */
    private static void push(double[] to, LimbOf limb, double along, Capsules.Meeting meeting, double by) {
        int first = limb.player().ordinal() * Joint.COUNT;
        double carried = carriage(limb.limb().from(), 1 - along) + carriage(limb.limb().to(), along);
        push(to, first, limb.limb().from(), (1 - along) * by / carried, meeting);
        push(to, first, limb.limb().to(), along * by / carried, meeting);
    }

    private static double carriage(Limb.End end, double share) {
        double sum = 0;
        for (int i = 0; i < end.shares().size(); i++) {
            double weight = end.shares().get(i).weight() * share;
            sum += weight * weight;
        }
        return sum;
    }

    private static void push(double[] to, int first, Limb.End end, double by, Capsules.Meeting meeting) {
        for (int i = 0; i < end.shares().size(); i++) {
            Limb.Share share = end.shares().get(i);
            double step = by * share.weight();
            Points.add(to, first + share.joint().ordinal(), step * meeting.x(), step * meeting.y(), step * meeting.z());
        }
    }

    /** What rests on something comes down on it, the one below hardly at all up to it. */
    private void rest() {
        for (Contacts.Rest rest : contacts.rests()) {
            Capsules.Pair pair = Capsules.pair(rest.one(), rest.other());
            Capsules.Meeting meeting = Capsules.meeting(joints, rest.one(), rest.other());
            double gap = gap(sizes, pair, meeting);
            if (gap > 0) {
                push(joints, rest.one(), meeting.along(), meeting, Math.min(MOST_REST, gap * share(rest.one().player())));
                push(joints, rest.other(), meeting.alongOther(), meeting,
                        -Math.min(MOST_REST, gap * share(rest.other().player())));
            }
        }
    }

    private static double share(Player player) {
        return player == Player.THEY ? .6 : .15;
    }

    /** How far two limbs are from touching; negative when they overlap more than flesh gives. */
    static double gap(double[] sizes, Capsules.Pair pair, Capsules.Meeting meeting) {
        return meeting.distance() - pair.give() * (Capsules.radius(sizes, pair.one(), meeting.along())
                + Capsules.radius(sizes, pair.other(), meeting.alongOther()));
    }

    private void stand() {
        for (JointOf joint : contacts.mat()) {
            int z = 3 * joint.index() + 2;
            joints[z] += (onTheMat(sizes, joint) - joints[z]) / 2;
        }
    }

    /** A hand closes on what it grips. */
    private void grip() {
        for (Contacts.Grip grip : contacts.grips()) {
            Capsules.place(joints, grip.on().player(), grip.on().limb().from(), a);
            Capsules.place(joints, grip.on().player(), grip.on().limb().to(), b);
            double x = a[0] + grip.at() * (b[0] - a[0]) - joints[3 * grip.hand().index()];
            double y = a[1] + grip.at() * (b[1] - a[1]) - joints[3 * grip.hand().index() + 1];
            double z = a[2] + grip.at() * (b[2] - a[2]) - joints[3 * grip.hand().index() + 2];
            double distance = Math.sqrt(x * x + y * y + z * z);
            double wanted = closed(sizes, grip);
            if (distance > 1e-9) {
                double error = (distance - wanted) / distance;
                Points.add(joints, grip.hand().index(), .3 * error * x, .3 * error * y, .3 * error * z);
                Capsules.Meeting back = new Capsules.Meeting(0, grip.at(), 0, x, y, z);
                push(joints, grip.on(), grip.at(), back, -.12 * error);
            }
        }
    }

    /** How far a hand is from closing on what it grips. */
    static double reach(double[] joints, double[] sizes, Contacts.Grip grip) {
        double[] from = new double[3];
        double[] to = new double[3];
        Capsules.place(joints, grip.on().player(), grip.on().limb().from(), from);
        Capsules.place(joints, grip.on().player(), grip.on().limb().to(), to);
        Vector3D held = Vector3D.of(from).lerp(Vector3D.of(to), grip.at());
        return held.distance(Points.at(joints, grip.hand().index())) - closed(sizes, grip);
    }

    /** How far from the axis of what it grips a closed hand is. */
    private static double closed(double[] sizes, Contacts.Grip grip) {
        JointOf hand = grip.hand();
        return .85 * (sizes[hand.player().ordinal()] * hand.joint().radius() + Capsules.radius(sizes, grip.on(), grip.at()));
    }

    /** How high a joint that stands on the mat is. */
    static double onTheMat(double[] sizes, JointOf joint) {
        return MAT * sizes[joint.player().ordinal()] * joint.joint().radius();
    }

    /** Every rod to its length; both of a pair are measured before either moves, so that none favours a side. */
    private void rods() {
        for (int player = 0; player < 2; player++) {
            int first = player * Joint.COUNT;
            for (List<Skeleton.Rod> group : Skeleton.RODS) {
                Skeleton.Rod rod = group.get(0);
                Skeleton.Rod other = group.get(group.size() - 1);
                Vector3D step = step(rod, first);
                Vector3D stepOther = step(other, first);
                pull(rod, first, step);
                if (group.size() > 1) {
                    pull(other, first, stepOther);
                }
            }
        }
    }

    /** The way the first end of a rod has to go, and the other the same way back; none when the length is right. */
    private Vector3D step(Skeleton.Rod rod, int first) {
        double length = Points.distance(joints, first + rod.one().ordinal(), first + rod.other().ordinal());
        double size = sizes[first / Joint.COUNT];
        double wanted = Math.max(size * rod.least(), Math.min(size * rod.most(), length));
        if (length == wanted) {
            return Vector3D.ZERO;
        }
        // Two joints in one place are parted upwards, for they have no direction of their own.
        return length < 1e-9 ? Vector3D.of(0, 0, -wanted / 2)
                : Points.at(joints, first + rod.other().ordinal()).subtract(Points.at(joints, first + rod.one().ordinal()))
                        .multiply((length - wanted) / length / 2);
    }

    private void pull(Skeleton.Rod rod, int first, Vector3D step) {
        Points.add(joints, first + rod.one().ordinal(), step.getX(), step.getY(), step.getZ());
        Points.add(joints, first + rod.other().ordinal(), -step.getX(), -step.getY(), -step.getZ());
    }

    private void aboveTheMat() {
        for (int i = 0; i < 2 * Joint.COUNT; i++) {
            joints[3 * i + 2] = Math.max(joints[3 * i + 2], MAT * sizes[i / Joint.COUNT] * Joint.values()[i % Joint.COUNT].radius());
        }
        for (Player player : Player.values()) {
            for (Limb limb : List.of(Limb.HEAD, Limb.CHEST_LEFT, Limb.CHEST_RIGHT)) {
                lift(player, limb, 0);
                lift(player, limb, 1);
            }
        }
    }

    /** Lifts an end of a limb of the trunk out of the mat. */
    private void lift(Player player, Limb limb, double along) {
        Limb.End end = along == 0 ? limb.from() : limb.to();
        Capsules.place(joints, player, end, p);
        double under = MAT * sizes[player.ordinal()] * end.radius() - p[2];
        if (under > 0) {
            push(joints, new LimbOf(player, limb), along, UPWARDS, under / 2);
        }
    }
}
