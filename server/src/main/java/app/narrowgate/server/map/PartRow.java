package app.narrowgate.server.map;

/**
 * One state of one part of a map.
 *
 * @param list the file's list it stands in, such as {@code reactions}
 * @param body the part as it stands in the file
 */
record PartRow(String list, String partId, int since, Integer until, int position, String body) {

    PartKey key() {
        return new PartKey(list, partId);
    }

    /** The same content, beginning in another revision. */
    PartRow since(int revision) {
        return new PartRow(list, partId, revision, null, position, body);
    }

    PartRow at(int otherPosition) {
        return new PartRow(list, partId, since, until, otherPosition, body);
    }
}
