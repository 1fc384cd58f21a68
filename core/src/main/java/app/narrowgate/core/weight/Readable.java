package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Limb;
import app.narrowgate.core.body.LimbOf;
import app.narrowgate.core.body.Player;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A fact of a map that can be read off a posture, told by its words. What the map says of a place and what is weighed there
 * can so be held against each other; a fact in other words is not read, and nothing is said of it.
 */
public enum Readable {
    /** Their shoulders lie ahead of their hips, along your trunk. */
    SHOULDERS_AHEAD("their shoulders .*(ahead|in front) of .*hips", bodies -> ahead(bodies) > Readable.AHEAD),
    /** They sit on the mat. */
    SEAT_ON_MAT("their (seat|hip) .*on the mat", bodies -> stands(bodies, Joint.HIP, Joint.HIP_LEFT, Joint.HIP_RIGHT)),
    /** A hand of theirs is posted. */
    HAND_ON_MAT("their hands? .*on the mat", bodies -> stands(bodies, Joint.HAND_LEFT, Joint.HAND_RIGHT, Joint.WRIST_LEFT,
            Joint.WRIST_RIGHT)),
    /** A knee of theirs carries nothing. */
    KNEE_OFF_MAT("their knee .*off the mat", bodies -> !stands(bodies, Joint.KNEE_LEFT) || !stands(bodies, Joint.KNEE_RIGHT)),
    /** You lie on your belly. */
    ON_YOUR_BELLY("you lie on your belly", bodies -> bodies.at(Player.YOU, Joint.NOSE).getZ()
            < bodies.at(Player.YOU, Joint.HEAD).getZ() - Readable.TURNED),
    /** Their chest rests on you. */
    CHEST_ON_YOU("their chest is on you", bodies -> bodies.contacts().rests().stream().anyMatch(Readable::isTheirChest));

    /** So far ahead they are over your trunk rather than on their own hips, in stature; between what the demo's mounts show. */
    private static final double AHEAD = .12;
    /** A head is turned when the nose lies so much lower than its middle, in stature. */
    private static final double TURNED = .015;

    private final Pattern words;
    private final Predicate<Bodies> isSo;

    Readable(String words, Predicate<Bodies> isSo) {
        this.words = Pattern.compile(words);
        this.isSo = isSo;
    }

    /** What a fact's title says, where it can be read off a posture. */
    public static Optional<Readable> of(String title) {
        String said = title.toLowerCase(Locale.ROOT);
        return List.of(values()).stream().filter(readable -> readable.words.matcher(said).find()).findFirst();
    }

    /** True where it is so in a posture. */
    public boolean isSo(Bodies bodies) {
        return isSo.test(bodies);
    }

    private static double ahead(Bodies bodies) {
        Vector3D spine = bodies.at(Player.YOU, Joint.NECK).subtract(bodies.at(Player.YOU, Joint.HIP));
        Vector3D flat = Vector3D.of(spine.getX(), spine.getY(), 0);
        return flat.norm() == 0 ? 0
                : bodies.at(Player.THEY, Joint.NECK).subtract(bodies.at(Player.THEY, Joint.HIP)).dot(flat.normalize());
    }

    private static boolean stands(Bodies bodies, Joint... any) {
        return List.of(any).stream().anyMatch(joint -> bodies.contacts().mat().contains(new JointOf(Player.THEY, joint)));
    }

    private static boolean isTheirChest(Contacts.Rest rest) {
        return isTheirChest(rest.one()) && rest.other().player() == Player.YOU
                || isTheirChest(rest.other()) && rest.one().player() == Player.YOU;
    }

    private static boolean isTheirChest(LimbOf limb) {
        return limb.player() == Player.THEY && (limb.limb() == Limb.CHEST_LEFT || limb.limb() == Limb.CHEST_RIGHT);
    }
}
