/** A map's history: who changed what, undoing, redoing, going back, what differs, named versions. */
package app.narrowgate.server.history;
