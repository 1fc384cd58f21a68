package app.narrowgate.server.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Glance;
import app.narrowgate.core.odds.Overview;
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
        static GlanceView of(Glance at) {
            return new GlanceView(OddsView.nine(at.worth()), at.best().map(Id::value).orElse(null), at.stop(), at.usable(),
                    OddsView.nine(at.guardOrBetter()), OddsView.nine(at.reversal()), OddsView.nine(at.tap()),
                    at.forced().map(Coded::code).orElse(null));
        }
    }

    static OverviewView of(int revision, Overview overview) {
        Map<String, GlanceView> situations = new LinkedHashMap<>();
        overview.glances().forEach(at -> situations.put(at.situation().value(), GlanceView.of(at)));
        return new OverviewView(revision, OddsView.nine(overview.start()), overview.converged(), situations);
    }
}
