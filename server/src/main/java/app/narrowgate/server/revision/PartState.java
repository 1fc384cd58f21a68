package app.narrowgate.server.revision;

/**
 * One state of one part of a map.
 *
 * @param list the file's list it stands in, such as {@code reactions}
 * @param body the part as it stands in the file
 */
public record PartState(String list, String partId, int since, Integer until, int position, String body) {

    /** What names it. */
    public PartKey key() {
        return new PartKey(list, partId);
    }

    /** The same content, beginning in another revision. */
    PartState since(int revision) {
        return new PartState(list, partId, revision, null, position, body);
    }

    /** Other content in the same place. */
    public PartState withBody(String other) {
        return new PartState(list, partId, since, until, position, other);
    }

    PartState at(int otherPosition) {
        return new PartState(list, partId, since, until, otherPosition, body);
    }
}
