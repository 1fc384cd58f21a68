package app.narrowgate.server.map;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.map.PartJson;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import tools.jackson.databind.node.ObjectNode;

/** A part as it would be, in the open format; its list and its id say where it goes. */
@Schema(name = "PartInput")
public record PartInput(@NotBlank @Schema(ref = PartListSchema.REF) String list, @NotBlank @Size(max = 64) String id,
        @NotNull @Schema(implementation = Object.class) ObjectNode part) {

    /** What the open format does with it. */
    public PartJson.Put toPut() {
        return new PartJson.Put(PartKind.ofList(list), Id.of(id), part);
    }
}
