package app.narrowgate.server.revision;

/**
 * Names a part within what it is a part of.
 *
 * @param list the list it stands in, such as {@code reactions}
 */
public record PartKey(String list, String partId) {
}
