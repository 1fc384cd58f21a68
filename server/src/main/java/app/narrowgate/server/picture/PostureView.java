package app.narrowgate.server.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.body.View;
import app.narrowgate.core.picture.Drawing;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import tools.jackson.databind.node.ObjectNode;

/** A posture with what can be taken hold of. */
@Schema(name = "PostureDrawn")
record PostureView(DrawingView drawing,
        @Schema(description = "Where the middle of the mat is in the picture, so that two pictures can be laid over each other")
        PlaceView middle,
        List<HandleView> handles, FaultsView faults,
        @Schema(description = "What was let go: a hand that held, a joint and the mat, two limbs that rested on each other") List<String> let,
        @Schema(description = "True where it followed another posture and does not any more") boolean whole,
        @Nullable ToldView told) {

    private static final double METRES = 1.78;

    @Schema(name = "PostureTold", description = "The posture in the open format, once the joint was let go")
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
            return new FaultsView(sound.overlap() * METRES * 100, sound.overlapping().orElse(null), sound.degrees(),
                    sound.excesses().isEmpty() ? null : sound.excesses().get(0).joint().toString());
        }
    }

    /** A posture that stays. */
    static PostureView of(Bodies bodies, View view, Collection<String> let, boolean whole, Optional<ObjectNode> told) {
        return of(bodies, points -> Drawing.of(bodies, view, points), let, whole, told);
    }

    /** A posture as it is seen for a moment, under the hand. */
    static PostureView moving(Bodies bodies, View view, Collection<String> let) {
        return of(bodies, points -> Drawing.roughly(bodies, view, points), let, false, Optional.empty());
    }

    private static PostureView of(Bodies bodies, Function<List<Vector3D>, Drawing.Pointed> draw, Collection<String> let,
            boolean whole, Optional<ObjectNode> told) {
        List<JointOf> joints = Stream.of(Player.values())
                .flatMap(player -> Nudge.HANDLES.stream().map(joint -> new JointOf(player, joint))).toList();
        List<Vector3D> points = new ArrayList<>(List.of(Vector3D.ZERO));
        joints.forEach(joint -> points.add(bodies.at(joint)));
        Drawing.Pointed drawn = draw.apply(points);
        return new PostureView(DrawingView.of(drawn.picture()), new PlaceView(drawn.across().get(0), drawn.down().get(0)),
                IntStream.range(0, joints.size()).mapToObj(i -> new HandleView(joints.get(i).toString(),
                        drawn.across().get(i + 1), drawn.down().get(i + 1))).toList(),
                FaultsView.of(Soundness.of(bodies)), List.copyOf(let), whole, told.map(ToldView::new).orElse(null));
    }
}
