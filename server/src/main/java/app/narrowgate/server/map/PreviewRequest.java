package app.narrowgate.server.map;

import app.narrowgate.core.map.MapIndex;
import app.narrowgate.exchange.map.PartJson;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/** Parts as they would be; nothing is stored. */
@Schema(name = "PreviewRequest")
public record PreviewRequest(@NotEmpty @Size(max = 200) List<@NotNull @Valid PartInput> parts) {

    /** {@code map} as it would be with the parts. */
    public MapIndex in(StoredMap map) {
        return MapIndex.of(PartJson.putAll(map.index().map(), parts.stream().map(PartInput::toPut).toList()));
    }
}
