package app.narrowgate.server.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Tally;
import java.util.Optional;

/**
 * Rounds that count the same, as they are counted in the database.
 *
 * @param gap in steps
 * @param times how many, the old ones counting less
 */
record KindRow(double gap, String situation, String ending, String endedIn, String reaction, String response, boolean nothing, Integer seconds,
        double times) {

    Tally.Kind kind() {
        Optional<PlaceKind> kind = Optional.of(ending).filter(code -> !code.equals(EventRow.HELD)).map(code -> Coded.require(PlaceKind.class, "ending", code));
        return new Tally.Kind(gap, Id.of(situation), new Ending(kind, id(endedIn)), id(reaction), id(response), nothing, Optional.ofNullable(seconds));
    }

    private static Optional<Id> id(String id) {
        return Optional.ofNullable(id).map(Id::of);
    }
}
