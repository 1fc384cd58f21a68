package app.narrowgate.server.run;

import app.narrowgate.server.odds.AnalysisViews;
import app.narrowgate.server.review.ComparisonView;
import app.narrowgate.server.review.FindingView;
import jakarta.annotation.Nullable;
import java.util.List;

/** What came out of a run; one of them is there. */
record RunResult(@Nullable AnalysisViews.SimulationView simulation, @Nullable AnalysisViews.GatesView gates,
        @Nullable AnalysisViews.CutView cut, @Nullable List<FindingView> findings,
        @Nullable ComparisonView comparison) {

    static final RunResult NONE = new RunResult(null, null, null, null, null);

    static RunResult of(AnalysisViews.SimulationView simulation) {
        return new RunResult(simulation, null, null, null, null);
    }

    static RunResult of(AnalysisViews.GatesView gates) {
        return new RunResult(null, gates, null, null, null);
    }

    static RunResult of(AnalysisViews.CutView cut) {
        return new RunResult(null, null, cut, null, null);
    }

    static RunResult of(List<FindingView> findings) {
        return new RunResult(null, null, null, findings, null);
    }

    static RunResult of(ComparisonView comparison) {
        return new RunResult(null, null, null, null, comparison);
    }
}
