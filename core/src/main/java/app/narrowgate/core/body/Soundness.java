package app.narrowgate.core.body;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How well a posture keeps what bodies keep, for tests and for warnings to whoever makes one.
 *
 * @param rod the largest error of a bone's length, as a share of it
 * @param overlap how deep two limbs go through each other at most beyond what flesh gives, in stature; 0 or more
 * @param overlapping which two do, where any do
 * @param under how deep a joint lies under the mat at most, in stature; 0 or more
 * @param excesses joints that turn too far
 * @param gap the widest gap where something is said to touch, in stature; 0 or more
 * @param gaping what does not touch there, where anything does not
 */
public record Soundness(double rod, double overlap, Optional<String> overlapping, double under,
        List<Excess> excesses, double gap, Optional<String> gaping) {

    private static final double NOISE = 1e-9;
    private static final List<Skeleton.Rod> BONES = Skeleton.RODS.stream().filter(Skeleton.Rod::isBone).toList();

    /** A joint that turns further than it does, by so many degrees. */
    public record Excess(JointOf joint, double degrees) {
    }

    /** Measures a posture. */
    public static Soundness of(Bodies bodies) {
        double[] joints = bodies.joints();
        double[] sizes = bodies.sizes();
        double rod = 0;
        double under = 0;
        List<Excess> excesses = new ArrayList<>();
        for (Player player : Player.values()) {
            int first = player.ordinal() * Joint.COUNT;
            for (Skeleton.Rod bone : BONES) {
                double length = Points.distance(joints, first + bone.one().ordinal(), first + bone.other().ordinal());
                rod = Math.max(rod, Math.abs(length / bodies.size(player) - bone.most()) / bone.most());
            }
            for (Joint joint : Joint.values()) {
                under = Math.max(under, Relaxation.onTheMat(sizes, new JointOf(player, joint)) - joints[3 * (first + joint.ordinal()) + 2]);
            }
            excesses.addAll(new Limits(joints, player).excesses());
        }
        excesses.sort(Comparator.comparingDouble(Excess::degrees).reversed());
        double overlap = 0;
        Capsules.Pair deepest = null;
        double[] ends = Capsules.ends(joints);
        double[] met = new double[Capsules.MET];
        for (Capsules.Pair pair : Capsules.PAIRS) {
            Capsules.meet(ends, 6 * pair.one().index(), 6 * pair.other().index(), met);
            double depth = Relaxation.touching(sizes, pair.one(), met[Capsules.ALONG], pair.other(), met[Capsules.ALONG_OTHER])
                    - met[Capsules.DISTANCE];
            // Of two that share a joint the first: which goes deeper by the noise of the arithmetic is told to nobody.
            if (depth > overlap + NOISE) {
                overlap = depth;
                deepest = pair;
            }
        }
        Optional<String> overlapping = Optional.ofNullable(deepest).map(pair -> pair.one() + " and " + pair.other());
        double gap = 0;
        Optional<String> gaping = Optional.empty();
        for (Contacts.Rest rest : bodies.contacts().rests()) {
            double open = Relaxation.gap(sizes, rest.one(), rest.other(),
                    Capsules.meeting(joints, rest.one(), rest.other()));
            if (open > gap) {
                gap = open;
                gaping = Optional.of(rest.one() + " and " + rest.other());
            }
        }
        for (JointOf joint : bodies.contacts().mat()) {
            double open = joints[3 * joint.index() + 2] - Relaxation.onTheMat(sizes, joint);
            if (open > gap) {
                gap = open;
                gaping = Optional.of(joint + " and the mat");
            }
        }
        for (Contacts.Grip grip : bodies.contacts().grips()) {
            double open = Relaxation.reach(joints, sizes, grip);
            if (open > gap) {
                gap = open;
                gaping = Optional.of(grip.hand() + " and " + grip.on());
            }
        }
        return new Soundness(rod, overlap, overlapping, Math.max(0, under), List.copyOf(excesses), gap, gaping);
    }

    /** The worst joint, by how many degrees it turns too far; 0 when none does. */
    public double degrees() {
        return excesses.isEmpty() ? 0 : excesses.get(0).degrees();
    }
}
