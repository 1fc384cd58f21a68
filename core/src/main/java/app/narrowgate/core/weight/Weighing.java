package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.check.Coded;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * A posture weighed: what of the top player rests on you, and how far it is until they tip.
 *
 * @param bodies the posture after what was changed, lengths in your stature
 * @param supports what carries them
 * @param load what rests on you; empty where the model does not apply
 * @param noLoad why there is no load; empty where there is one
 * @param base what they stand on with where a free hand of theirs may land; empty where the model does not apply
 * @param own the same as their posts stand, no hand put elsewhere; empty where the base is
 * @param noBase why there is no base; empty where there is one
 */
public record Weighing(Bodies bodies, Supports supports, Optional<Load> load, Optional<Silence> noLoad, Optional<Base> base,
        Optional<Base> own, Optional<Silence> noBase) {

    /** Why a number is not given. */
    public enum Silence implements Coded {
        /** You are on your feet: pull and push carry weight, and neither is reckoned with. */
        STANDING,
        /** Nothing of theirs is on the mat. */
        ALL_ON_YOU,
        /** They sit on the mat, beside, behind or under you: what holds you there is pull. */
        SITTING,
        /** They lie on the mat: there is nothing to tip over. */
        LYING,
        /** So they could only stay by pulling or pushing. */
        NOT_WITHOUT_PULL
    }

    /** Hips higher than this are those of somebody on their feet, in stature. */
    private static final double ON_THE_FEET = .36;
    private static final Set<Joint> BACK = EnumSet.of(Joint.SHOULDER_LEFT, Joint.SHOULDER_RIGHT, Joint.NECK, Joint.HEAD);

    /**
     * A posture as tall as the two are.
     *
     * @param posture of two of the same stature, solved
     * @param solver makes a rough posture possible
     */
    public static Bodies sized(Bodies posture, Sizes sizes, UnaryOperator<Bodies> solver) {
        return sizes.ratio() == 1 ? posture : solver.apply(posture.sized(Player.THEY, sizes.ratio()));
    }

    /**
     * Weighs a posture.
     *
     * @param posture solved, the two as tall as they are
     * @param done what is changed about it; what makes no sense there is passed over
     * @param solver makes a rough posture possible
     */
    public static Weighing of(Bodies posture, Set<Change> done, UnaryOperator<Bodies> solver) {
        Set<Change> sensible = done.stream().filter(change -> change.applies(posture))
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Change.class)));
        Set<Joint> trapped = sensible.stream().flatMap(change -> change.trapped().stream()).collect(Collectors.toSet());
        Bodies rough = posture;
        for (Change change : sensible) {
            rough = change.in(rough);
        }
        Bodies bodies = sensible.stream().allMatch(change -> !change.trapped().isEmpty()) ? rough : solver.apply(rough);
        Supports supports = Supports.of(bodies, trapped);
        Optional<Silence> silence = silence(bodies, supports);
        Optional<Load> load = silence.isPresent() ? Optional.empty() : Load.of(supports);
        Optional<Silence> noLoad = silence.or(() -> load.isPresent() ? Optional.empty() : Optional.of(Silence.NOT_WITHOUT_PULL));
        Optional<Silence> noBase = silence.or(() -> supports.posts().isEmpty() ? Optional.of(Silence.ALL_ON_YOU) : Optional.empty());
        if (noBase.isPresent()) {
            return new Weighing(bodies, supports, load, noLoad, Optional.empty(), Optional.empty(), noBase);
        }
        return new Weighing(bodies, supports, load, noLoad,
                Optional.of(Base.of(supports.centre(), supports.posts(), supports.landings())),
                Optional.of(Base.of(supports.centre(), supports.posts(), List.of())), noBase);
    }

    /** Why nothing at all is reckoned; empty where something is. */
    private static Optional<Silence> silence(Bodies bodies, Supports supports) {
        if (isOnTheFeet(bodies)) {
            return Optional.of(Silence.STANDING);
        }
        if (isSitting(supports)) {
            return Optional.of(Silence.SITTING);
        }
        return isLying(supports) ? Optional.of(Silence.LYING) : Optional.empty();
    }

    private static boolean isOnTheFeet(Bodies bodies) {
        return bodies.at(Player.YOU, Joint.HIP).getZ() > ON_THE_FEET * bodies.size(Player.YOU);
    }

    /** True where they have their seat on the mat, and nothing of their trunk on you. */
    private static boolean isSitting(Supports supports) {
        return supports.posts().stream().anyMatch(Supports.Post::isSeat) && supports.leans().stream().noneMatch(Supports.Lean::isTrunk);
    }

    /** True where a shoulder or the head of theirs is on the mat. */
    private static boolean isLying(Supports supports) {
        return supports.posts().stream().anyMatch(post -> BACK.contains(post.joint().joint()));
    }
}
