package app.narrowgate.core.body;

import static app.narrowgate.core.body.Joint.*;

import java.util.ArrayList;
import java.util.List;

/**
 * What of a body does not stretch, and how far what bends can bend, in stature. The lengths are those of a man of average
 * build; they scale with stature and are the same for both players.
 */
final class Skeleton {

    /** Two joints that keep a distance within a range; a bone where both ends of the range are the same. */
    record Rod(Joint one, Joint other, double least, double most) {

        boolean isBone() {
            return least == most;
        }

        private Rod mirrored() {
            return new Rod(one.mirrored(), other.mirrored(), least, most);
        }
    }

    /**
     * Rods in the order in which they are set right; one of the left stands before that of the right, and both are set right
     * at once, so that a mirrored body comes out mirrored.
     */
    static final List<Rod> RODS = rods();

    // The same as plain numbers: a relaxation asks for them some 100,000 times.
    /** Where the first end of each rod stands among the coordinates of a body. */
    static final int[] ONES = RODS.stream().mapToInt(rod -> 3 * rod.one().ordinal()).toArray();
    /** Where the other end stands. */
    static final int[] OTHERS = RODS.stream().mapToInt(rod -> 3 * rod.other().ordinal()).toArray();
    /** How long each is at least. */
    static final double[] LEAST = RODS.stream().mapToDouble(Rod::least).toArray();
    /** How long each is at most. */
    static final double[] MOST = RODS.stream().mapToDouble(Rod::most).toArray();
    /** True for one of the left, after which that of the right stands. */
    static final boolean[] BEFORE_ITS_MIRROR = new boolean[RODS.size()];

    static {
        for (int i = 0; i + 1 < RODS.size(); i++) {
            BEFORE_ITS_MIRROR[i] = !(i > 0 && BEFORE_ITS_MIRROR[i - 1]) && RODS.get(i).mirrored().equals(RODS.get(i + 1));
        }
    }

    private Skeleton() {
    }

    private static List<Rod> rods() {
        List<Rod> left = List.of(
                // The chest is one piece, the pelvis another; between them the waist bends.
                bone(NECK, WAIST, .165), bone(NECK, SHOULDER_LEFT, .1057), bone(SHOULDER_LEFT, WAIST, .1856),
                bone(SHOULDER_LEFT, SHOULDER_RIGHT, .210),
                bone(WAIST, HIP, .123), bone(HIP, HIP_LEFT, .052), bone(HIP_LEFT, HIP_RIGHT, .104),
                bone(WAIST, HIP_LEFT, .1335),
                range(NECK, HIP, .230, .288), range(SHOULDER_LEFT, HIP_LEFT, .205, .310),
                range(SHOULDER_LEFT, HIP_RIGHT, .235, .335),
                bone(NECK, Joint.HEAD, .117), bone(Joint.HEAD, NOSE, .075), range(NECK, NOSE, .118, .165),
                range(Joint.HEAD, SHOULDER_LEFT, .105, .205), range(Joint.HEAD, WAIST, .225, .280),
                bone(SHOULDER_LEFT, ELBOW_LEFT, .186), bone(ELBOW_LEFT, WRIST_LEFT, .146),
                range(SHOULDER_LEFT, WRIST_LEFT, .110, .332), bone(WRIST_LEFT, HAND_LEFT, .075),
                range(ELBOW_LEFT, HAND_LEFT, .170, .221),
                bone(HIP_LEFT, KNEE_LEFT, .245), range(WAIST, KNEE_LEFT, .155, .375),
                bone(KNEE_LEFT, ANKLE_LEFT, .246), range(HIP_LEFT, ANKLE_LEFT, .130, .491),
                bone(ANKLE_LEFT, TOE_LEFT, .115), range(KNEE_LEFT, TOE_LEFT, .232, .352));
        List<Rod> all = new ArrayList<>();
        for (Rod rod : left) {
            Rod right = rod.mirrored();
            all.add(rod);
            if (!(right.equals(rod) || right.one() == rod.other() && right.other() == rod.one())) {
                all.add(right);
            }
        }
        return List.copyOf(all);
    }

    private static Rod bone(Joint one, Joint other, double length) {
        return new Rod(one, other, length, length);
    }

    private static Rod range(Joint one, Joint other, double least, double most) {
        return new Rod(one, other, least, most);
    }
}
