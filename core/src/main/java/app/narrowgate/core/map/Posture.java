package app.narrowgate.core.map;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.body.View;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.Side;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * How two bodies are at a place: drawn, and weighed.
 *
 * @param says what is seen, for who does not see it; may be empty, then the base's holds
 * @param view from where it is looked at; empty for the base's, or for the usual view where there is none
 * @param near the side of the bottom player on which the top player is; empty where there is none, or for the base's
 * @param shape where the joints are
 */
public record Posture(Id id, String title, String says, Optional<View> view, Optional<Side> near, Shape shape)
        implements Part {

    /** From where a posture is looked at when nobody has said: from your left, as a coach stands. */
    public static final View USUAL_VIEW = new View(110, 50);

    /** How many postures a map may have; each takes some hundredths of a second to solve and to draw. */
    public static final int MOST = 500;
    /** Over how many others a posture may be told from one that is told whole. */
    static final int MOST_STEPS = 8;

    /** Where the joints are: told whole, or from another posture. */
    public sealed interface Shape permits Whole, Like {
    }

    /** Every joint of both, as they were solved. */
    public record Whole(Bodies bodies) implements Shape {

        /** How far a bone's length may be off, as a share of it; what is told whole is drawn as it is told. */
        private static final double OFF = .10;

        /** @throws RefusedException when a bone is far from its length */
        public Whole {
            double off = Soundness.of(bodies).rod();
            if (off > OFF) {
                throw new RefusedException(("A bone is %d %% off its length; at most %d fit. Place the joints as far apart as they "
                        + "are, or tell it from another posture, which is solved.").formatted(Math.round(off * 100), Math.round(OFF * 100)));
            }
        }
    }

    /**
     * As another posture but for a little; solved again whenever that one changes.
     *
     * @param base the other posture
     * @param swapped true for the other one with the two in each other's place, before anything else
     * @param mirrored true for the other one seen in a mirror, before anything is moved
     * @param moved by how much joints are moved, in stature
     * @param contacts what touches what instead of the base's (mirrored) contacts; empty for those
     */
    public record Like(Id base, boolean swapped, boolean mirrored, Map<JointOf, Vector3D> moved, Optional<Contacts> contacts)
            implements Shape {

        /** Keeps the order; refuses a step out of reach. */
        public Like {
            moved = Collections.unmodifiableMap(new LinkedHashMap<>(moved));
            moved.forEach((joint, by) -> {
                Bodies.REACH.require("How far %s is moved to the side".formatted(joint), by.getX());
                Bodies.REACH.require("How far %s is moved along the mat".formatted(joint), by.getY());
                Bodies.REACH.require("How far %s is moved up".formatted(joint), by.getZ());
            });
        }

        /** True for one that differs from its base in nothing but who is who. */
        public boolean isExchange() {
            return swapped && !mirrored && moved.isEmpty() && contacts.isEmpty();
        }
    }

    /** @throws RefusedException when the words are unfit */
    public Posture {
        Text.TITLE.require("A posture's title", title);
        Text.SENTENCE.require("What is seen", says);
    }

    /** The posture from which this one is told; empty where it is told whole. */
    public Optional<Id> base() {
        return shape instanceof Like like ? Optional.of(like.base()) : Optional.empty();
    }

    /** The same told from another posture. */
    Posture withBase(Id other) {
        Like like = (Like) shape;
        return new Posture(id, title, says, view, near, new Like(other, like.swapped(), like.mirrored(), like.moved(), like.contacts()));
    }
}
