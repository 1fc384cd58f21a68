/** The server over HTTP, on a real database. */
package app.narrowgate.server;
