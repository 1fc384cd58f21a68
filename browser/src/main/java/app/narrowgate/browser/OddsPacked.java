package app.narrowgate.browser;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.ResponseOdds;
import app.narrowgate.core.odds.SituationOdds;
import java.util.Optional;

/** The odds of a whole map, packed: situations in the map's order, each with its reactions, best first. */
final class OddsPacked {

    private final Packed packed = new Packed();

    private OddsPacked() {
    }

    static Packed of(Odds odds) {
        OddsPacked writer = new OddsPacked();
        writer.packed.figure(odds.start()).mark(odds.converged()).text(odds.setting().aim().value())
                .text(odds.setting().matchup().id().value()).figure(odds.setting().read().share()).figure(odds.setting().late());
        odds.situations().values().forEach(writer::situation);
        return writer.packed;
    }

    private void situation(SituationOdds at) {
        packed.figure(at.worth()).figure(at.lower()).figure(at.upper()).figure(at.margin()).figure(at.guardOrBetter())
                .figure(at.halfOrBetter()).figure(at.neverEnds()).figure(at.exchanges().orElse(Double.NaN))
                .figure(at.seconds().orElse(Double.NaN));
        packed.text(at.situation().value()).text(orNone(at.best())).text(code(at.forced()));
        packed.mark(at.stop()).mark(at.ends().size()).mark(at.reactions().size());
        at.ends().forEach((kind, chance) -> packed.text(kind.code()).figure(chance));
        at.reactions().forEach(this::reaction);
    }

    private void reaction(ReactionOdds at) {
        packed.figure(at.takes()).figure(at.inTime()).figure(at.works()).figure(at.underWay()).figure(at.worth());
        packed.text(at.reaction().value()).mark(at.closedBy().size()).mark(at.responses().size());
        at.closedBy().forEach(closing -> packed.text(closing.kind().code()).text(closing.what()));
        at.responses().forEach(this::response);
    }

    private void response(ResponseOdds at) {
        packed.figure(at.chance()).figure(at.worth()).text(at.response().value()).text(at.lands().value()).mark(at.answered());
    }

    /** An id, or an empty text where there is none. */
    static String orNone(Optional<Id> id) {
        return id.isPresent() ? id.get().value() : "";
    }

    /** A kind's code, or an empty text where there is none. */
    static String code(Optional<PlaceKind> kind) {
        return kind.isPresent() ? kind.get().code() : "";
    }
}
