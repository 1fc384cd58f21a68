package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import java.util.Optional;

/**
 * What a view of the whole map shows of one situation; the same as {@link SituationOdds} says.
 *
 * @param worth in [0,1]
 * @param best the reaction to choose; empty as there
 * @param stop true when one may rest here and that is worth at least as much as going on
 * @param usable false where none of what is taught there can be used
 * @param guardOrBetter chance in [0,1]
 * @param reversal chance in [0,1]
 * @param tap chance in [0,1]
 * @param forced the best kind of end that can be forced; empty as there
 */
public record Glance(Id situation, double worth, Optional<Id> best, boolean stop, boolean usable, double guardOrBetter,
        double reversal, double tap, Optional<PlaceKind> forced) {
}
