package app.narrowgate.server.review;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.review.Finding;
import app.narrowgate.core.review.Mends;
import app.narrowgate.server.map.PartListSchema;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;

/** A finding as the client sees it. */
@Schema(name = "Finding")
public record FindingView(String kind, @Schema(ref = PartListSchema.REF) String list, @Schema(description = "The part it is about, of that list") String place,
        @Nullable String response, String reason, String mend,
        @Schema(description = "What the starts would gain at most; missing where it cannot be computed")
        @Nullable Double gain,
        @Schema(description = "What the starts would lose if the one reaction it is about failed; missing where it is "
                + "not about one")
        @Nullable Double stake, @Schema(description = "What can be done about it in one step") List<MendView> mends,
        @Schema(description = "Missing while nobody has dismissed it") @Nullable DismissalView dismissed) {
    static FindingView of(Finding f) {
        return of(f, List.of());
    }

    static FindingView of(MapIndex index, Finding f) {
        return of(f, Mends.of(index, f).stream().map(m -> new MendView(m.id(), m.title())).toList());
    }

    private static FindingView of(Finding f, List<MendView> mends) {
        return new FindingView(f.kind().code(), f.kind().about().list(), f.place().value(), f.response().map(Id::value).orElse(null),
                f.reason(), f.mend(), orNull(f.gain()), orNull(f.stake()), mends, null);
    }

    FindingView dismissed(@Nullable Dismissals.Row row) {
        return row == null ? this : new FindingView(kind, list, place, response, reason, mend, gain, stake, mends,
                new DismissalView(row.reason(), row.authorName(), row.at()));
    }

    Dismissals.Key key() {
        return new Dismissals.Key(kind, place, response == null ? "" : response);
    }

    @Schema(name = "Mend")
    public record MendView(String id, String title) {
    }

    @Schema(name = "Dismissal")
    public record DismissalView(String reason, String author, Instant at) {
    }

    static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
