package app.narrowgate.core.body;

import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
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
    public static final int UNDER_THE_HAND = 36;

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
    private static final int LIMBS = Capsules.ALL.length;
    private static final Player[] PLAYERS = Player.values();
    private static final Capsules.Pair[] PAIRS = Capsules.PAIRS.toArray(Capsules.Pair[]::new);
    /** What is wide and may not sink into the mat between its joints. */
    private static final LimbOf[] WIDE = Stream.of(Capsules.ALL).filter(of -> Set.of(Limb.HEAD, Limb.CHEST_LEFT, Limb.CHEST_RIGHT).contains(of.limb()))
            .toArray(LimbOf[]::new);

    private final double[] joints;
    private final double[] rough;
    private final double[] sizes;
    private final Contacts contacts;
    private final Map<JointOf, Vector3D> held;
    /** How high each joint is at least. */
    private final double[] floors = new double[2 * Joint.COUNT];

    /** Both ends of every limb, by {@link LimbOf#index}; then its middle, and how far it reaches from there. */
    private final double[] ends = new double[LIMBS * 6];
    private final double[] middles = new double[LIMBS * 3];
    private final double[] reaches = new double[LIMBS];
    private final double[] pushed = new double[2 * Joint.COUNT * 3];
    private final double[] met = new double[Capsules.MET];
    private final double[] two = new double[12];
    private final double[] ways = new double[6];

    private Relaxation(Bodies rough, Map<JointOf, Vector3D> held) {
        this.joints = rough.copyOfJoints();
        this.rough = rough.copyOfJoints();
        this.sizes = rough.sizes();
        this.contacts = rough.contacts();
        this.held = held;
        for (Player player : PLAYERS) {
            for (Joint joint : Joint.values()) {
                JointOf of = new JointOf(player, joint);
                floors[of.index()] = onTheMat(sizes, of);
            }
        }
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
            for (Player player : PLAYERS) {
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
        Capsules.place(joints, ends);
        for (int i = 0; i < LIMBS; i++) {
            reaches[i] = reach(i);
        }
        Arrays.fill(pushed, 0);
        for (Capsules.Pair pair : PAIRS) {
            int one = pair.one().index();
            int other = pair.other().index();
            if (areFarApart(one, other)) {
                continue;
            }
            Capsules.meet(ends, 6 * one, 6 * other, met);
            double along = met[Capsules.ALONG];
            double alongOther = met[Capsules.ALONG_OTHER];
            double wanted = grown * pair.give() * (Capsules.radius(sizes, pair.one(), along) + Capsules.radius(sizes, pair.other(), alongOther));
            double overlap = wanted - met[Capsules.DISTANCE];
            if (overlap > 0) {
                double push = Math.min(MOST_PUSH, overlap / 4);
                push(pushed, pair.one(), along, -push);
                push(pushed, pair.other(), alongOther, push);
            }
        }
        for (int i = 0; i < joints.length; i++) {
            joints[i] += pushed[i];
        }
    }

    /** How far a limb reaches from its middle, which is put down. */
    private double reach(int limb) {
        double square = 0;
        for (int i = 0; i < 3; i++) {
            double from = ends[6 * limb + i];
            double to = ends[6 * limb + 3 + i];
            middles[3 * limb + i] = (from + to) / 2;
            square += (to - from) * (to - from);
        }
        return Math.sqrt(square) / 2 + Math.max(Capsules.radius(sizes, Capsules.ALL[limb], 0), Capsules.radius(sizes, Capsules.ALL[limb], 1));
    }

    /** True when the middles are further apart than the limbs reach. */
    private boolean areFarApart(int one, int other) {
        double x = middles[3 * one] - middles[3 * other];
        double y = middles[3 * one + 1] - middles[3 * other + 1];
        double z = middles[3 * one + 2] - middles[3 * other + 2];
        double reach = reaches[one] + reaches[other];
        return x * x + y * y + z * z > reach * reach;
    }

    /** Moves the point of a limb so far along the way on which two limbs met, by moving the joints that carry it. */
    private void push(double[] to, LimbOf limb, double along, double by) {
        push(to, limb, along, by * met[Capsules.WAY], by * met[Capsules.WAY + 1], by * met[Capsules.WAY + 2]);
    }

    private static void push(double[] to, LimbOf limb, double along, double x, double y, double z) {
        int first = limb.player().ordinal() * Joint.COUNT;
        double carried = limb.limb().from().carriage(1 - along) + limb.limb().to().carriage(along);
        double from = (1 - along) / carried;
        double beyond = along / carried;
        limb.limb().from().push(to, first, from * x, from * y, from * z);
        limb.limb().to().push(to, first, beyond * x, beyond * y, beyond * z);
    }

    /** What rests on something comes down on it, the one below hardly at all up to it. */
    private void rest() {
        for (Contacts.Rest rest : contacts.rests()) {
            Capsules.place(joints, rest.one(), two, 0);
            Capsules.place(joints, rest.other(), two, 6);
            Capsules.meet(two, 0, 6, met);
            double along = met[Capsules.ALONG];
            double alongOther = met[Capsules.ALONG_OTHER];
            double gap = met[Capsules.DISTANCE] - touching(sizes, rest.one(), along, rest.other(), alongOther);
            if (gap > 0) {
                push(joints, rest.one(), along, Math.min(MOST_REST, gap * share(rest.one().player())));
                push(joints, rest.other(), alongOther, -Math.min(MOST_REST, gap * share(rest.other().player())));
            }
        }
    }

    private static double share(Player player) {
        return player == Player.THEY ? .6 : .15;
    }

    /** How far two limbs are from touching; negative when they overlap more than flesh gives. */
    static double gap(double[] sizes, LimbOf one, LimbOf other, Capsules.Meeting meeting) {
        return meeting.distance() - touching(sizes, one, meeting.along(), other, meeting.alongOther());
    }

    /** How far apart the axes of two limbs are that touch there. */
    static double touching(double[] sizes, LimbOf one, double along, LimbOf other, double alongOther) {
        return Capsules.give(one, other) * (Capsules.radius(sizes, one, along) + Capsules.radius(sizes, other, alongOther));
    }

    private void stand() {
        for (JointOf joint : contacts.mat()) {
            int z = 3 * joint.index() + 2;
            joints[z] += (floors[joint.index()] - joints[z]) / 2;
        }
    }

    /** A hand closes on what it grips. */
    private void grip() {
        for (Contacts.Grip grip : contacts.grips()) {
            Capsules.place(joints, grip.on(), two, 0);
            int hand = 3 * grip.hand().index();
            double x = two[0] + grip.at() * (two[3] - two[0]) - joints[hand];
            double y = two[1] + grip.at() * (two[4] - two[1]) - joints[hand + 1];
            double z = two[2] + grip.at() * (two[5] - two[2]) - joints[hand + 2];
            double distance = Math.sqrt(x * x + y * y + z * z);
            double wanted = closed(sizes, grip);
            if (distance > 1e-9) {
                double error = (distance - wanted) / distance;
                Points.add(joints, grip.hand().index(), .3 * error * x, .3 * error * y, .3 * error * z);
                push(joints, grip.on(), grip.at(), -.12 * error * x, -.12 * error * y, -.12 * error * z);
            }
        }
    }

    /** How far a hand is from closing on what it grips. */
    static double reach(double[] joints, double[] sizes, Contacts.Grip grip) {
        double[] ends = new double[6];
        Capsules.place(joints, grip.on(), ends, 0);
        Vector3D held = Vectors.between(Points.at(ends, 0), Points.at(ends, 1), grip.at());
        return Vectors.distance(held, Points.at(joints, grip.hand().index())) - closed(sizes, grip);
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
        int[] ones = Skeleton.ONES;
        int[] others = Skeleton.OTHERS;
        double[] least = Skeleton.LEAST;
        double[] most = Skeleton.MOST;
        boolean[] isBeforeItsMirror = Skeleton.BEFORE_ITS_MIRROR;
        for (int player = 0; player < 2; player++) {
            int first = 3 * player * Joint.COUNT;
            double size = sizes[player];
            for (int rod = 0; rod < ones.length; rod++) {
                int one = first + ones[rod];
                int other = first + others[rod];
                measure(one, other, size * least[rod], size * most[rod], 0);
                if (isBeforeItsMirror[rod]) {
                    rod++;
                    measure(first + ones[rod], first + others[rod], size * least[rod], size * most[rod], 3);
                    pull(first + ones[rod], first + others[rod], 3);
                }
                pull(one, other, 0);
            }
        }
    }

    /** The way the first end of a rod has to go, and the other the same way back; none when the length is right. */
    private void measure(int one, int other, double least, double most, int at) {
        double x = joints[other] - joints[one];
        double y = joints[other + 1] - joints[one + 1];
        double z = joints[other + 2] - joints[one + 2];
        double length = Math.sqrt(x * x + y * y + z * z);
        double wanted = length < least ? least : length > most ? most : length;
        // Two joints in one place are parted upwards, for they have no direction of their own.
        boolean coincide = length < 1e-9;
        double share = length == wanted || coincide ? 0 : (length - wanted) / length / 2;
        ways[at] = share * x;
        ways[at + 1] = share * y;
        ways[at + 2] = coincide ? -wanted / 2 : share * z;
    }

    private void pull(int one, int other, int at) {
        for (int i = 0; i < 3; i++) {
            joints[one + i] += ways[at + i];
            joints[other + i] -= ways[at + i];
        }
    }

    private void aboveTheMat() {
        for (int i = 0; i < floors.length; i++) {
            joints[3 * i + 2] = Math.max(joints[3 * i + 2], floors[i]);
        }
        for (LimbOf limb : WIDE) {
            lift(limb, 0);
            lift(limb, 1);
        }
    }

    /** Lifts an end of a limb of the trunk out of the mat. */
    private void lift(LimbOf limb, double along) {
        int player = limb.player().ordinal();
        Limb.End end = along == 0 ? limb.limb().from() : limb.limb().to();
        end.place(joints, player * Joint.COUNT, two, 0);
        double under = MAT * sizes[player] * end.radius() - two[2];
        if (under > 0) {
            push(joints, limb, along, 0, 0, under / 2);
        }
    }
}
