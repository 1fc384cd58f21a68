package app.narrowgate.server.map;

import app.narrowgate.exchange.map.MapDifference;
import app.narrowgate.exchange.tree.TreeDifference;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/** A part that was added, removed or changed. */
@Schema(name = "PartChange")
public record PartChangeView(String list, String id, String title,
        @Schema(allowableValues = {"added", "removed", "changed"}) String kind, List<FieldChangeView> fields) {

    /** A field that differs; what was not there is missing. */
    @Schema(name = "FieldChange")
    public record FieldChangeView(String field, @Nullable String before, @Nullable String after) {
        static FieldChangeView of(TreeDifference.Field field) {
            return new FieldChangeView(field.field(), field.before(), field.after());
        }
    }

    /** What differs between two states of a map. */
    public static List<PartChangeView> between(StoredMap before, StoredMap after) {
        return of(MapDifference.between(before.index().map(), after.index().map()));
    }

    /** What differs, as the client sees it. */
    public static List<PartChangeView> of(List<MapDifference.Change> changes) {
        return changes.stream().map(change -> new PartChangeView(change.list(), change.id(), change.title(),
                change.kind().code(), change.fields().stream().map(FieldChangeView::of).toList())).toList();
    }
}
