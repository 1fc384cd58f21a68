package app.narrowgate.server.exchange;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.graph.MapGraph;
import app.narrowgate.exchange.links.LinksCsv;
import app.narrowgate.exchange.map.MapZip;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.download.Download;
import app.narrowgate.server.map.MapStore;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.UUID;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Files for other programs. The map's own file is handed out with the map. */
@RestController
@Needs(Right.TAKE_OUT)
@RequestMapping("/api")
@Tag(name = "exchange")
class ExportController {

    private static final String CSV = "text/csv;charset=UTF-8";
    private static final String DOT = "text/vnd.graphviz;charset=UTF-8";
    private static final String GRAPHML = "application/graphml+xml;charset=UTF-8";
    private static final String ZIP = "application/zip";
    private static final String SCHEMA = "application/schema+json";

    private final MapStore maps;

    ExportController(MapStore maps) {
        this.maps = maps;
    }

    @GetMapping(path = "/maps/{mapId}/links", produces = CSV)
    @Operation(operationId = "links", summary = "A map's links as a table that a spreadsheet opens")
    ResponseEntity<String> links(@PathVariable UUID mapId) {
        return Download.of("links.csv", CSV, LinksCsv.write(map(mapId)));
    }

    @GetMapping(path = "/maps/{mapId}/graphml", produces = GRAPHML)
    @Operation(operationId = "graphml", summary = "A map as a graph in GraphML")
    ResponseEntity<String> graphMl(@PathVariable UUID mapId) {
        return Download.of("map.graphml", GRAPHML, MapGraph.toGraphMl(map(mapId)));
    }

    @GetMapping(path = "/maps/{mapId}/dot", produces = DOT)
    @Operation(operationId = "dot", summary = "A map as a graph in DOT")
    ResponseEntity<String> dot(@PathVariable UUID mapId) {
        return Download.of("map.dot", DOT, MapGraph.toDot(map(mapId)));
    }

    @GetMapping(path = "/maps/{mapId}/folder", produces = ZIP)
    @Operation(operationId = "mapFolder", summary = "A map as an archive of files, one a family")
    ResponseEntity<byte[]> folder(@PathVariable UUID mapId) {
        return Download.of("map.zip", ZIP, MapZip.write(map(mapId)));
    }

    @Needs(Right.READ_SHARED_MAPS)
    @GetMapping(path = "/formats/map-schema", produces = SCHEMA)
    @Operation(operationId = "mapSchema", summary = "The JSON Schema of the map file")
    Resource schema() {
        return new ClassPathResource("formats/narrowgate-map-1.schema.json");
    }

    private EscapeMap map(UUID mapId) {
        return maps.head(mapId).index().map();
    }
}
