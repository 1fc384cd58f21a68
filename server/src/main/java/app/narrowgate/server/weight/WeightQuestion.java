package app.narrowgate.server.weight;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.weight.Change;
import app.narrowgate.core.weight.Sizes;
import io.swagger.v3.oas.annotations.Parameter;
import app.narrowgate.server.picture.Seen;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Size;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** How heavy and tall the two are, and what is changed about a place; whatever is missing takes its usual value. */
record WeightQuestion(
        @Parameter(description = "Your weight in kilograms; 80 when missing", example = "70") @Nullable Double yourWeight,
        @Parameter(description = "Your stature in centimetres; 178 when missing", example = "172") @Nullable Double yourStature,
        @Parameter(description = "Their weight in kilograms; 80 when missing", example = "80") @Nullable Double theirWeight,
        @Parameter(description = "Their stature in centimetres; 178 when missing", example = "178") @Nullable Double theirStature,
        @Parameter(description = "What is changed, each by its code; what makes no sense there is passed over",
                example = "trap-hand-left") @Nullable @Size(max = 20) List<String> done,
        @Parameter(description = "From where it is seen: standing, above or other; as the posture says when missing",
                example = "above") @Nullable String view) {

    private static final double CENTIMETRE = .01;

    Sizes toSizes() {
        return new Sizes(or(yourWeight, Sizes.AVERAGE.yourWeight()), metres(yourStature), or(theirWeight, Sizes.AVERAGE.theirWeight()),
                metres(theirStature));
    }

    Set<Change> toDone() {
        Set<Change> changes = EnumSet.noneOf(Change.class);
        (done == null ? List.<String>of() : done).forEach(code -> changes.add(Coded.require(Change.class, "What is changed", code)));
        return changes;
    }

    Seen toSeen() {
        return Seen.of(view);
    }

    private static double or(Double given, double usual) {
        return given == null ? usual : given;
    }

    private static double metres(Double centimetres) {
        return centimetres == null ? Sizes.AVERAGE.yourStature() : centimetres * CENTIMETRE;
    }
}
