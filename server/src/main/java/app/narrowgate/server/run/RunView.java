package app.narrowgate.server.run;

import app.narrowgate.server.odds.AnalysisViews;
import app.narrowgate.server.review.ComparisonView;
import app.narrowgate.server.review.FindingView;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.UUID;

/**
 * A run as the client sees it.
 *
 * @param of how many steps in all; 0 where nobody knows
 * @param failure why it failed, in a sentence
 */
@Schema(name = "Run")
record RunView(UUID id, @Schema(allowableValues = {"simulation", "gates", "cut", "review",
        "comparison"}) String kind,
        @Schema(allowableValues = {"waiting", "running", "done", "stopped", "failed"}) String state, int done, int of,
        @Nullable String failure, @Nullable AnalysisViews.SimulationView simulation,
        @Nullable AnalysisViews.GatesView gates, @Nullable AnalysisViews.CutView cut,
        @Nullable List<FindingView> findings, @Nullable ComparisonView comparison) {

    RunView withFindings(List<FindingView> others) {
        return new RunView(id, kind, state, done, of, failure, simulation, gates, cut, others, comparison);
    }
}
