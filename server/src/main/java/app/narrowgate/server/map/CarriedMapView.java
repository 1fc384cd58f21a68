package app.narrowgate.server.map;

import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.config.RenderedOnce;
import io.swagger.v3.oas.annotations.media.Schema;
import tools.jackson.databind.node.ObjectNode;

/** A map to be solved in the browser: what odds are computed from, in the open format. */
@Schema(name = "CarriedMap")
@RenderedOnce(small = true)
record CarriedMapView(int revision, @Schema(type = "object", description = "A map file without holds and postures") ObjectNode map) {

    static CarriedMapView of(StoredMap stored) {
        return new CarriedMapView(stored.revision(), MapJson.writeSolvable(stored.index().map()));
    }
}
