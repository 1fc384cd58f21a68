package app.narrowgate.core.review;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PartKind;
import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One weakness of a map.
 *
 * @param place the part it is about, which is of the kind that {@link Kind#about} says
 * @param response the response it is about, where it is about one
 * @param reason why it matters, in the trade's words
 * @param mend what would help
 * @param gain what the starts would gain at most if it were mended, in [0,1]; empty where that cannot be computed
 * @param stake what the starts would lose if the one reaction that it is about failed for good, in [0,1]; empty where
 *     it is not about one
 */
public record Finding(Kind kind, Id place, Optional<Id> response, String reason, String mend, OptionalDouble gain,
        OptionalDouble stake) {

    /** Those that would gain most first, then those with most at stake. */
    public static final Comparator<Finding> BY_COST = Comparator.comparingDouble((Finding f) -> -f.gain().orElse(0))
            .thenComparingDouble(f -> -f.stake().orElse(0));

    /** Kinds of weakness. */
    public enum Kind implements Coded {
        /** A situation from which nothing usable is taught. */
        DEAD_END(PartKind.SITUATIONS),
        /** A reaction with a response that nobody has answered. */
        UNANSWERED_RESPONSE(PartKind.REACTIONS),
        /** A reaction about which nobody has said what they do. */
        NO_RESPONSE(PartKind.REACTIONS),
        /** A situation in which a partner who reads can hold you for ever. */
        ENDLESS_LOOP(PartKind.SITUATIONS),
        /** A situation with a single usable reaction. */
        SINGLE_ROUTE(PartKind.SITUATIONS),
        /** A situation that nothing leads to and nobody starts in. */
        UNREACHABLE(PartKind.SITUATIONS),
        /** A family without a usable answer at the early stage. */
        NO_EARLY_ANSWER(PartKind.FAMILIES),
        /** A reaction whose movement needs a limb that the situation says is held. */
        HELD_LIMB(PartKind.REACTIONS),
        /** A situation in which two stances are taught without a condition that separates them. */
        MIXED_MESSAGE(PartKind.SITUATIONS),
        /** A reaction that costs its situation more thinking time than it brings. */
        OVERLOAD(PartKind.REACTIONS),
        /** A technique that loads a joint or the ribs and says no caution. */
        MISSING_CAUTION(PartKind.TECHNIQUES),
        /** A reaction open to children that ends in a submission. */
        FORBIDDEN_FINISH(PartKind.REACTIONS),
        /** An answer of which nothing says what it answers. */
        NO_TRIGGER(PartKind.REACTIONS),
        /** A response whose cue can neither be seen nor felt. */
        VAGUE_CUE(PartKind.REACTIONS),
        /** An answer whose failure costs nothing. */
        FREE_RETRY(PartKind.REACTIONS),
        /** A resting place from which nothing can be begun. */
        NO_FEEDS(PartKind.SITUATIONS),
        /** A reversal that something leads to and that does not say where the other one is now. */
        NO_TURN(PartKind.OUTCOMES);

        private final PartKind<?> about;

        Kind(PartKind<?> about) {
            this.about = about;
        }

        /** What {@link Finding#place} names. */
        public PartKind<?> about() {
            return about;
        }
    }
}
