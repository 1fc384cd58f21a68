/** Solved odds, from memory when nothing changed. */
package app.narrowgate.server.odds;
