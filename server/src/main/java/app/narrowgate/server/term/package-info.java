/** Terms: weeks of classes that are planned together, and what everybody has seen in them. */
package app.narrowgate.server.term;
