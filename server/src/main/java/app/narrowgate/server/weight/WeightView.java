package app.narrowgate.server.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.weight.Readable;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.View;
import app.narrowgate.core.picture.Drawing;
import app.narrowgate.core.weight.Base;
import app.narrowgate.core.weight.Sizes;
import app.narrowgate.core.weight.Supports;
import app.narrowgate.core.weight.Way;
import app.narrowgate.core.weight.Weighing;
import app.narrowgate.server.picture.DrawingView;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** A place weighed, with its picture. */
@Schema(name = "Weight")
record WeightView(
        @Schema(description = "What is seen; may be empty") String says,
        @Schema(allowableValues = {"left", "right"}, description = "The side of yours on which they are") @Nullable String near,
        DrawingView drawing, MarksView marks,
        @Schema(description = "As it is with what is changed") WeightFigures now,
        @Schema(description = "As it is when nothing is changed") WeightFigures first,
        @Schema(description = "What can be changed, and what comes of it beside what is changed already") List<ChangeView> changes,
        @Schema(description = "What of one side to take away so that they tip soonest; missing where nothing helps")
        @Nullable TrapView best,
        @Schema(description = "Facts that the map tells of the place and that can be read off the posture") List<SaidView> said,
        @Schema(description = "How far they are from tipping all round; missing where nobody tips") @Nullable RoseView rose) {

    /** Directions of the rose. */
    private static final int DIRECTIONS = 72;
    /** How far ahead of them the arrow of the weakest side points, in stature. */
    private static final double ARROW = .12;

    @Schema(name = "WeightChange")
    record ChangeView(
            @Schema(allowableValues = {"trap-hand-left", "trap-hand-right", "trap-foot-left", "trap-foot-right", "seat-up", "seat-down",
                    "hips-higher", "knees-off"}, description = "Left and right are theirs") String change,
            boolean done, @Schema(description = "As it is once it is done, or now where it is") WeightFigures then) {
    }

    @Schema(name = "WeightSaid")
    record SaidView(String fact, @Schema(description = "What the map says") boolean so,
            @Schema(description = "What the posture shows") boolean seen) {
        static List<SaidView> of(MapIndex map, Situation situation, Bodies bodies) {
            return situation.facts().entrySet().stream().flatMap(told -> map.fact(told.getKey())
                    .flatMap(fact -> Readable.of(fact.title()))
                    .map(readable -> new SaidView(told.getKey().value(), told.getValue(), readable.isSo(bodies))).stream()).toList();
        }
    }

    @Schema(name = "WeightTrap")
    record TrapView(List<String> changes, WeightFigures then) {
    }

    @Schema(name = "WeightPoint", description = "A point of the picture")
    record PointView(int x, int y) {
    }

    @Schema(name = "WeightPost", description = "What of theirs stands on the mat, or did before it was trapped")
    record PostView(@Schema(description = "Such as knee-left") String joint, PointView at, boolean taken) {
    }

    @Schema(name = "WeightMarks", description = "What stands in the picture beside the bodies")
    record MarksView(@Schema(description = "The centre of their mass") PointView centre,
            @Schema(description = "Straight below it on the mat") PointView foot,
            @Schema(description = "The base as it is; empty where there is none") List<PointView> base,
            @Schema(description = "The base when nothing is changed; empty where there is none") List<PointView> first,
            @Schema(description = "The two ends of the edge over which they tip first; empty where nobody tips") List<PointView> weakest,
            @Schema(description = "Where an arrow from below them over that edge ends; missing where nobody tips") @Nullable PointView tip,
            List<PostView> posts) {
    }

    @Schema(name = "WeightSpoke")
    record SpokeView(double now, double first, @Schema(description = "The work of lifting them over that side, joules") double work) {
    }

    @Schema(name = "WeightSide")
    record SideView(String way, double angle) {
    }

    @Schema(name = "WeightRose", description = "Degrees until they tip in directions all round, turned as the picture is: "
            + "the first to its right, then anticlockwise")
    record RoseView(List<SpokeView> spokes, @Schema(description = "Where they tip first, degrees anticlockwise from the right") double weakest,
            @Schema(description = "Where your head, feet and sides are") List<SideView> sides) {
    }

    /** From where it is seen. */
    static DrawnWeight drawn(Weighing now, Weighing first, View view) {
        List<Vector3D> points = new ArrayList<>();
        List<Vector3D> base = now.base().map(Base::outline).orElse(List.of());
        List<Vector3D> untouched = first.base().map(Base::outline).orElse(List.of());
        Vector3D centre = now.supports().centre();
        Vector3D foot = Vector3D.of(centre.getX(), centre.getY(), 0);
        Optional<Base.Lean> weakest = now.base().map(Base::weakest);
        List<Vector3D> edge = weakest.map(lean -> now.base().orElseThrow().edge(lean.azimuth())).orElse(List.of());
        List<Vector3D> tip = weakest.map(lean -> List.of(tip(foot, edge, lean))).orElse(List.of());
        points.add(centre);
        points.add(foot);
        points.addAll(base);
        points.addAll(untouched);
        points.addAll(edge);
        points.addAll(tip);
        List<Supports.Post> posts = Stream.concat(now.supports().posts().stream(), taken(now, first).stream()).toList();
        posts.forEach(post -> points.add(post.at()));
        Drawing.Pointed drawing = Drawing.of(now.bodies(), view, points);
        Places places = new Places(drawing);
        PointView centreAt = places.next();
        PointView footAt = places.next();
        List<PointView> baseAt = places.next(base.size());
        List<PointView> untouchedAt = places.next(untouched.size());
        List<PointView> edgeAt = places.next(edge.size());
        PointView tipAt = tip.isEmpty() ? null : places.next();
        int standing = now.supports().posts().size();
        List<PostView> told = IntStream.range(0, posts.size())
                .mapToObj(i -> new PostView(posts.get(i).joint().joint().code(), places.next(), i >= standing)).toList();
        return new DrawnWeight(DrawingView.of(drawing.picture()),
                new MarksView(centreAt, footAt, baseAt, untouchedAt, edgeAt, tipAt, told));
    }

    /** A picture with its marks. */
    record DrawnWeight(DrawingView drawing, MarksView marks) {
    }

    /** Hands out the points of a picture in the order in which they were asked for. */
    private static final class Places {
        private final Drawing.Pointed pointed;
        private int at;

        Places(Drawing.Pointed pointed) {
            this.pointed = pointed;
        }

        PointView next() {
            PointView next = new PointView(pointed.across().get(at), pointed.down().get(at));
            at++;
            return next;
        }

        List<PointView> next(int count) {
            return IntStream.range(0, count).mapToObj(i -> next()).toList();
        }
    }

    private static Vector3D tip(Vector3D foot, List<Vector3D> edge, Base.Lean lean) {
        Vector3D way = WeightFigures.direction(lean.azimuth());
        double far = edge.stream().mapToDouble(corner -> corner.subtract(foot).dot(way)).max().orElse(0);
        return foot.add(way.multiply(Math.max(far, 0) + ARROW));
    }

    /** Posts that stood when nothing was trapped and do not stand now, though they are where they were. */
    private static List<Supports.Post> taken(Weighing now, Weighing first) {
        Set<JointOf> standing = now.supports().posts().stream().map(Supports.Post::joint).collect(Collectors.toSet());
        return first.supports().posts().stream().filter(post -> !standing.contains(post.joint()))
                .map(post -> new Supports.Post(post.joint(), foot(now, post), post.radius())).toList();
    }

    private static Vector3D foot(Weighing now, Supports.Post post) {
        Vector3D at = now.bodies().at(post.joint());
        return Vector3D.of(at.getX(), at.getY(), 0);
    }

    static RoseView rose(Weighing now, Weighing first, View view, Sizes sizes) {
        if (now.base().isEmpty() || first.base().isEmpty()) {
            return null;
        }
        double turn = Math.toRadians(view.azimuth());
        Base base = now.base().get();
        Base untouched = first.base().get();
        List<SpokeView> spokes = IntStream.range(0, DIRECTIONS).mapToDouble(i -> turn + 2 * Math.PI * i / DIRECTIONS)
                .mapToObj(azimuth -> new SpokeView(base.degrees(azimuth), untouched.degrees(azimuth),
                        base.work(azimuth, sizes.theirWeight(), sizes.yourStature()))).toList();
        Way.Compass compass = Way.Compass.of(now.bodies());
        List<SideView> sides = IntStream.range(0, 4).mapToObj(i -> {
            double azimuth = compass.headAzimuth() + i * Math.PI / 2;
            return new SideView(compass.of(WeightFigures.direction(azimuth)).code(), degrees(azimuth - turn));
        }).toList();
        return new RoseView(spokes, degrees(base.weakest().azimuth() - turn), sides);
    }

    private static double degrees(double angle) {
        double turned = Math.toDegrees(angle) % 360;
        return turned < 0 ? turned + 360 : turned;
    }
}
