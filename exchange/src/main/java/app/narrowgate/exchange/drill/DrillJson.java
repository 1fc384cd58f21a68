package app.narrowgate.exchange.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.drill.ChainRequest;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.RoundRequest;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.trait.Side;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.json.JacksonValue;
import app.narrowgate.exchange.json.JsonText;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The drill file {@value #FORMAT}: JSON, described in {@code docs/formats}. Reading and writing are inverse. That the links
 * are links of a map is no matter of the file; {@link app.narrowgate.core.drill.DrillRules} says it.
 */
public final class DrillJson {

    /** The format's name and version, which stands in every file. */
    public static final String FORMAT = "narrowgate-drill/1";

    private static final int MOST_FAKES = 4;
    private static final Range SEED = Drill.SEED;

    private DrillJson() {
    }

    /**
     * Reads a drill file.
     *
     * @throws ProblemsException with every problem by JSON pointer, or by line and column where the text is no JSON
     */
    public static Drill read(String text) {
        return read(JsonText.parse(text));
    }

    /**
     * Reads the tree of a drill file.
     *
     * @throws ProblemsException with every problem by JSON pointer
     */
    public static Drill read(JsonNode root) {
        Problems problems = new Problems();
        Fields fields = new Fields(new JacksonValue(root), "", problems);
        fields.requireFormat(FORMAT, "drill file");
        String title = fields.text("title", Text.TITLE);
        DrillKind kind = fields.coded("kind", DrillKind.class);
        Optional<Id> place = fields.optionalReference("place");
        Map<LinkRef, String> words = new LinkedHashMap<>();
        List<LinkRef> opening = links(fields, "opening", words);
        List<LinkRef> links = links(fields, "links", words);
        List<LinkRef> finishes = links(fields, "finishes", words);
        List<LinkRef> extension = links(fields, "extension", words);
        List<String> fakes = fields.texts("fakes", Text.TITLE, MOST_FAKES);
        int least = fields.whole("least", RoundRequest.RECOVERIES, 3);
        int most = fields.whole("most", RoundRequest.RECOVERIES, Math.max(5, least));
        int repetitions = fields.whole("repetitions", ChainRequest.REPETITIONS, 2);
        double minutes = fields.number("minutes", Drill.MINUTES, 8);
        List<Side> sides = sides(fields);
        String note = fields.optionalText("note", Text.SENTENCE);
        int seed = fields.whole("seed", SEED, 1);
        fields.refuseUnknown();
        if (problems.isEmpty()) {
            try {
                return new Drill(title, kind, place, opening, links, finishes, extension, fakes, least, most, repetitions, minutes,
                        sides, words, note, seed);
            } catch (RefusedException e) {
                problems.add(new Problem("", e.getMessage()));
            }
        }
        throw new ProblemsException(problems.list());
    }

    private static List<LinkRef> links(Fields fields, String list, Map<LinkRef, String> words) {
        return fields.objects(list, link -> {
            LinkRef ref = new LinkRef(link.reference("reaction"), link.reference("response"));
            String word = link.optionalText("word", Text.TITLE);
            if (!word.isEmpty()) {
                words.put(ref, word);
            }
            return ref;
        });
    }

    private static List<Side> sides(Fields fields) {
        if (!fields.has("sides")) {
            return List.of(Side.LEFT, Side.RIGHT);
        }
        List<Side> sides = new ArrayList<>();
        int at = 0;
        for (String code : fields.texts("sides", Text.TITLE, 2)) {
            Optional<Side> side = Coded.of(Side.class, code);
            if (side.isEmpty()) {
                fields.problem("sides", "“%s” (number %d) is not one of left, right.".formatted(code, at + 1));
            }
            side.ifPresent(sides::add);
            at++;
        }
        return sides;
    }

    /** The tree of the file. */
    public static ObjectNode write(Drill drill) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("format", FORMAT).put("title", drill.title()).put("kind", drill.kind().code());
        drill.place().ifPresent(place -> node.put("place", place.value()));
        put(node, "opening", drill.opening(), drill);
        put(node, "links", drill.links(), drill);
        put(node, "finishes", drill.finishes(), drill);
        put(node, "extension", drill.extension(), drill);
        if (!drill.fakes().isEmpty()) {
            ArrayNode fakes = node.putArray("fakes");
            drill.fakes().forEach(fakes::add);
        }
        node.put("least", drill.least()).put("most", drill.most()).put("repetitions", drill.repetitions())
                .put("minutes", drill.minutes());
        ArrayNode sides = node.putArray("sides");
        drill.sides().forEach(side -> sides.add(side.code()));
        if (!drill.note().isEmpty()) {
            node.put("note", drill.note());
        }
        node.put("seed", drill.seed());
        return node;
    }

    private static void put(ObjectNode node, String list, List<LinkRef> links, Drill drill) {
        if (links.isEmpty()) {
            return;
        }
        ArrayNode array = node.putArray(list);
        for (LinkRef link : links) {
            ObjectNode entry = array.addObject().put("reaction", link.reaction().value()).put("response", link.response().value());
            if (drill.words().containsKey(link)) {
                entry.put("word", drill.words().get(link));
            }
        }
    }

    /** The file's text, indented. */
    public static String writeText(Drill drill) {
        return JsonText.of(write(drill));
    }
}
