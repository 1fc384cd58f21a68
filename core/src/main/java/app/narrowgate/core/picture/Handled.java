package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.body.View;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/**
 * A posture as whoever takes hold of it sees it.
 *
 * @param picture what is drawn
 * @param middle where the middle of the mat is in the picture, so that two pictures can be laid over each other
 * @param handles what can be taken hold of, always in the same order
 * @param sound what bodies do not do
 */
public record Handled(Picture picture, Handle middle, List<Handle> handles, Soundness sound) {

    /** How many centimetres a stature is, for whoever is told of faults: a man of average height. */
    public static final double CENTIMETRES = 178;

    private static final List<JointOf> JOINTS = Stream.of(Player.values())
            .flatMap(player -> Nudge.HANDLES.stream().map(joint -> new JointOf(player, joint))).toList();

    private static final List<String> NAMES = JOINTS.stream().map(JointOf::toString).toList();

    /** Keeps the order. */
    public Handled {
        handles = List.copyOf(handles);
    }

    /**
     * A point of the picture, from its left and from its upper edge, in units of {@link Picture#STATURE}.
     *
     * @param joint what is there, as it is written; empty for the middle of the mat
     */
    public record Handle(String joint, int across, int down) {
    }

    /** A posture that stays. */
    public static Handled of(Bodies bodies, View view) {
        return of(bodies, Drawing.of(bodies, view, points(bodies)));
    }

    /** A posture as it is seen for a moment, while a hand moves it. */
    public static Handled roughly(Bodies bodies, View view) {
        return of(bodies, Drawing.roughly(bodies, view, points(bodies)));
    }

    private static List<Vector3D> points(Bodies bodies) {
        List<Vector3D> points = new ArrayList<>(List.of(Vector3D.ZERO));
        JOINTS.forEach(joint -> points.add(bodies.at(joint)));
        return points;
    }

    private static Handled of(Bodies bodies, Drawing.Pointed drawn) {
        List<Handle> handles = IntStream.range(0, JOINTS.size())
                .mapToObj(i -> new Handle(NAMES.get(i), drawn.across().get(i + 1), drawn.down().get(i + 1))).toList();
        return new Handled(drawn.picture(), new Handle("", drawn.across().get(0), drawn.down().get(0)), handles, Soundness.of(bodies));
    }
}
