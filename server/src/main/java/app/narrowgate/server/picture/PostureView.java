package app.narrowgate.server.picture;

import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.picture.Handled;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Collection;
import java.util.List;
import tools.jackson.databind.node.ObjectNode;

/** A posture with what can be taken hold of. */
@Schema(name = "PostureDrawn")
record PostureView(DrawingView drawing,
        @Schema(description = "Where the middle of the mat is in the picture, so that two pictures can be laid over each other")
        PlaceView middle,
        List<HandleView> handles, FaultsView faults,
        @Schema(description = "What was let go: a hand that held, a joint and the mat, two limbs that rested on each other") List<String> let,
        @Schema(description = "True where it followed another posture and does not any more") boolean whole,
        @Schema(description = "How the posture is told once the joint was let go") @Nullable ToldView told,
        @Schema(description = "The bodies as they lie, told whole, with the view from which they are seen; missing while something is moved")
        @Nullable ToldView lies) {

    @Schema(name = "PostureTold", description = "A posture in the open format")
    record ToldView(@Schema(implementation = Object.class) ObjectNode part) {
    }

    @Schema(name = "PicturePlace", description = "From the left and from the upper edge of the picture")
    record PlaceView(int x, int y) {
    }

    @Schema(name = "PostureHandle")
    record HandleView(@Schema(example = "they.hand-left") String joint, int x, int y) {
    }

    @Schema(name = "PostureFaults", description = "What bodies do not do")
    record FaultsView(@Schema(description = "Centimetres by which limbs go into each other beyond what flesh gives") double overlap,
            @Schema(description = "Which do, as they are written in a posture") @Nullable String overlapping,
            @Schema(description = "Degrees by which a joint turns too far") double degrees,
            @Schema(description = "Which one") @Nullable String joint) {
        static FaultsView of(Soundness sound) {
            return new FaultsView(sound.overlap() * Handled.CENTIMETRES, sound.overlapping().orElse(null), sound.degrees(),
                    sound.excesses().isEmpty() ? null : sound.excesses().get(0).joint().toString());
        }
    }

    /** A posture of which nothing is moved. */
    static PostureView lying(Handled handled, ObjectNode lies) {
        return of(handled, List.of(), false, null, lies);
    }

    /** A posture as it is seen for a moment, under the hand. */
    static PostureView moving(Handled handled, Nudge nudge) {
        return of(handled, nudge.let(), false, null, null);
    }

    /** A posture of which something was let go, as it is told now. */
    static PostureView moved(Handled handled, Nudge nudge, boolean whole, ObjectNode told) {
        return of(handled, nudge.let(), whole, told, null);
    }

    private static PostureView of(Handled handled, Collection<String> let, boolean whole, @Nullable ObjectNode told, @Nullable ObjectNode lies) {
        return new PostureView(DrawingView.of(handled.picture()), new PlaceView(handled.middle().across(), handled.middle().down()),
                handled.handles().stream().map(one -> new HandleView(one.joint(), one.across(), one.down())).toList(), FaultsView.of(handled.sound()),
                List.copyOf(let), whole, told == null ? null : new ToldView(told), lies == null ? null : new ToldView(lies));
    }
}
