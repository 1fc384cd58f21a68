/**
 * The parts of a map read from values, by one set of rules for files, for edits and for the browser, which this is compiled
 * for too. No nulls.
 */
package app.narrowgate.exchange.parts;
