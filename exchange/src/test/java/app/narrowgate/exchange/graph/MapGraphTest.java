package app.narrowgate.exchange.graph;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.exchange.map.MapFolder;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.jgrapht.Graph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedPseudograph;
import org.jgrapht.nio.dot.DOTImporter;
import org.jgrapht.nio.graphml.GraphMLImporter;
import org.junit.jupiter.api.Test;

/** What is written is read back by programs that are not ours: JGraphT's readers and Graphviz. */
class MapGraphTest {

    private static final EscapeMap DEMO = MapFolder.read(Path.of("../demo/map"));

    private static long arcs(EscapeMap map) {
        return map.situations().stream().filter(s -> s.clock().isPresent()).count() + map.reactions().size()
                + map.reactions().stream().mapToLong(r -> r.responses().size()).sum();
    }

    private static Graph<String, DefaultEdge> empty() {
        int[] next = {0};
        DirectedPseudograph<String, DefaultEdge> graph = new DirectedPseudograph<>(DefaultEdge.class);
        graph.setVertexSupplier(() -> "v" + next[0]++);
        return graph;
    }

    @Test
    void graphMlIsReadBackAgainstItsSchema() {
        Graph<String, DefaultEdge> graph = empty();
        Map<String, Map<String, String>> said = new HashMap<>();
        GraphMLImporter<String, DefaultEdge> importer = new GraphMLImporter<>();
        importer.setSchemaValidation(true);
        importer.setVertexFactory(id -> id);
        importer.addVertexAttributeConsumer((at, value) ->
                said.computeIfAbsent(at.getFirst(), v -> new HashMap<>()).put(at.getSecond(), value.getValue()));
        importer.importGraph(graph, new StringReader(MapGraph.toGraphMl(DEMO)));
        assertThat(graph.vertexSet()).hasSize(DEMO.situations().size() + DEMO.outcomes().size() + 1);
        assertThat((long) graph.edgeSet().size()).isEqualTo(arcs(DEMO));
        assertThat(said.get("mount-low")).containsEntry("title", "Low, arms round your head")
                .containsEntry("stage", "joined").containsEntry("kind", "situation");
        assertThat(said.get("tap")).containsEntry("kind", "tap");
        assertThat(said.get(MapGraph.UNANSWERED)).containsEntry("title", "no answer yet");
    }

    @Test
    void dotIsReadBack() {
        Graph<String, DefaultEdge> graph = empty();
        DOTImporter<String, DefaultEdge> importer = new DOTImporter<>();
        importer.setVertexFactory(id -> id);
        importer.importGraph(graph, new StringReader(MapGraph.toDot(DEMO)));
        assertThat((long) graph.edgeSet().size()).isEqualTo(arcs(DEMO));
    }

    /** Debian's graphviz, which ./test installs. */
    @Test
    void graphvizDrawsIt() throws IOException, InterruptedException {
        Process dot = new ProcessBuilder("dot", "-Tplain").start();
        EscapeMap small = new MapFixture().situation("pin", 4, "tap").reaction("pin", 0.5, "win", "").map();
        dot.getOutputStream().write(MapGraph.toDot(small).getBytes(StandardCharsets.UTF_8));
        dot.getOutputStream().close();
        String drawn = new String(dot.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(dot.waitFor(30, TimeUnit.SECONDS)).isTrue();
        assertThat(dot.exitValue()).isZero();
        assertThat(drawn.lines().filter(line -> line.startsWith("edge"))).hasSize(4);
        assertThat(drawn.lines().filter(line -> line.startsWith("node"))).hasSize(4);
    }
}
