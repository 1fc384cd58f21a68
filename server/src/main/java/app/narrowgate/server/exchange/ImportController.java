package app.narrowgate.server.exchange;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.links.LinksCsv;
import app.narrowgate.exchange.map.MapDifference;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.exchange.map.MapMerge;
import app.narrowgate.exchange.map.MapZip;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapEditing;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.MapView;
import app.narrowgate.server.map.MapViews;
import app.narrowgate.server.map.PartChangeView;
import app.narrowgate.server.map.StoredMap;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Reads files into a map: first what they would change, then, when that is confirmed, the change. */
@RestController
@Needs(Right.EDIT_MAPS)
@RequestMapping("/api/maps/{mapId}/import")
@Tag(name = "exchange")
class ImportController {

    /** A file to read in. */
    @Schema(name = "MapImport")
    record MapImport(@Min(1) @Schema(description = "The revision on screen, on which the file was looked at") int revision,
            @NotNull @Schema(allowableValues = {"json", "csv", "zip"}) String format,
            @NotNull @Size(max = 10_000_000) @Schema(description = "The file's text; of a zip its bytes in Base64") String text,
            @Schema(description = "Whether what the file does not hold is taken out") boolean whole) {

        EscapeMap into(EscapeMap map, RetiredIds retired) {
            return switch (format) {
                case "json" -> whole ? MapJson.read(text) : MapMerge.into(map, MapJson.read(text));
                case "zip" -> whole ? MapZip.read(bytes()) : MapMerge.into(map, MapZip.read(bytes()));
                case "csv" -> LinksCsv.read(map, retired, text, whole);
                default -> throw new RefusedException(
                        "The format is “%s”; json, csv or zip can be read.".formatted(format));
            };
        }

        private byte[] bytes() {
            try {
                return Base64.getDecoder().decode(text);
            } catch (IllegalArgumentException e) {
                throw new RefusedException("The archive came without its bytes in Base64.");
            }
        }
    }

    @Schema(name = "ImportPreview")
    record ImportPreview(int added, int changed, int removed, List<PartChangeView> changes) {
        static ImportPreview of(List<MapDifference.Change> changes) {
            return new ImportPreview(count(changes, MapDifference.Kind.ADDED), count(changes, MapDifference.Kind.CHANGED),
                    count(changes, MapDifference.Kind.REMOVED), PartChangeView.of(changes));
        }

        private static int count(List<MapDifference.Change> changes, MapDifference.Kind kind) {
            return (int) changes.stream().filter(change -> change.kind() == kind).count();
        }
    }

    private final MapStore maps;
    private final MapEditing editing;
    private final MapViews views;

    ImportController(MapStore maps, MapEditing editing, MapViews views) {
        this.maps = maps;
        this.editing = editing;
        this.views = views;
    }

    @PostMapping("/preview")
    @Operation(operationId = "previewImport", summary = "What a file would add, change and take out; nothing is stored",
            description = "A bad file is refused with every fault by its place.")
    ImportPreview preview(@PathVariable UUID mapId, @Valid @RequestBody MapImport file) {
        StoredMap map = maps.head(mapId);
        EscapeMap before = map.index().map();
        return ImportPreview.of(MapDifference.between(before, file.into(before, map.retired())));
    }

    @PostMapping
    @Operation(operationId = "importIntoMap", summary = "Read a file into the map; one change, which can be undone")
    MapView read(@PathVariable UUID mapId, @Valid @RequestBody MapImport file, @AuthenticationPrincipal SignedIn who) {
        return views.of(editing.edit(mapId, file.revision(), who,
                file.format().equals("csv") ? "Read a table of links" : "Read a map file", file::into));
    }
}
