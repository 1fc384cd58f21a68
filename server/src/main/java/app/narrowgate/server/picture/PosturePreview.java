package app.narrowgate.server.picture;

import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.body.View;
import app.narrowgate.server.map.PartInput;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** A posture as it would be, and a joint of it that is taken elsewhere by hand; nothing is stored. */
@Schema(name = "PosturePreview")
record PosturePreview(
        @Schema(description = "The posture as it is typed, and what was made on the way") @NotEmpty @Size(max = 50)
        List<@NotNull @Valid PartInput> parts,
        @Schema(description = "The id of the posture among the parts") @NotBlank @Size(max = 64) String posture,
        @Schema(allowableValues = {"standing", "above", "other"}) @Nullable String view,
        @Valid @Nullable MoveInput move) {

    /** A joint that is moved as it is seen. */
    @Schema(name = "PostureMove", description = "Where a joint is taken, as the picture shows it; a stature is 1000")
    record MoveInput(@Schema(example = "they.hand-left") @NotBlank @Size(max = 40) String joint,
            @Schema(description = "To the right in the picture") double right,
            @Schema(description = "Up in the picture") double up,
            @Schema(description = "Towards who looks") double towards,
            @Schema(description = "True when it is let go: then the posture comes back as it is told now") boolean done) {

        private static final Range FAR = new Range(-1500, 1500, "thousandths of a stature");
        private static final double THOUSANDTH = .001;

        JointOf toJoint() {
            return JointOf.of("What is moved", joint);
        }

        /** By how much it moves on the mat, in stature, seen from {@code view}. */
        Vector3D by(View view) {
            return view.way(of("to the right", right), of("up", up), of("towards you", towards));
        }

        private static double of(String way, double given) {
            return THOUSANDTH * FAR.require("How far it is moved %s".formatted(way), given);
        }
    }
}
