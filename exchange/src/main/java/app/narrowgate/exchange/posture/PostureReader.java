package app.narrowgate.exchange.posture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.LimbOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.View;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.trait.Side;
import app.narrowgate.exchange.fields.Fields;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** Reads a posture off the fields of a file, whatever took its text apart. */
public final class PostureReader {

    private static final int MOST_CONTACTS = 60;
    /** Stands for a base that could not be read; it is never looked at, as something is wrong then. */
    private static final Id UNREADABLE = Id.of("unreadable");
    private static final Range ALONG = new Range(0, 1, "");

    private PostureReader() {
    }

    /** Reads a posture; what is wrong goes into the list of problems of {@code fields}. */
    public static Posture read(Fields f) {
        boolean inherits = f.has("base");
        if (inherits && (f.has("you") || f.has("they"))) {
            f.problem("base", "A posture is told whole or from another one, not both; leave out “base”, or “you” and “they”.");
        }
        boolean isTold = inherits || f.has("you") || f.has("they");
        if (!isTold) {
            f.problem("base", "Say which other posture it is like, or place every joint of both.");
        }
        Posture.Shape shape = inherits || !isTold ? like(f) : whole(f);
        f.accept("base", "swap", "mirror", "move", "you", "they");
        return new Posture(f.id(), f.text("title", Text.TITLE), f.optionalText("says", Text.SENTENCE), f.object("view", PostureReader::view),
                f.optionalCoded("near", Side.class), shape);
    }

    private static View view(Fields f) {
        return new View(f.number("azimuth", View.AZIMUTH), f.number("elevation", View.ELEVATION));
    }

    private static Posture.Shape whole(Fields f) {
        Map<Joint, Vector3D> you = joints(f, "you");
        Map<Joint, Vector3D> they = joints(f, "they");
        Contacts contacts = contacts(f);
        return refused(f, "", () -> new Posture.Whole(Bodies.of(you, they, contacts)),
                () -> new Posture.Like(UNREADABLE, false, false, Map.of(), Optional.empty()));
    }

    private static Posture.Shape like(Fields f) {
        Map<JointOf, Vector3D> moved = new LinkedHashMap<>();
        f.object("move", move -> {
            for (Player player : Player.values()) {
                joints(move, player.code()).forEach((joint, by) -> moved.put(new JointOf(player, joint), by));
            }
            return moved;
        });
        boolean touches = f.has("mat") || f.has("rests") || f.has("grips");
        Contacts contacts = contacts(f);
        return new Posture.Like(f.optionalReference("base").orElse(UNREADABLE), f.flag("swap", false), f.flag("mirror", false), moved,
                touches ? Optional.of(contacts) : Optional.empty());
    }

    private static Map<Joint, Vector3D> joints(Fields f, String field) {
        return f.byCode(field, Joint.class, (joints, name) -> {
            List<Double> place = joints.numbers(name, Bodies.REACH, 3);
            return Vector3D.of(place.get(0), place.get(1), place.get(2));
        });
    }

    private static Contacts contacts(Fields f) {
        Set<JointOf> mat = new LinkedHashSet<>();
        List<Optional<String>> standing = f.textsByPlace("mat", Text.TITLE, MOST_CONTACTS);
        for (int i = 0; i < standing.size(); i++) {
            String written = standing.get(i).orElse("");
            joint(written, f.entries("mat"), Integer.toString(i)).ifPresent(mat::add);
        }
        List<Contacts.Rest> rests = new ArrayList<>();
        f.objects("rests", rest -> refused(rest, "", () -> Optional.of(new Contacts.Rest(
                LimbOf.of("What rests", rest.text("one", Text.TITLE)), LimbOf.of("What it rests on", rest.text("other", Text.TITLE)))),
                Optional::<Contacts.Rest>empty)).forEach(rest -> rest.ifPresent(rests::add));
        List<Contacts.Grip> grips = new ArrayList<>();
        f.objects("grips", grip -> {
            double at = grip.number("at", ALONG, .5);
            return refused(grip, "", () -> Optional.of(new Contacts.Grip(
                    JointOf.of("The hand that grips", grip.text("hand", Text.TITLE)),
                    LimbOf.of("What is gripped", grip.text("on", Text.TITLE)), at)), Optional::<Contacts.Grip>empty);
        }).forEach(grip -> grip.ifPresent(grips::add));
        return new Contacts(mat, rests, grips);
    }

    private static Optional<JointOf> joint(String written, Fields entries, String entry) {
        return refused(entries, entry, () -> Optional.of(JointOf.of("What stands on the mat", written)), Optional::<JointOf>empty);
    }

    /** What is made; where it is refused the sentence becomes a problem and a stand-in is given. */
    private static <T> T refused(Fields f, String field, Supplier<T> made, Supplier<T> otherwise) {
        try {
            return made.get();
        } catch (RefusedException e) {
            f.problem(field, e.getMessage());
            return otherwise.get();
        }
    }
}
