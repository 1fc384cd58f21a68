package app.narrowgate.exchange.parts;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.fields.Value;

/**
 * A part on its way into a map.
 *
 * @param part an entry of the kind's list; its own id is {@code id}
 */
public record PartPut(PartKind<?> kind, Id id, Value part) {
}
