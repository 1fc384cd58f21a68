package app.narrowgate.core.review;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.SolvedMap;

/** What it is worth to land somewhere, in [0,1]: a situation's odds, or what the aim gives an outcome. */
record Landings(SolvedMap solved) {

    double worth(Id place) {
        return solved.worth(place);
    }

    /** What the aim gives a guard. */
    double guard() {
        return solved.aim().worthOf(PlaceKind.GUARD);
    }
}
