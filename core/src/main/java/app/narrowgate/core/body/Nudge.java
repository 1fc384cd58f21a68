package app.narrowgate.core.body;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A posture in which somebody took a hand, a knee, a foot or a head and put it elsewhere. It comes as near to there as the
 * bodies allow; what it touched before and cannot touch any more is let go, and what comes down on the mat stands on it.
 *
 * @param bodies the posture as it is then, possible
 * @param let contacts that were let go: the hand that held, {@code you.toe-left mat} for a joint that stood on the mat, or the
 *     two limbs that rested on each other
 */
public record Nudge(Bodies bodies, Set<String> let) {

    /** What can be taken hold of. */
    public static final List<Joint> HANDLES = List.of(Joint.HEAD, Joint.HAND_LEFT, Joint.HAND_RIGHT, Joint.KNEE_LEFT,
            Joint.KNEE_RIGHT, Joint.ANKLE_LEFT, Joint.ANKLE_RIGHT);

    /** How far something may be moved at once, in stature. */
    public static final Range STEP = new Range(-1.5, 1.5, "statures");

    /** Moved further than this, a hand lets go and a limb rests no more; in stature. */
    private static final double LETS_GO = .045;
    /** Lifted further than this it stands on the mat no more; in stature. */
    private static final double LIFTS = .02;
    /** So near to the mat it stands on it; in stature. */
    private static final double LANDS = .008;

    /** Keeps the order. */
    public Nudge {
        let = Collections.unmodifiableSet(new LinkedHashSet<>(let));
    }

    /**
     * {@code from} with {@code joint} moved. Deterministic. Cost: {@link Relaxation#NUDGE} steps of a relaxation, some 8 ms.
     *
     * @param from a posture that is possible
     * @param joint one of {@link #HANDLES} of either
     * @param by how far, in stature, each way within {@link #STEP}
     * @throws RefusedException when the joint is none of these, or the step is too long
     */
    public static Nudge of(Bodies from, JointOf joint, Vector3D by) {
        return of(from, joint, by, Relaxation.NUDGE);
    }

    /** The same as it is seen for a moment while the hand still moves it: less exact, in half the time. */
    public static Nudge underTheHand(Bodies from, JointOf joint, Vector3D by) {
        return of(from, joint, by, Relaxation.UNDER_THE_HAND);
    }

    private static Nudge of(Bodies from, JointOf joint, Vector3D by, int steps) {
        if (!HANDLES.contains(joint.joint())) {
            throw new RefusedException("%s cannot be taken hold of; take a hand, a knee, an ankle or the head.".formatted(joint));
        }
        STEP.require("How far %s is moved to the side".formatted(joint), by.getX());
        STEP.require("How far %s is moved along the mat".formatted(joint), by.getY());
        STEP.require("How far %s is moved up".formatted(joint), by.getZ());
        Set<String> let = new LinkedHashSet<>();
        Contacts kept = kept(from.contacts(), joint, by, let);
        Vector3D at = from.at(joint).add(by);
        Vector3D to = Vector3D.of(at.getX(), at.getY(), Math.max(at.getZ(), Relaxation.onTheMat(from.sizes(), joint)));
        Bodies rough = from.with(kept).moved(carried(joint, to.subtract(from.at(joint))));
        Bodies solved = Relaxation.of(rough, steps, Map.of(joint, to));
        return new Nudge(landed(solved, joint), let);
    }

    /** What comes along: the limb beyond the joint wholly, the one before it half way. */
    private static Map<JointOf, Vector3D> carried(JointOf joint, Vector3D by) {
        Map<JointOf, Vector3D> moved = new LinkedHashMap<>();
        moved.put(joint, by);
        Vector3D half = by.multiply(.5);
        switch (joint.joint()) {
            case HEAD -> {
                moved.put(of(joint, Joint.NOSE), by);
                moved.put(of(joint, Joint.NECK), half);
            }
            case HAND_LEFT, HAND_RIGHT -> {
                moved.put(side(joint, Joint.WRIST_LEFT), by);
                moved.put(side(joint, Joint.ELBOW_LEFT), half);
            }
            case KNEE_LEFT, KNEE_RIGHT -> {
                moved.put(side(joint, Joint.ANKLE_LEFT), half);
                moved.put(side(joint, Joint.TOE_LEFT), half);
            }
            default -> {
                moved.put(side(joint, Joint.TOE_LEFT), by);
                moved.put(side(joint, Joint.KNEE_LEFT), half);
            }
        }
        return moved;
    }

    private static JointOf of(JointOf joint, Joint other) {
        return new JointOf(joint.player(), other);
    }

    /** Another joint of the same side, given by that of the left. */
    private static JointOf side(JointOf joint, Joint left) {
        return of(joint, isLeft(joint) ? left : left.mirrored());
    }

    private static boolean isLeft(JointOf joint) {
        return joint.joint().name().endsWith("_LEFT");
    }

    private static Contacts kept(Contacts contacts, JointOf joint, Vector3D by, Set<String> let) {
        boolean far = Vectors.length(by) > LETS_GO;
        Set<JointOf> standing = standing(joint);
        Set<LimbOf> limbs = limbs(joint);
        Set<JointOf> mat = new LinkedHashSet<>();
        contacts.mat().forEach(one -> keep(mat, one, by.getZ() > LIFTS && standing.contains(one), let));
        List<Contacts.Rest> rests = new ArrayList<>();
        contacts.rests().forEach(rest ->
                keep(rests, rest, far && (limbs.contains(rest.one()) || limbs.contains(rest.other())), let));
        List<Contacts.Grip> grips = new ArrayList<>();
        contacts.grips().forEach(grip -> keep(grips, grip, far && grip.hand().equals(joint), let));
        return let.isEmpty() ? contacts : new Contacts(mat, rests, grips);
    }

    private static <T> void keep(Collection<T> kept, T contact, boolean goes, Set<String> let) {
        if (!goes) {
            kept.add(contact);
        } else if (contact instanceof Contacts.Grip grip) {
            let.add(grip.hand().toString());
        } else if (contact instanceof Contacts.Rest rest) {
            let.add(rest.one() + " " + rest.other());
        } else {
            let.add(contact + " mat");
        }
    }

    /** The joints that leave the mat with it. */
    private static Set<JointOf> standing(JointOf joint) {
        return switch (joint.joint()) {
            case HAND_LEFT, HAND_RIGHT -> Set.of(joint, side(joint, Joint.WRIST_LEFT));
            case ANKLE_LEFT, ANKLE_RIGHT -> Set.of(joint, side(joint, Joint.TOE_LEFT));
            default -> Set.of(joint);
        };
    }

    /** The limbs that rest no more when it goes elsewhere: those beyond the last joint but one. */
    private static Set<LimbOf> limbs(JointOf joint) {
        Limb limb = switch (joint.joint()) {
            case HAND_LEFT -> Limb.HAND_LEFT;
            case HAND_RIGHT -> Limb.HAND_RIGHT;
            case ANKLE_LEFT -> Limb.FOOT_LEFT;
            case ANKLE_RIGHT -> Limb.FOOT_RIGHT;
            case HEAD -> Limb.HEAD;
            default -> null;
        };
        return limb == null ? Set.of() : Set.of(new LimbOf(joint.player(), limb));
    }

    /** A hand, a knee, a foot or a head that has come down on the mat stands on it. */
    private static Bodies landed(Bodies solved, JointOf joint) {
        Contacts contacts = solved.contacts();
        boolean stands = contacts.mat().contains(joint)
                || solved.at(joint).getZ() > Relaxation.onTheMat(solved.sizes(), joint) + LANDS
                || contacts.grips().stream().anyMatch(grip -> grip.hand().equals(joint));
        if (stands) {
            return solved;
        }
        Set<JointOf> mat = new LinkedHashSet<>(contacts.mat());
        mat.add(joint);
        return solved.with(new Contacts(mat, contacts.rests(), contacts.grips()));
    }
}
