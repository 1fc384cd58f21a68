package app.narrowgate.server.map;

/** Names a part within its map. */
record PartKey(String list, String partId) {
}
