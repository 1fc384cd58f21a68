package app.narrowgate.server.review;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.review.Comparison;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/** What changes from one map to another, as the client sees it. */
@Schema(name = "Comparison")
public record ComparisonView(double startBefore, double startAfter, List<ChangeView> situations,
        @Schema(description = "Holes of the one that the other has not") List<FindingView> gone,
        @Schema(description = "Holes of the other that the one has not") List<FindingView> come) {

    @Schema(name = "Change", description = "One situation; a side on which it does not exist is missing")
    record ChangeView(String situation, @Nullable Double before, @Nullable Double after, double difference,
            @Nullable String bestBefore, @Nullable String bestAfter) {
        static ChangeView of(Comparison.Change c) {
            return new ChangeView(c.situation().value(), FindingView.orNull(c.before()), FindingView.orNull(c.after()),
                    c.difference(), c.bestBefore().map(Id::value).orElse(null), c.bestAfter().map(Id::value).orElse(null));
        }
    }

    static ComparisonView of(Comparison c, MapIndex before, MapIndex after) {
        return new ComparisonView(c.startBefore(), c.startAfter(), c.situations().stream().map(ChangeView::of).toList(),
                c.gone().stream().map(finding -> FindingView.of(before, finding)).toList(),
                c.come().stream().map(finding -> FindingView.of(after, finding)).toList());
    }
}
