/**
 * Everything that a house or one gym keeps, as one archive in the open format {@code narrowgate-backup/1}, and back. It knows no table by
 * name that it need not know: what is kept is read from the database's own catalogue, so that nothing new is forgotten. All but
 * {@link app.narrowgate.server.backup.GymArchiveController} works without the rest of the server, from a command line.
 */
package app.narrowgate.server.backup;
