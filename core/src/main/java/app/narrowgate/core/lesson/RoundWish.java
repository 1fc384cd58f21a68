package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.drill.DrillKind;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What one round of pairs is for.
 *
 * @param limit kilograms that two of a pair should be apart at most
 * @param feedOnly those who are never on the bottom in it: what is practised is closed for them
 * @param missed those to whom the other one should show it
 */
public record RoundWish(double limit, Mix mix, Set<UUID> feedOnly, Set<UUID> missed) {

    /** Limits of the weight gap in live rounds. */
    public static final Range LIMIT = new Range(1, 150, "kg");
    /** In live rounds two should be no further apart; our estimate, gyms differ. */
    public static final double USUAL_LIMIT = 12;

    /** Whom a round puts together. */
    public enum Mix implements Coded {
        /** Those of a level, who give each other a hard round. */
        ALIKE,
        /** Whoever is new with somebody who is not. */
        MIXED,
        /** As it comes. */
        ANY
    }

    public RoundWish {
        feedOnly = Set.copyOf(feedOnly);
        missed = Set.copyOf(missed);
    }

    /**
     * What is usual for a part of a class: where both work together the gap may be twice that of a live round, where one
     * goes on from the other, or the lighter one says how much, half as much again; our estimates.
     *
     * @param drill how it is practised
     */
    public static RoundWish usual(Section section, Optional<DrillKind> drill, double liveLimit, Set<UUID> feedOnly, Set<UUID> missed) {
        LIMIT.require("The limit of the weight gap", liveLimit);
        return switch (section) {
            case WARM_UP, TALK, RECALL, NEW -> new RoundWish(2 * liveLimit, Mix.MIXED, feedOnly, missed);
            case CHAIN, CALLED -> new RoundWish(1.5 * liveLimit, Mix.ANY, feedOnly, missed);
            case LIVE -> drill.equals(Optional.of(DrillKind.DIAL)) ? new RoundWish(1.5 * liveLimit, Mix.ANY, feedOnly, missed)
                    : new RoundWish(liveLimit, Mix.ALIKE, feedOnly, missed);
        };
    }
}
