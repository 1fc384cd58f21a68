/**
 * What hangs on what: the worth lost without each reaction, and the smallest set that shuts the map. May import
 * {@code core.odds}, {@code core.map} and what lies below them. No nulls.
 */
package app.narrowgate.core.gate;
