package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Limb;
import app.narrowgate.core.body.LimbOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Touch;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * What carries the top player, as the posture's contacts say it, and where else they could put a hand down.
 *
 * @param centre the centre of their mass
 * @param posts what of them stands on the mat
 * @param leans what of them lies on you from above
 * @param landings where a free hand of theirs could come down
 */
public record Supports(Vector3D centre, List<Post> posts, List<Lean> leans, List<Landing> landings) {

    /** How much of a joint's thickness is pressed flat on the mat. */
    private static final double PATCH = .7;
    /** How steeply the surface under them must look upwards to carry anything, as the cosine to straight up. */
    private static final double UPWARD = .25;
    /** Shoulder to the heel of the hand of an arm that catches. */
    private static final double ARM = .382;
    /** How high the shoulder still is when the hand lands, as a share of its height before. */
    private static final double FALLEN = .6;
    private static final int HALF_TURN = 24;
    /** A head higher than this is carried by its own neck and carries nobody, in stature. */
    private static final double HEAD_UP = .16;
    static final Set<Limb> TRUNK = EnumSet.range(Limb.CHEST_LEFT, Limb.PELVIS_RIGHT);
    /** What stands on the mat when they sit on it. */
    static final Set<Joint> SEAT = EnumSet.of(Joint.HIP, Joint.HIP_LEFT, Joint.HIP_RIGHT);

    /** A joint of theirs on the mat: where, and how far its patch reaches. */
    public record Post(JointOf joint, Vector3D at, double radius) {
        boolean isSeat() {
            return SEAT.contains(joint.joint());
        }
    }

    /** A limb of theirs that lies on one of yours: where, and which spot of yours that is. */
    public record Lean(LimbOf theirs, LimbOf yours, Vector3D at, Spot spot) {
        boolean isTrunk() {
            return TRUNK.contains(theirs.limb());
        }
    }

    /** A hand of theirs that could come down: anywhere on the mat within these corners, on its own side of them. */
    public record Landing(JointOf hand, List<Vector3D> within) {

        /** Keeps the order. */
        public Landing {
            within = List.copyOf(within);
        }
    }

    /** Keeps the order. */
    public Supports {
        posts = List.copyOf(posts);
        leans = List.copyOf(leans);
        landings = List.copyOf(landings);
    }

    /**
     * What carries the top player in a posture.
     *
     * @param trapped hands of theirs that cannot let go of where they are held
     */
    static Supports of(Bodies bodies, Set<Joint> trapped) {
        return new Supports(Segment.centreOf(bodies, Player.THEY), posts(bodies), leans(bodies), landings(bodies, trapped));
    }

    private static List<Post> posts(Bodies bodies) {
        return bodies.contacts().mat().stream().filter(joint -> joint.player() == Player.THEY)
                .map(joint -> new Post(joint, foot(bodies.at(joint)), PATCH * joint.joint().radius() * bodies.size(Player.THEY)))
                .toList();
    }

    private static Vector3D foot(Vector3D point) {
        return Vector3D.of(point.getX(), point.getY(), 0);
    }

    /** One for each limb of theirs, where it lies on the flattest surface of yours. */
    private static List<Lean> leans(Bodies bodies) {
        record Found(Lean lean, double upward) {
        }
        boolean isHeadUp = bodies.at(Player.YOU, Joint.HEAD).getZ() > HEAD_UP * bodies.size(Player.YOU);
        Map<Limb, Found> flattest = new LinkedHashMap<>();
        for (Contacts.Rest rest : bodies.contacts().rests()) {
            if (rest.one().player() == rest.other().player()) {
                continue;
            }
            boolean isTheirsFirst = rest.one().player() == Player.THEY;
            LimbOf theirs = isTheirsFirst ? rest.one() : rest.other();
            LimbOf yours = isTheirsFirst ? rest.other() : rest.one();
            Touch touch = Touch.of(bodies, new Contacts.Rest(yours, theirs));
            double upward = touch.away().getZ();
            Spot spot = Spot.of(yours.limb(), touch.along());
            if (upward >= UPWARD && !(isHeadUp && spot == Spot.HEAD)) {
                Lean lean = new Lean(theirs, yours, touch.at(), spot);
                flattest.merge(theirs.limb(), new Found(lean, upward), (a, b) -> b.upward() > a.upward() ? b : a);
            }
        }
        return flattest.values().stream().map(Found::lean).toList();
    }

    /** An arm is free that stands nowhere, is not trapped, and neither holds nor lies on more than your trunk, which lets it go. */
    private static List<Landing> landings(Bodies bodies, Set<Joint> trapped) {
        List<Landing> landings = new ArrayList<>();
        for (Arm arm : Arm.values()) {
            if (!trapped.contains(arm.hand) && isFree(bodies, arm)) {
                landing(bodies, arm).ifPresent(landings::add);
            }
        }
        return landings;
    }

    /** True for a hand of theirs that could come down on the mat. */
    static boolean mayLand(Bodies bodies, Joint hand) {
        Arm arm = hand == Joint.HAND_LEFT ? Arm.LEFT : Arm.RIGHT;
        return isFree(bodies, arm) && landing(bodies, arm).isPresent();
    }

    private static boolean isFree(Bodies bodies, Arm arm) {
        return bodies.contacts().grips().stream().noneMatch(grip -> grip.hand().equals(they(arm.hand)) && !isYourTrunk(grip.on()))
                && bodies.contacts().mat().stream().noneMatch(joint -> joint.player() == Player.THEY && arm.joints.contains(joint.joint()))
                && bodies.contacts().rests().stream().noneMatch(rest -> isHeldUp(rest.one(), rest.other(), arm)
                        || isHeldUp(rest.other(), rest.one(), arm));
    }

    private static boolean isHeldUp(LimbOf limb, LimbOf by, Arm arm) {
        boolean isHand = limb.limb() == Limb.HAND_LEFT || limb.limb() == Limb.HAND_RIGHT;
        return limb.player() == Player.THEY && arm.limbs.contains(limb.limb()) && !(isHand && isYourTrunk(by));
    }

    private static boolean isYourTrunk(LimbOf limb) {
        return limb.player() == Player.YOU && TRUNK.contains(limb.limb());
    }

    static JointOf they(Joint joint) {
        return new JointOf(Player.THEY, joint);
    }

    private static Optional<Landing> landing(Bodies bodies, Arm arm) {
        Vector3D shoulder = bodies.at(Player.THEY, arm.shoulder);
        double length = ARM * bodies.size(Player.THEY);
        double square = length * length - FALLEN * FALLEN * shoulder.getZ() * shoulder.getZ();
        Vector3D outwards = foot(shoulder).subtract(foot(bodies.at(Player.THEY, Joint.NECK)));
        if (square <= 0 || outwards.norm() < 1e-6) {
            return Optional.empty();
        }
        double middle = StrictMath.atan2(outwards.getY(), outwards.getX());
        List<Vector3D> within = new ArrayList<>();
        // Half the disc round the shoulder: nobody falls on a hand that has to come across.
        for (int i = 0; i <= HALF_TURN; i++) {
            double angle = middle + Math.PI * i / HALF_TURN - Math.PI / 2;
            within.add(foot(shoulder).add(Vector3D.of(StrictMath.cos(angle), StrictMath.sin(angle), 0).multiply(Math.sqrt(square))));
        }
        return Optional.of(new Landing(they(arm.hand), within));
    }

    private enum Arm {
        LEFT(Joint.SHOULDER_LEFT, Joint.HAND_LEFT, EnumSet.of(Joint.ELBOW_LEFT, Joint.WRIST_LEFT, Joint.HAND_LEFT),
                EnumSet.of(Limb.UPPER_ARM_LEFT, Limb.FOREARM_LEFT, Limb.HAND_LEFT)),
        RIGHT(Joint.SHOULDER_RIGHT, Joint.HAND_RIGHT, EnumSet.of(Joint.ELBOW_RIGHT, Joint.WRIST_RIGHT, Joint.HAND_RIGHT),
                EnumSet.of(Limb.UPPER_ARM_RIGHT, Limb.FOREARM_RIGHT, Limb.HAND_RIGHT));

        private final Joint shoulder;
        private final Joint hand;
        private final Set<Joint> joints;
        private final Set<Limb> limbs;

        Arm(Joint shoulder, Joint hand, Set<Joint> joints, Set<Limb> limbs) {
            this.shoulder = shoulder;
            this.hand = hand;
            this.joints = joints;
            this.limbs = limbs;
        }
    }
}
