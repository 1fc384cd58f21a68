/** Maps in the database: revisions, edits, undo, and the map as the client sees it. */
package app.narrowgate.server.map;
