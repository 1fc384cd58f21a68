/** Tells every node of the house that something has changed. Knows no feature. */
package app.narrowgate.server.event;
