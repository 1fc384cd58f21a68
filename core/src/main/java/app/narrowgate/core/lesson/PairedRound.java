package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** One round, everybody in one group: pairs, threes, and those who rest. */
public record PairedRound(List<Group> groups) {

    /** What speaks for a group, or has to be minded. */
    public enum Note implements Coded {
        /** They are kept together. */
        TOGETHER,
        /** Further apart in weight than the round's limit, by that many kilograms apart. */
        OVER_LIMIT,
        /** That many kilograms apart, within the limit. */
        APART,
        /** Somebody's weight is not known. */
        WEIGHT_UNKNOWN,
        /** Both of a level. */
        ALIKE,
        /** The one named is new, the other is not. */
        NEW_WITH_EXPERIENCED,
        /** The one named missed it and the other did not. */
        SHOWN,
        /** The one named feeds only. */
        FEEDS,
        /** A pair for that many times tonight, this one included. */
        AGAIN,
        /** Were a pair that many times lately. */
        LATELY,
        /** Three take turns. */
        THREE,
        /** Rests; the turn goes round. */
        RESTS,
        /** Nobody who is left may work with them. */
        NOBODY_LEFT
    }

    /**
     * A note.
     *
     * @param who whom it is about, where it is about one of them
     * @param amount kilograms or times, where there is one
     */
    public record Why(Note note, Optional<UUID> who, Optional<Double> amount) {
    }

    /** Two, three, or one who rests. */
    public record Group(List<UUID> who, List<Why> why) {
        public Group {
            who = List.copyOf(who);
            why = List.copyOf(why);
        }

        /** True for one who rests. */
        public boolean rests() {
            return who.size() == 1;
        }
    }

    public PairedRound {
        groups = List.copyOf(groups);
    }
}
