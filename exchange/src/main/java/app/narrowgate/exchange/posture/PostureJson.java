package app.narrowgate.exchange.posture;

import app.narrowgate.core.body.Contacts;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.Posture;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.json.JsonText;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Postures as JSON: a file {@value #FORMAT} with a list of them, and single ones as they stand in a map. Reading and
 * writing are inverse.
 */
public final class PostureJson {

    /** The format's name and version, which stands in every file. */
    public static final String FORMAT = "narrowgate-posture/1";

    private PostureJson() {
    }

    /**
     * Reads a file of postures. That their bases are there is a matter of the map into which they go.
     *
     * @throws ProblemsException with every problem by JSON pointer, or by line and column where the text is no JSON
     */
    public static List<Posture> readFile(String text) {
        JsonNode root = JsonText.parse(text);
        Problems problems = new Problems();
        Fields fields = new Fields(new JacksonValue(root), "", problems);
        fields.requireFormat(FORMAT, "posture file");
        List<Optional<Posture>> postures = fields.objects("postures", f -> Optional.ofNullable(PostureReader.read(f)));
        fields.refuseUnknown();
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return postures.stream().map(Optional::orElseThrow).toList();
    }

    /** A file of postures. */
    public static String writeFile(List<Posture> postures) {
        ObjectNode root = JsonNodeFactory.instance.objectNode().put("format", FORMAT);
        ArrayNode list = root.putArray("postures");
        postures.forEach(posture -> list.add(write(posture)));
        return JsonText.of(root);
    }

    /** A posture as it stands in a file. */
    public static ObjectNode write(Posture posture) {
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("id", posture.id().value()).put("title", posture.title());
        if (!posture.says().isEmpty()) {
            node.put("says", posture.says());
        }
        posture.view().ifPresent(view -> node.putObject("view").put("azimuth", view.azimuth()).put("elevation", view.elevation()));
        posture.near().ifPresent(side -> node.put("near", side.code()));
        if (posture.shape() instanceof Posture.Whole whole) {
            for (Player player : Player.values()) {
                points(node.putObject(player.code()), whole.bodies().of(player));
            }
            contacts(node, whole.bodies().contacts());
        } else if (posture.shape() instanceof Posture.Like like) {
            node.put("base", like.base().value());
            if (like.swapped()) {
                node.put("swap", true);
            }
            if (like.mirrored()) {
                node.put("mirror", true);
            }
            if (!like.moved().isEmpty()) {
                ObjectNode move = node.putObject("move");
                like.moved().forEach((joint, by) -> point(move.withObject("/" + joint.player().code()), joint.joint(), by));
            }
            like.contacts().ifPresent(contacts -> contacts(node, contacts));
        }
        return node;
    }

    private static void points(ObjectNode node, Map<Joint, Vector3D> joints) {
        joints.forEach((joint, place) -> point(node, joint, place));
    }

    private static void point(ObjectNode node, Joint joint, Vector3D place) {
        node.putArray(joint.code()).add(place.getX()).add(place.getY()).add(place.getZ());
    }

    /** Lists that are empty are written, too: a posture told from another may touch nothing where its base does. */
    private static void contacts(ObjectNode node, Contacts contacts) {
        ArrayNode mat = node.putArray("mat");
        contacts.mat().forEach(joint -> mat.add(joint.toString()));
        ArrayNode rests = node.putArray("rests");
        contacts.rests().forEach(rest -> rests.addObject().put("one", rest.one().toString()).put("other", rest.other().toString()));
        ArrayNode grips = node.putArray("grips");
        contacts.grips().forEach(grip -> grips.addObject().put("hand", grip.hand().toString()).put("on", grip.on().toString())
                .put("at", grip.at()));
    }
}
