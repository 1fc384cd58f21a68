/**
 * How what is edited is kept: as parts that begin in one revision and end in another, with what an undo and a redo
 * would be about. Knows nothing of what the parts hold. No nulls but where said.
 */
package app.narrowgate.server.revision;
