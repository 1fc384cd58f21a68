package app.narrowgate.server.review;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.review.Comparison;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/** Comparisons as the client sees them. */
final class ReviewViews {

    private ReviewViews() {
    }

    @Schema(name = "Comparison")
    record ComparisonView(double startBefore, double startAfter, List<ChangeView> situations, List<FindingView> gone,
            List<FindingView> come) {
        static ComparisonView of(Comparison c) {
            return new ComparisonView(c.startBefore(), c.startAfter(),
                    c.situations().stream().map(ChangeView::of).toList(),
                    c.gone().stream().map(FindingView::of).toList(), c.come().stream().map(FindingView::of).toList());
        }
    }

    @Schema(name = "Change", description = "One situation; a side on which it does not exist is missing")
    record ChangeView(String situation, @Nullable Double before, @Nullable Double after, double difference,
            @Nullable String bestBefore, @Nullable String bestAfter) {
        static ChangeView of(Comparison.Change c) {
            return new ChangeView(c.situation().value(), FindingView.orNull(c.before()), FindingView.orNull(c.after()), c.difference(),
                    c.bestBefore().map(Id::value).orElse(null), c.bestAfter().map(Id::value).orElse(null));
        }
    }
}
