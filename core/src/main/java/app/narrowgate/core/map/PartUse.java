package app.narrowgate.core.map;

/**
 * Something that names a part.
 *
 * @param kind the kind of the part that names it
 * @param id that part's id
 * @param field the field by which it is named
 */
public record PartUse(PartKind<?> kind, Id id, String field) {
}
