package app.narrowgate.core.record;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.drill.ReadingFit;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * Something that happened. Events are never changed: a mistake is taken out by a {@link Void}. Their ids are made on the device that logs
 * them, so that one that is sent twice is kept once.
 */
public sealed interface Event {

    /** The event's own id. */
    UUID id();

    /** When it happened. */
    Instant at();

    /**
     * A live round, seen from whoever was on the bottom.
     *
     * @param person who was on the bottom; empty once they are forgotten, for the round still counts for the gym
     * @param partner who was on top, where that is known
     * @param start where it began
     * @param side the side that was practised
     * @param ending how it ended
     * @param seconds how long it took
     * @param reaction the last answer that got going, where that was noted
     * @param response what they answered to it, where that was noted; only with a reaction
     * @param nothing true where it was noted that nothing got going; then there is no reaction
     * @param gap the partner's weight less one's own, in kilograms
     */
    record Round(UUID id, Instant at, Optional<UUID> person, Optional<UUID> partner, Id start, Optional<Side> side, Ending ending,
            Optional<Integer> seconds, Optional<Id> reaction, Optional<Id> response, boolean nothing, Optional<Double> gap) implements Event {

        /** How long a round may last. */
        public static final Range SECONDS = new Range(1, 3600, "seconds");
        /** Weight gaps. */
        public static final Range GAP = new Range(-150, 150, "kg");

        public Round {
            seconds.ifPresent(value -> SECONDS.require("The length of the round", value));
            gap.ifPresent(value -> GAP.require("The weight gap", value));
            if (response.isPresent() && reaction.isEmpty()) {
                throw new RefusedException("What they answered is noted, but not to what; note the answer of the bottom player too.");
            }
            if (nothing && reaction.isPresent()) {
                throw new RefusedException("An answer is noted, and that nothing got going; it cannot be both.");
            }
            if (partner.isPresent() && partner.equals(person)) {
                throw new RefusedException("Nobody rolls with themselves; choose another partner.");
            }
        }
    }

    /**
     * Somebody repeated something.
     *
     * @param reaction the answer that was repeated; empty where the technique was, from nowhere in particular
     * @param role first where they did it, second where they fed it
     * @param many how many times
     * @param clean how many of them came clean, where somebody looked
     * @param fault the sign of the technique's fault that was seen most, in the map's words
     */
    record Repetitions(UUID id, Instant at, UUID person, Id technique, Optional<Id> reaction, Optional<Side> side, Role role, int many,
            Optional<Integer> clean, Optional<String> fault) implements Event {

        /** Repetitions of one thing in one go. */
        public static final Range MANY = new Range(1, 10_000, "repetitions");

        public Repetitions {
            MANY.require("The repetitions", many);
            int times = many;
            clean.ifPresent(value -> {
                if (value < 0 || value > times) {
                    throw new RefusedException("%d clean of %d: there cannot be more clean ones than there were.".formatted(value, times));
                }
            });
            fault.ifPresent(sign -> Text.SENTENCE.require("The fault", sign));
        }
    }

    /**
     * A coach decided on a gate for moving up.
     *
     * @param from the level from which somebody moves up
     * @param shown true where an answer was shown; false for not yet
     * @param reason why; may be empty where it was shown
     */
    record GateDecision(UUID id, Instant at, UUID person, Level from, Id place, Side side, boolean shown, String reason) implements Event {
        public GateDecision {
            if (!reason.isEmpty()) {
                Text.SENTENCE.require("The reason", reason);
            } else if (!shown) {
                throw new RefusedException("Say in a few words what is missing, so that they know what to work on.");
            }
        }
    }

    /** Somebody came to a class. */
    record Attendance(UUID id, Instant at, UUID person) implements Event {
    }

    /**
     * Somebody read a cue in the trainer.
     *
     * @param reaction the right answer
     * @param chosen the technique that was chosen
     * @param right true where that was the right one
     * @param answers how many there were to choose among
     * @param milliseconds from the cue to the choice
     */
    record Reading(UUID id, Instant at, UUID person, Id place, Id reaction, Id chosen, boolean right, int answers, int milliseconds) implements Event {

        public Reading {
            ReadingFit.ANSWERS.require("The answers", answers);
            ReadingFit.SECONDS.require("The time", milliseconds / 1000.0);
        }
    }

    /** A coach keeps what the map says of an answer, whatever was seen of it so far. */
    record Keep(UUID id, Instant at, Id reaction) implements Event {
    }

    /** An event was a mistake. */
    record Void(UUID id, Instant at, UUID event) implements Event {
        public Void {
            if (event.equals(id)) {
                throw new RefusedException("An event cannot take itself out.");
            }
        }
    }
}
