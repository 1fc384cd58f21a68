package app.narrowgate.server.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.SituationOdds;
import app.narrowgate.server.config.RenderedOnce;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.LinkedHashMap;
import java.util.Map;

/** What a view of the whole map shows of the odds: some tenth of what {@link OddsView} holds. */
@Schema(name = "OddsOverview")
@RenderedOnce
record OverviewView(int revision, double start, boolean converged, Map<String, GlanceView> situations) {

    @Schema(name = "SituationGlance")
    record GlanceView(double worth, @Nullable String best, boolean stop,
            @Schema(description = "False where none of what is taught there can be used") boolean usable,
            double guardOrBetter, double reversal, double tap,
            @Schema(description = "The best kind of end, or a better one, that can be forced whatever they answer; missing "
                    + "where none of worth can")
            @Nullable String forced) {
        static GlanceView of(SituationOdds odds) {
            return new GlanceView(OddsView.nine(odds.worth()), odds.best().map(Id::value).orElse(null), odds.stop(),
                    odds.reactions().stream().anyMatch(ReactionOdds::usable), OddsView.nine(odds.guardOrBetter()),
                    OddsView.nine(odds.ends().getOrDefault(PlaceKind.REVERSAL, 0.0)),
                    OddsView.nine(odds.ends().getOrDefault(PlaceKind.TAP, 0.0)),
                    odds.forced().map(Coded::code).orElse(null));
        }
    }

    static OverviewView of(int revision, Odds odds) {
        Map<String, GlanceView> situations = new LinkedHashMap<>();
        odds.situations().forEach((id, at) -> situations.put(id.value(), GlanceView.of(at)));
        return new OverviewView(revision, OddsView.nine(odds.start()), odds.converged(),
                situations);
    }
}
