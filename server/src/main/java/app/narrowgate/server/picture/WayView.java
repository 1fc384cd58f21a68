package app.narrowgate.server.picture;

import app.narrowgate.core.body.Transition;
import app.narrowgate.core.body.View;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.core.trait.Side;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/** How the two get from one place to another, in pictures. */
@Schema(name = "PictureWay")
record WayView(
        @Schema(allowableValues = {"left", "right"}, description = "The side of the bottom player on which the top player is at first")
        @Nullable String near,
        @Schema(allowableValues = {"left", "right"}, description = "The same at the end, mirrored where the last picture is")
        @Nullable String nearAfter,
        @Schema(description = "From the first place to the last, all seen from the same side and in one measure") List<DrawingView> drawings) {

    static WayView of(Postures.Worked from, Postures.Worked to, Pictures pictures) {
        Transition way = pictures.way(from.bodies(), to.bodies());
        View view = from.view();
        return new WayView(from.near().map(Side::code).orElse(null),
                to.near().map(side -> way.mirrored() ? side.other() : side).map(Side::code).orElse(null),
                way.postures().stream().map(bodies -> DrawingView.of(pictures.draw(bodies, view))).toList());
    }
}
