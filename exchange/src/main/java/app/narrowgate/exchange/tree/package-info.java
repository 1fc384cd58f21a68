/** Trees of open files, whatever they hold: bringing two changes of the same tree together. No nulls but where said. */
package app.narrowgate.exchange.tree;
