package app.narrowgate.browser;

import app.narrowgate.core.odds.Glance;
import app.narrowgate.core.odds.Overview;

/** A solved map at a glance, packed: situations in the map's order. */
final class OverviewPacked {

    private OverviewPacked() {
    }

    static Packed of(Overview overview) {
        Packed packed = new Packed().figure(overview.start()).mark(overview.converged());
        for (Glance at : overview.glances()) {
            packed.text(at.situation().value()).figure(at.worth()).figure(at.guardOrBetter()).figure(at.reversal()).figure(at.tap())
                    .text(OddsPacked.orNone(at.best())).text(OddsPacked.code(at.forced())).mark(at.stop()).mark(at.usable());
        }
        return packed;
    }
}
