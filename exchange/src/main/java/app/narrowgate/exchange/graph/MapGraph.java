package app.narrowgate.exchange.graph;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import java.io.StringWriter;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jgrapht.Graph;
import org.jgrapht.graph.DirectedPseudograph;
import org.jgrapht.nio.Attribute;
import org.jgrapht.nio.AttributeType;
import org.jgrapht.nio.DefaultAttribute;
import org.jgrapht.nio.dot.DOTExporter;
import org.jgrapht.nio.graphml.GraphMLExporter;

/**
 * Writes a map as a graph. A vertex is a situation, an outcome, or {@value #UNANSWERED}; an arc is a response, a
 * stuffed reaction or a clock that runs down. Cost linear in the map.
 */
public final class MapGraph {

    /** The vertex to which responses lead that nobody has answered; there only when there are any. */
    public static final String UNANSWERED = "unanswered";

    /** What an arc stands for. */
    enum Kind { RESPONSE, WRONG, STUFFED, CLOCK }

    /**
     * An arc.
     *
     * @param label what is seen, or why it happens
     * @param reaction the reaction's id; empty for a clock
     * @param weight the response's weight among its reaction's, the clock's seconds, or 0
     */
    record Arc(String id, Kind kind, String label, String reaction, double weight) {
    }

    private final MapIndex index;
    private final Graph<String, Arc> graph = new DirectedPseudograph<>(Arc.class);

    private MapGraph(MapIndex index) {
        this.index = index;
        EscapeMap map = index.map();
        map.situations().forEach(s -> graph.addVertex(s.id().value()));
        map.outcomes().forEach(o -> graph.addVertex(o.id().value()));
        map.situations().forEach(s -> s.clock().ifPresent(clock -> graph.addEdge(s.id().value(),
                clock.becomes().value(), new Arc(s.id() + "-clock", Kind.CLOCK, "nothing is done", "", clock.seconds()))));
        map.reactions().forEach(this::add);
    }

    private void add(Reaction reaction) {
        String from = reaction.from().value();
        graph.addEdge(from, reaction.whenStuffed().value(), new Arc(reaction.id() + "-stuffed", Kind.STUFFED,
                index.reactionTitle(reaction) + ", stuffed", reaction.id().value(), 0));
        for (Response response : reaction.responses()) {
            String to = response.leads().map(Id::value).orElse(UNANSWERED);
            graph.addVertex(to);
            graph.addEdge(from, to, new Arc(reaction.id() + "-" + response.id(), reaction.isWrong() ? Kind.WRONG : Kind.RESPONSE, response.cue(),
                    reaction.id().value(), response.often().weight()));
        }
    }

    /** The map as GraphML 1.0. */
    public static String toGraphMl(EscapeMap map) {
        MapGraph graph = new MapGraph(MapIndex.of(map));
        GraphMLExporter<String, Arc> exporter = new GraphMLExporter<>(v -> v);
        exporter.setVertexAttributeProvider(graph::describe);
        exporter.setEdgeIdProvider(Arc::id);
        exporter.setEdgeAttributeProvider(MapGraph::describe);
        for (String name : new String[] {"title", "kind", "family", "stage"}) {
            exporter.registerAttribute(name, GraphMLExporter.AttributeCategory.NODE, AttributeType.STRING);
        }
        exporter.registerAttribute("entry", GraphMLExporter.AttributeCategory.NODE, AttributeType.DOUBLE);
        for (String name : new String[] {"kind", "label", "reaction"}) {
            exporter.registerAttribute("arc-" + name, GraphMLExporter.AttributeCategory.EDGE, AttributeType.STRING);
        }
        exporter.registerAttribute("arc-weight", GraphMLExporter.AttributeCategory.EDGE, AttributeType.DOUBLE);
        StringWriter text = new StringWriter();
        exporter.exportGraph(graph.graph, text);
        return text.toString();
    }

    /** The map as a DOT digraph, left to right. */
    public static String toDot(EscapeMap map) {
        MapGraph graph = new MapGraph(MapIndex.of(map));
        DOTExporter<String, Arc> exporter = new DOTExporter<>(v -> "\"" + v + "\"");
        exporter.setGraphAttributeProvider(() -> Map.of("rankdir", DefaultAttribute.createAttribute("LR")));
        exporter.setVertexAttributeProvider(v -> Map.of("label", label(graph.title(v)),
                "shape", text(graph.isSituation(v) ? "box" : "plaintext")));
        exporter.setEdgeAttributeProvider(arc -> Map.of("label", label(arc.label()),
                "style", text(switch (arc.kind()) {
                    case RESPONSE -> "solid";
                    case WRONG -> "dotted";
                    case STUFFED, CLOCK -> "dashed";
                })));
        StringWriter text = new StringWriter();
        exporter.exportGraph(graph.graph, text);
        return text.toString();
    }

    private Map<String, Attribute> describe(String vertex) {
        Map<String, Attribute> attributes = new LinkedHashMap<>();
        attributes.put("title", text(title(vertex)));
        index.situation(Id.of(vertex)).ifPresent(s -> {
            attributes.put("kind", text(s.rest().map(Coded::code).orElse("situation")));
            attributes.put("family", text(s.family().value()));
            s.stage().ifPresent(stage -> attributes.put("stage", text(stage.code())));
            attributes.put("entry", DefaultAttribute.createAttribute(s.entry()));
        });
        index.outcome(Id.of(vertex)).ifPresent(o -> attributes.put("kind", text(o.kind().code())));
        return attributes;
    }

    private static Map<String, Attribute> describe(Arc arc) {
        Map<String, Attribute> attributes = new LinkedHashMap<>();
        attributes.put("arc-kind", text(arc.kind().name().toLowerCase(java.util.Locale.ROOT)));
        attributes.put("arc-label", text(arc.label()));
        if (!arc.reaction().isEmpty()) {
            attributes.put("arc-reaction", text(arc.reaction()));
        }
        attributes.put("arc-weight", DefaultAttribute.createAttribute(arc.weight()));
        return attributes;
    }

    private boolean isSituation(String vertex) {
        return index.situation(Id.of(vertex)).isPresent();
    }

    private String title(String vertex) {
        Id id = Id.of(vertex);
        return index.situation(id).map(s -> s.title())
                .or(() -> index.outcome(id).map(o -> o.title())).orElse("no answer yet");
    }

    private static Attribute text(String value) {
        return DefaultAttribute.createAttribute(value);
    }

    /** In DOT a backslash takes the sign after it for something else; the writer doubles none. */
    private static Attribute label(String value) {
        return text(value.replace("\\", "\\\\"));
    }
}
