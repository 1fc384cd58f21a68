package app.narrowgate.core.body;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Range;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What touches what. Written down by whoever made the posture, for read off the geometry one limb near the mat turns the
 * base round.
 *
 * @param mat joints that stand on the mat
 * @param rests limbs of the two that lie against each other
 * @param grips hands that hold something
 */
public record Contacts(Set<JointOf> mat, List<Rest> rests, List<Grip> grips) {

    /** Nothing touches anything. */
    public static final Contacts NONE = new Contacts(Set.of(), List.of(), List.of());

    /** Two limbs that lie against each other. */
    public record Rest(LimbOf one, LimbOf other) {

        /** @throws RefusedException when both are the same */
        public Rest {
            if (one.equals(other)) {
                throw new RefusedException("%s cannot rest on itself; name what it lies against.".formatted(one));
            }
        }

        private Rest swapped() {
            return new Rest(one.swapped(), other.swapped());
        }

        private Rest mirrored() {
            return new Rest(one.mirrored(), other.mirrored());
        }
    }

    /**
     * A hand that holds something, its own other hand among what it can hold.
     *
     * @param hand the one that holds
     * @param on what is held
     * @param at how far along it, from its end nearer to the trunk (0) to the other (1)
     */
    public record Grip(JointOf hand, LimbOf on, double at) {

        private static final Range ALONG = new Range(0, 1, "");

        /** @throws RefusedException when it is no hand, holds itself, or the place lies outside what is held */
        public Grip {
            if (hand.joint() != Joint.HAND_LEFT && hand.joint() != Joint.HAND_RIGHT) {
                throw new RefusedException("%s does not grip; a hand does.".formatted(hand));
            }
            if (on.player() == hand.player() && on.limb().code().equals(hand.joint().code())) {
                throw new RefusedException("%s cannot hold itself; name what it holds.".formatted(hand));
            }
            ALONG.require("Where the grip lies", at);
        }

        private Grip swapped() {
            return new Grip(hand.swapped(), on.swapped(), at);
        }

        private Grip mirrored() {
            return new Grip(hand.mirrored(), on.mirrored(), at);
        }
    }

    /** Keeps the order. */
    public Contacts {
        mat = Collections.unmodifiableSet(new LinkedHashSet<>(mat));
        rests = List.copyOf(rests);
        grips = List.copyOf(grips);
    }

    /** The same with left and right exchanged. */
    public Contacts mirrored() {
        return new Contacts(mat.stream().map(JointOf::mirrored).collect(Collectors.toCollection(LinkedHashSet::new)),
                rests.stream().map(Rest::mirrored).toList(), grips.stream().map(Grip::mirrored).toList());
    }

    /** The same with the two in each other's place. */
    public Contacts swapped() {
        return new Contacts(mat.stream().map(JointOf::swapped).collect(Collectors.toCollection(LinkedHashSet::new)),
                rests.stream().map(Rest::swapped).toList(), grips.stream().map(Grip::swapped).toList());
    }
}
