package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.map.Posture;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A posture of a map after a joint of it was put elsewhere by hand.
 *
 * <p>One that is told whole is told whole again. One that is told from another stays so, and says of each joint by how much
 * it lies elsewhere than there; but what is solved from that may be another posture that meets the same rules, an arm on
 * the other side of a leg. Where it is not what was seen, it is told whole from then on, and follows the other no more.
 *
 * @param posture how it is told now
 * @param nudge the bodies as they are then
 * @param whole true where it followed another posture and does not any more
 */
public record Nudged(Posture posture, Nudge nudge, boolean whole) {

    /** A joint that lies nearer than this to where its base has it, in stature, is not said to be moved. */
    private static final double STAYS = .002;
    /** What is solved lies nowhere further from what was seen than this, in stature: 2.5 cm. */
    private static final double SAME = .014;

    /**
     * {@code posture} with {@code joint} moved by so much, in stature. Cost: a {@link Nudge}, and for one that is told from
     * another a whole relaxation.
     *
     * @param postures those of the map, {@code posture} among them
     * @throws app.narrowgate.core.check.RefusedException as {@link Nudge#of} does
     */
    public static Nudged of(Postures postures, Posture posture, JointOf joint, Vector3D by) {
        Postures.Worked before = postures.get(posture.id());
        Nudge nudge = Nudge.of(before.bodies(), joint, by);
        Bodies seen = nudge.bodies().rounded();
        if (posture.shape() instanceof Posture.Like like) {
            Bodies base = Postures.turned(postures.get(like.base()).bodies(), like);
            Posture.Like told = told(like, base, seen);
            Bodies solved = postures.solved(base, told);
            if (isSame(solved, seen)) {
                return new Nudged(shaped(posture, told), new Nudge(solved, nudge.let()), false);
            }
            return new Nudged(new Posture(posture.id(), posture.title(), before.says(), Optional.of(before.view()), before.near(),
                    new Posture.Whole(seen)), nudge, true);
        }
        return new Nudged(shaped(posture, new Posture.Whole(seen)), nudge, false);
    }

    private static Posture shaped(Posture posture, Posture.Shape shape) {
        return new Posture(posture.id(), posture.title(), posture.says(), posture.view(), posture.near(), shape);
    }

    private static Posture.Like told(Posture.Like like, Bodies base, Bodies seen) {
        Contacts before = like.contacts().orElse(base.contacts());
        return new Posture.Like(like.base(), like.swapped(), like.mirrored(), moved(base, seen),
                seen.contacts().equals(before) ? like.contacts() : Optional.of(seen.contacts()));
    }

    private static boolean isSame(Bodies one, Bodies other) {
        return everyJoint().allMatch(joint -> one.at(joint).distance(other.at(joint)) < SAME);
    }

    private static Map<JointOf, Vector3D> moved(Bodies base, Bodies bodies) {
        Map<JointOf, Vector3D> moved = new LinkedHashMap<>();
        everyJoint().forEach(joint -> {
            Vector3D by = bodies.at(joint).subtract(base.at(joint));
            if (by.norm() > STAYS) {
                moved.put(joint, Vector3D.of(tidy(by.getX()), tidy(by.getY()), tidy(by.getZ())));
            }
        });
        return moved;
    }

    private static Stream<JointOf> everyJoint() {
        return Stream.of(Player.values()).flatMap(player -> Stream.of(Joint.values()).map(joint -> new JointOf(player, joint)));
    }

    /** To a ten thousandth, as it is kept in files. */
    private static double tidy(double value) {
        return Math.rint(value * 1e4) / 1e4 + 0.0;
    }
}
