package app.narrowgate.server.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.ResponseOdds;
import app.narrowgate.core.odds.SituationOdds;
import app.narrowgate.server.config.RenderedOnce;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Odds as the client sees them; every worth and chance in [0,1], to nine decimals: what is certified is 1e-6. */
@Schema(name = "Odds")
@RenderedOnce
public record OddsView(int revision, String aim, String matchup, double read, double late, double start, boolean converged,
        Map<String, SituationOddsView> situations) {

    @Schema(name = "SituationOdds")
    public record SituationOddsView(double worth, double lower, double upper, @Nullable String best,
            @Schema(description = "Worth of the best choice above the next best") double margin, boolean stop,
            @Schema(description = "The best kind of end, or a better one, that can be forced whatever they answer; missing "
                    + "where none of worth can")
            @Nullable String forced,
            double guardOrBetter, double halfOrBetter,
            @Schema(description = "Chance of each kind of end; with that of never ending it sums to 1")
            Map<String, Double> ends, double neverEnds,
            @Schema(description = "Expected reactions tried until the end; missing where it may never end")
            @Nullable Double exchanges,
            @Schema(description = "Expected seconds until the end, without what responses take")
            @Nullable Double seconds, List<ReactionOddsView> reactions) {
        static SituationOddsView of(SituationOdds odds) {
            Map<String, Double> ends = new LinkedHashMap<>();
            odds.ends().forEach((kind, chance) -> ends.put(kind.code(), nine(chance)));
            return new SituationOddsView(nine(odds.worth()), nine(odds.lower()), nine(odds.upper()),
                    odds.best().map(Id::value).orElse(null), nine(odds.margin()), odds.stop(),
                    odds.forced().map(Coded::code).orElse(null),
                    nine(odds.guardOrBetter()), nine(odds.halfOrBetter()), ends, nine(odds.neverEnds()),
                    orNull(odds.exchanges()),
                    orNull(odds.seconds()),
                    odds.reactions().stream().map(ReactionOddsView::of).toList());
        }
    }

    @Schema(name = "ReactionOdds")
    record ReactionOddsView(String reaction, boolean usable,
            @Schema(description = "False while nobody has given it a response: its worth is then only a stuffed one's")
            boolean known, List<ClosingView> closedBy, double takes, double inTime,
            double works, double underWay, double worth, List<ResponseOddsView> responses) {
        static ReactionOddsView of(ReactionOdds odds) {
            return new ReactionOddsView(odds.reaction().value(), odds.usable(), odds.known(),
                    odds.closedBy().stream().map(ClosingView::of).toList(), nine(odds.takes()), nine(odds.inTime()),
                    nine(odds.works()), nine(odds.underWay()), nine(odds.worth()),
                    odds.responses().stream().map(ResponseOddsView::of).toList());
        }
    }

    @Schema(name = "ResponseOdds")
    record ResponseOddsView(String response, double chance, String lands, boolean answered, double worth) {
        static ResponseOddsView of(ResponseOdds odds) {
            return new ResponseOddsView(odds.response().value(), nine(odds.chance()), odds.lands().value(),
                    odds.answered(), nine(odds.worth()));
        }
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? nine(value.getAsDouble()) : null;
    }

    /** To nine decimals; the rest is noise of the arithmetic and nearly half of what would be sent. */
    static double nine(double value) {
        return Math.rint(value * 1e9) / 1e9;
    }

    public static OddsView of(int revision, Odds odds) {
        Map<String, SituationOddsView> situations = new LinkedHashMap<>();
        odds.situations().forEach((id, at) -> situations.put(id.value(), SituationOddsView.of(at)));
        return new OddsView(revision, odds.setting().aim().value(), odds.setting().matchup().id().value(),
                odds.setting().read().share(), odds.setting().late(), nine(odds.start()),
                odds.converged(), situations);
    }
}
