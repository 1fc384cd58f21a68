package app.narrowgate.core.weight;

import static app.narrowgate.core.weight.Supports.SEAT;
import static app.narrowgate.core.weight.Supports.TRUNK;
import static app.narrowgate.core.weight.Supports.they;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Limb;
import app.narrowgate.core.body.LimbOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.check.Coded;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * What can be changed about how the top player is carried: a post trapped by you, or another way in which they carry
 * themselves. Trapping leaves everybody where they are; the others move the body a little, so that the posture has to be
 * solved again.
 */
public enum Change implements Coded {
    TRAP_HAND_LEFT(Joint.HAND_LEFT, Joint.WRIST_LEFT, Joint.ELBOW_LEFT),
    TRAP_HAND_RIGHT(Joint.HAND_RIGHT, Joint.WRIST_RIGHT, Joint.ELBOW_RIGHT),
    /** The knee still guards that side. */
    TRAP_FOOT_LEFT(Joint.ANKLE_LEFT, Joint.TOE_LEFT),
    TRAP_FOOT_RIGHT(Joint.ANKLE_RIGHT, Joint.TOE_RIGHT),
    SEAT_UP, SEAT_DOWN,
    /** They ride up from your hips to your ribs. */
    HIPS_HIGHER,
    KNEES_OFF;

    private static final double SEAT_RISE = .08;
    private static final double RIDE = .12;
    private static final double KNEE_RISE = .06;
    /** A seat lower than this could come down to the mat, in stature. */
    private static final double LOW_SEAT = .20;

    /** How far from the middle of a trunk the mat begins, in your stature. */
    private static final double BESIDE = .10;

    private static final Set<Joint> KNEES = EnumSet.of(Joint.KNEE_LEFT, Joint.KNEE_RIGHT);
    private static final Set<Limb> PELVIS = EnumSet.of(Limb.PELVIS_LEFT, Limb.PELVIS_RIGHT);
    /** What of theirs is their seat, where they sit on you. */
    private static final Set<Limb> SEATED = EnumSet.of(Limb.PELVIS_LEFT, Limb.PELVIS_RIGHT, Limb.THIGH_LEFT, Limb.THIGH_RIGHT);

    private final List<Joint> trapped;

    Change(Joint... trapped) {
        this.trapped = List.of(trapped);
    }

    /** The joints of theirs that no longer stand once this is done; none unless something is trapped. */
    public List<Joint> trapped() {
        return trapped;
    }

    /** True where the change makes sense in a posture in which nothing is changed. */
    boolean applies(Bodies bodies) {
        Contacts contacts = bodies.contacts();
        return switch (this) {
            case TRAP_HAND_LEFT, TRAP_HAND_RIGHT -> posts(bodies, trapped) || Supports.mayLand(bodies, trapped.get(0));
            case TRAP_FOOT_LEFT, TRAP_FOOT_RIGHT -> posts(bodies, trapped);
            case SEAT_UP -> posts(bodies, SEAT) || rests(contacts, SEATED, TRUNK) && !isBeside(bodies);
            case SEAT_DOWN -> !posts(bodies, SEAT) && bodies.at(Player.THEY, Joint.HIP).getZ() < LOW_SEAT * bodies.size(Player.THEY)
                    && isBeside(bodies);
            case HIPS_HIGHER -> rests(contacts, SEATED, PELVIS);
            case KNEES_OFF -> posts(bodies, KNEES);
        };
    }

    /** True where their hips are beside your trunk, with mat under them. */
    private static boolean isBeside(Bodies bodies) {
        Vector3D hip = bodies.at(Player.THEY, Joint.HIP);
        return Stream.of(Joint.HIP, Joint.WAIST, Joint.NECK, Joint.KNEE_LEFT, Joint.KNEE_RIGHT).map(joint -> bodies.at(Player.YOU, joint))
                .allMatch(yours -> Math.hypot(yours.getX() - hip.getX(), yours.getY() - hip.getY()) > BESIDE);
    }

    private static boolean posts(Bodies bodies, Iterable<Joint> any) {
        for (Joint joint : any) {
            if (bodies.contacts().mat().contains(they(joint))) {
                return true;
            }
        }
        return false;
    }

    /** True where a limb of theirs among those lies on one of yours among the others. */
    private static boolean rests(Contacts contacts, Set<Limb> theirs, Set<Limb> yours) {
        return contacts.rests().stream().anyMatch(rest -> isOn(rest, theirs, yours));
    }

    private static boolean isOn(Contacts.Rest rest, Set<Limb> theirs, Set<Limb> yours) {
        return matches(rest.one(), Player.THEY, theirs) && matches(rest.other(), Player.YOU, yours)
                || matches(rest.other(), Player.THEY, theirs) && matches(rest.one(), Player.YOU, yours);
    }

    private static boolean matches(LimbOf limb, Player player, Set<Limb> limbs) {
        return limb.player() == player && limbs.contains(limb.limb());
    }

    /** Joints of theirs with the way they are moved. */
    private static Map<JointOf, Vector3D> moved(Iterable<Joint> joints, Vector3D by) {
        Map<JointOf, Vector3D> moved = new LinkedHashMap<>();
        joints.forEach(joint -> moved.put(they(joint), by));
        return moved;
    }

    /** The posture with this change, not yet solved again; the same joints where something is trapped. */
    Bodies in(Bodies bodies) {
        double unit = bodies.size(Player.THEY);
        return switch (this) {
            case TRAP_HAND_LEFT, TRAP_HAND_RIGHT, TRAP_FOOT_LEFT, TRAP_FOOT_RIGHT -> bodies.with(offTheMat(bodies.contacts(), trapped));
            case SEAT_UP -> bodies.with(withoutRests(offTheMat(bodies.contacts(), SEAT), rest -> isOn(rest, SEATED, TRUNK)))
                    .moved(moved(SEAT, Vector3D.of(0, 0, SEAT_RISE * unit)));
            case SEAT_DOWN -> seatDown(bodies);
            case HIPS_HIGHER -> hipsHigher(bodies, unit);
            case KNEES_OFF -> kneesOff(bodies, unit);
        };
    }

    private static Bodies seatDown(Bodies bodies) {
        // The lower hip comes down, the trunk with it.
        Joint lower = bodies.at(Player.THEY, Joint.HIP_LEFT).getZ() < bodies.at(Player.THEY, Joint.HIP_RIGHT).getZ()
                ? Joint.HIP_LEFT : Joint.HIP_RIGHT;
        double fall = bodies.at(Player.THEY, lower).getZ() - lower.radius() * bodies.size(Player.THEY);
        Contacts contacts = withoutRests(bodies.contacts(), rest -> isOn(rest, SEATED, TRUNK));
        return bodies.with(onTheMat(contacts, List.of(lower))).moved(moved(SEAT, Vector3D.of(0, 0, -Math.max(0, fall))));
    }

    private static Bodies hipsHigher(Bodies bodies, double unit) {
        Vector3D spine = bodies.at(Player.YOU, Joint.NECK).subtract(bodies.at(Player.YOU, Joint.HIP));
        Vector3D up = Vector3D.of(spine.getX(), spine.getY(), 0);
        Vector3D ride = up.norm() < 1e-9 ? Vector3D.ZERO : up.normalize().multiply(RIDE * unit);
        Contacts contacts = bodies.contacts();
        List<Contacts.Rest> rests = contacts.rests().stream().map(rest -> isOn(rest, SEATED, PELVIS)
                ? new Contacts.Rest(ribs(rest.one()), ribs(rest.other())) : rest).distinct().toList();
        return bodies.with(new Contacts(contacts.mat(), rests, contacts.grips())).moved(moved(List.of(Joint.HIP, Joint.HIP_LEFT,
                Joint.HIP_RIGHT, Joint.WAIST, Joint.KNEE_LEFT, Joint.KNEE_RIGHT, Joint.ANKLE_LEFT, Joint.ANKLE_RIGHT,
                Joint.TOE_LEFT, Joint.TOE_RIGHT), ride));
    }

    /** The chest of yours above a side of the pelvis; what is theirs stays. */
    private static LimbOf ribs(LimbOf limb) {
        return limb.player() == Player.THEY ? limb
                : new LimbOf(Player.YOU, limb.limb() == Limb.PELVIS_LEFT ? Limb.CHEST_LEFT : Limb.CHEST_RIGHT);
    }

    private static Bodies kneesOff(Bodies bodies, double unit) {
        Set<Joint> lifted = EnumSet.noneOf(Joint.class);
        Set<Joint> toes = EnumSet.noneOf(Joint.class);
        for (boolean left : new boolean[] {true, false}) {
            if (bodies.contacts().mat().contains(they(left ? Joint.KNEE_LEFT : Joint.KNEE_RIGHT))) {
                lifted.addAll(left ? List.of(Joint.KNEE_LEFT, Joint.ANKLE_LEFT) : List.of(Joint.KNEE_RIGHT, Joint.ANKLE_RIGHT));
                toes.add(left ? Joint.TOE_LEFT : Joint.TOE_RIGHT);
            }
        }
        return bodies.with(onTheMat(offTheMat(bodies.contacts(), lifted), toes))
                .moved(moved(lifted, Vector3D.of(0, 0, KNEE_RISE * unit)));
    }

    private static Contacts offTheMat(Contacts contacts, Iterable<Joint> lifted) {
        Set<JointOf> mat = new LinkedHashSet<>(contacts.mat());
        lifted.forEach(joint -> mat.remove(they(joint)));
        return new Contacts(mat, contacts.rests(), contacts.grips());
    }

    private static Contacts onTheMat(Contacts contacts, Iterable<Joint> down) {
        Set<JointOf> mat = new LinkedHashSet<>(contacts.mat());
        down.forEach(joint -> mat.add(they(joint)));
        return new Contacts(mat, contacts.rests(), contacts.grips());
    }

    private static Contacts withoutRests(Contacts contacts, Predicate<Contacts.Rest> lifted) {
        return new Contacts(contacts.mat(), contacts.rests().stream().filter(lifted.negate()).toList(), contacts.grips());
    }

    /** Those that make sense in a posture in which nothing is changed. */
    public static List<Change> of(Bodies bodies) {
        return List.of(values()).stream().filter(change -> change.applies(bodies)).toList();
    }

    /** The changes with one more done, or taken back where it was done. */
    public static Set<Change> toggled(Set<Change> done, Change change) {
        Set<Change> toggled = EnumSet.noneOf(Change.class);
        toggled.addAll(done);
        if (!toggled.remove(change)) {
            toggled.add(change);
        }
        return toggled;
    }
}
