/**
 * Trees of open files, whatever they hold: what differs between two, and bringing two changes of the same tree
 * together. No nulls but where said.
 */
package app.narrowgate.exchange.tree;
