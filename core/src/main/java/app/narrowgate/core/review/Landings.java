package app.narrowgate.core.review;

import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.Setting;
import java.util.Optional;

/** What it is worth to land somewhere, in [0,1]: a situation's odds, or what the aim gives an outcome. */
record Landings(MapIndex index, Setting setting, Odds odds) {

    double worth(Id place) {
        return index.situation(place).map(situation -> odds.at(place).worth())
                .orElseGet(() -> index.outcome(place).flatMap(outcome -> aim().map(aim -> aim.worthOf(outcome.kind())))
                        .orElse(0.0));
    }

    /** What the aim gives a guard. */
    double guard() {
        return aim().map(aim -> aim.worthOf(PlaceKind.GUARD)).orElse(0.0);
    }

    private Optional<Aim> aim() {
        return index.aim(setting.aim());
    }
}
